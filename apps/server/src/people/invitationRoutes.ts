import { postInvitation, postJoin, postToken } from '@nucleon/contract/people';
import { validator } from '@nucleon/contract/validator';
import { Router } from 'express';
import { IsNull } from 'typeorm';
import { lockKit } from '../database/locks';
import { transact } from '../database/transact';
import { workshopNow } from '../database/workshop';
import { checkedBody, idParam } from '../http/body';
import { faultyProblem } from '../http/problem';
import type { ServerContext } from '../serverContext';
import { writeDown } from './audit';
import { addDevice } from './devices';
import { invite, nameNow, standingInvitation } from './links';
import { invitationEntity, personEntity } from './peopleEntities';
import { hashPassword } from './secrets';
import { giveSession } from './sessionCookie';

const checkInvitation = validator(postInvitation);
const checkToken = validator(postToken);
const checkJoin = validator(postJoin);

/** Links by which somebody joins: made, ended, looked at, used. */
export function invitationRoutes(context: ServerContext): Router {
  const { source, now, newId } = context;
  const router = Router();

  router.post('/invitations', async (request, response) => {
    const { role } = checkedBody(request, checkInvitation);
    const invitation = await transact(source, async (manager) => {
      await writeDown(manager, 'invite', role);
      return invite(manager, context, role, nameNow());
    });
    response.status(201).json(invitation);
  });

  router.delete('/invitations/:id', async (request, response) => {
    const id = idParam(request, 'id');
    await transact(source, async (manager) => {
      await manager.update(invitationEntity, { workshopId: workshopNow(), id }, { endedAt: now() });
      await writeDown(manager, 'invitation-ended', id);
    });
    response.status(204).end();
  });

  router.post('/invitations/look', async (request, response) => {
    const { token } = checkedBody(request, checkToken);
    const { role, madeBy } = await standingInvitation(source.manager, token, now());
    response.json({ role, madeBy });
  });

  router.post('/invitations/join', async (request, response) => {
    const { token, name, password, device } = checkedBody(request, checkJoin);
    await standingInvitation(source.manager, token, now());
    const hash = await hashPassword(password);
    const own = await transact(source, async (manager) => {
      // One after another: a link is used once, and a name is one person’s on the whole server.
      await lockKit(manager);
      const { id, workshopId, role } = await standingInvitation(manager, token, now());
      if (await manager.existsBy(personEntity, { name, leftAt: IsNull() }))
        throw faultyProblem([
          { pointer: '/name', message: `“${name}” is here already; choose another name.` },
        ]);
      const personId = newId();
      await manager.update(invitationEntity, { id }, { endedAt: now() });
      await manager.insert(personEntity, {
        id: personId,
        workshopId,
        name,
        role,
        password: hash,
        joinedAt: now(),
        leftAt: null,
      });
      await writeDown(manager, 'join', role, { workshopId, personId, name });
      return addDevice(manager, context, device, { workshopId, personId });
    });
    giveSession(response, own);
    response.status(204).end();
  });
  return router;
}
