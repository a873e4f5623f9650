import { putPerson, type People } from '@nucleon/contract/people';
import { validator } from '@nucleon/contract/validator';
import { Router } from 'express';
import { IsNull, MoreThan, Not, type EntityManager } from 'typeorm';
import { lockKit } from '../database/locks';
import { transact } from '../database/transact';
import { workshopNow } from '../database/workshop';
import { checkedBody, idParam } from '../http/body';
import { notFound, Problem } from '../http/problem';
import type { ServerContext } from '../serverContext';
import { writeDown } from './audit';
import { endDevices } from './devices';
import { shownInvitation } from './links';
import { invitationEntity, passkeyEntity, personEntity } from './peopleEntities';

const checkPerson = validator(putPerson);
const inWorkshop = () => ({ workshopId: workshopNow() });

/** Locked, so that two who act at once do not leave a workshop without an owner. @throws Problem where it would be */
async function refuseWithoutOwner(manager: EntityManager, personId: string): Promise<void> {
  await lockKit(manager);
  const another = { ...inWorkshop(), role: 'owner' as const, leftAt: IsNull(), id: Not(personId) };
  if (!(await manager.existsBy(personEntity, another)))
    throw new Problem('conflict', 'A workshop needs an owner; make another one first.');
}

/** Who works in a workshop, and how it is reached. */
export function peopleRoutes(context: ServerContext): Router {
  const { source, now, doors } = context;
  const router = Router();

  const personOf = async (manager: EntityManager, id: string) => {
    const person = await manager.findOneBy(personEntity, { ...inWorkshop(), id, leftAt: IsNull() });
    if (!person) throw notFound('person', id);
    return person;
  };

  router.get('/reach', (_request, response) => {
    response.json(doors.reach());
  });

  router.get('/people', async (_request, response) => {
    const [people, invitations] = await Promise.all([
      source.manager.find(personEntity, { where: inWorkshop(), order: { name: 'ASC' } }),
      source.manager.find(invitationEntity, {
        where: { ...inWorkshop(), endedAt: IsNull(), until: MoreThan(now()) },
        order: { until: 'ASC' },
      }),
    ]);
    const answer: People = {
      people: people.map(({ id, name, role, joinedAt, leftAt }) => ({
        id,
        name,
        role,
        joinedAt: joinedAt.toISOString(),
        leftAt: leftAt?.toISOString() ?? null,
      })),
      invitations: invitations.map(shownInvitation),
    };
    response.json(answer);
  });

  router.put('/people/:id', async (request, response) => {
    const id = idParam(request, 'id');
    const { role } = checkedBody(request, checkPerson);
    await transact(source, async (manager) => {
      const { name } = await personOf(manager, id);
      if (role !== 'owner') await refuseWithoutOwner(manager, id);
      await manager.update(personEntity, { id }, { role });
      await writeDown(manager, 'role', `${name}: ${role}`);
    });
    response.status(204).end();
  });

  router.delete('/people/:id', async (request, response) => {
    const id = idParam(request, 'id');
    await transact(source, async (manager) => {
      const { name } = await personOf(manager, id);
      await refuseWithoutOwner(manager, id);
      await manager.update(personEntity, { id }, { leftAt: now(), password: null });
      await manager.delete(passkeyEntity, { personId: id });
      await endDevices(manager, { personId: id }, now());
      await writeDown(manager, 'person-left', name);
    });
    response.status(204).end();
  });
  return router;
}
