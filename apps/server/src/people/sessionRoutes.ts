import {
  postJoin,
  postSession,
  postShareOpened,
  postToken,
  postUnlock,
  putPassword,
  putPin,
  type Session,
} from '@nucleon/contract/people';
import { validator } from '@nucleon/contract/validator';
import { Router } from 'express';
import { IsNull, MoreThan, type EntityManager } from 'typeorm';
import { transact } from '../database/transact';
import { lockKit } from '../database/locks';
import { checkedBody } from '../http/body';
import { faultyProblem, Problem } from '../http/problem';
import type { ServerContext } from '../serverContext';
import { askingNow, personAsking, type Asker } from './asking';
import { writeDown } from './audit';
import { addDevice, endDevices } from './devices';
import { deviceEntity, invitationEntity, personEntity, shareEntity } from './peopleEntities';
import { hashOfToken, hashPassword, isPassword } from './secrets';
import { giveSession, sessionTokenOf, takeSession } from './sessionCookie';
import type { Tries } from './tries';

const checkSession = validator(postSession);
const checkToken = validator(postToken);
const checkJoin = validator(postJoin);
const checkUnlock = validator(postUnlock);
const checkPassword = validator(putPassword);
const checkPin = validator(putPin);
const checkShare = validator(postShareOpened);

const LINK_OVER = new Problem(
  'not-found',
  'This link was used, ended or has run out; ask for another.',
);
const WRONG = faultyProblem([
  { pointer: '/password', message: 'Name and password do not belong together.' },
]);
const NOT_THE_OLD_ONE = faultyProblem([
  { pointer: '/old', message: 'That is not your password as it is now.' },
]);
const NOT_THE_PIN = faultyProblem([{ pointer: '/pin', message: 'That is not this device’s PIN.' }]);

async function sessionOf(manager: EntityManager, asker: Asker | null): Promise<Session> {
  switch (asker?.kind) {
    case undefined:
      return {
        kind: 'nobody',
        first: !(await manager.existsBy(personEntity, { leftAt: IsNull() })),
      };
    case 'local':
      return asker;
    case 'share':
      return { kind: 'share', jobId: asker.jobId, until: asker.until.toISOString() };
    case 'person':
      return asker;
  }
}

/** Signing in and out, joining by a link, and what a person sets for the device at hand. */
export function sessionRoutes(context: ServerContext, tried: Tries): Router {
  const { source, now, newId } = context;
  const router = Router();

  router.get('/session', async (request, response) => {
    const asker = askingNow()?.asker ?? null;
    const token = sessionTokenOf(request);
    if (asker && token !== undefined && asker.kind !== 'local') giveSession(response, token);
    response.json(await sessionOf(source.manager, asker));
  });

  router.post('/session', async (request, response) => {
    const { name, password, device } = checkedBody(request, checkSession);
    const { id: personId, workshopId } = await tried(
      request,
      `as ${name.toLowerCase()}`,
      async () => {
        const person = await source.manager.findOneBy(personEntity, { name, leftAt: IsNull() });
        if ((await isPassword(password, person?.password ?? null)) && person) return person;
        const of = person && { workshopId: person.workshopId, personId: null, name: '' };
        await writeDown(source.manager, 'sign-in-refused', name, of ?? undefined);
        throw WRONG;
      },
    );
    const token = await transact(source, async (manager) => {
      await writeDown(manager, 'sign-in', device, { workshopId, personId, name });
      return addDevice(manager, context, device, { workshopId, personId });
    });
    giveSession(response, token);
    response.status(204).end();
  });

  router.delete('/session', async (_request, response) => {
    const asker = askingNow()?.asker;
    if (asker && asker.kind !== 'local')
      await transact(source, async (manager) => {
        await endDevices(manager, { id: asker.deviceId }, now());
        if (asker.kind === 'person') await writeDown(manager, 'sign-out', '');
      });
    takeSession(response);
    response.status(204).end();
  });

  const standingInvitation = async (manager: EntityManager, token: string) => {
    const found = await manager.findOneBy(invitationEntity, {
      tokenHash: hashOfToken(token),
      endedAt: IsNull(),
      until: MoreThan(now()),
    });
    if (!found) throw LINK_OVER;
    return found;
  };

  router.post('/invitations/look', async (request, response) => {
    const { token } = checkedBody(request, checkToken);
    const { role, madeBy } = await standingInvitation(source.manager, token);
    response.json({ role, madeBy });
  });

  router.post('/invitations/join', async (request, response) => {
    const { token, name, password, device } = checkedBody(request, checkJoin);
    await standingInvitation(source.manager, token);
    const hash = await hashPassword(password);
    const own = await transact(source, async (manager) => {
      // One after another: a link is used once, and a name is one person’s on the whole server.
      await lockKit(manager);
      const { id, workshopId, role } = await standingInvitation(manager, token);
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

  router.post('/shares/open', async (request, response) => {
    const { token, device } = checkedBody(request, checkShare);
    const share = await source.manager.findOneBy(shareEntity, {
      tokenHash: hashOfToken(token),
      endedAt: IsNull(),
      until: MoreThan(now()),
    });
    if (!share) throw LINK_OVER;
    // Whoever has signed in already reads it as themselves.
    if (askingNow()?.asker?.kind !== 'person' && askingNow()?.asker?.kind !== 'local') {
      const own = await transact(source, async (manager) => {
        const { id: shareId, workshopId, jobId } = share;
        await writeDown(manager, 'share-opened', jobId, { workshopId, personId: null, name: '' });
        return addDevice(manager, context, device, { workshopId, shareId });
      });
      giveSession(response, own);
    }
    response.json({ jobId: share.jobId });
  });

  router.put('/session/password', async (request, response) => {
    const { old, password } = checkedBody(request, checkPassword);
    const { personId, deviceId } = personAsking();
    await tried(request, `person ${personId}`, async () => {
      const person = await source.manager.findOneByOrFail(personEntity, { id: personId });
      if (!(await isPassword(old, person.password))) throw NOT_THE_OLD_ONE;
    });
    const hash = await hashPassword(password);
    await transact(source, async (manager) => {
      await manager.update(personEntity, { id: personId }, { password: hash });
      // Whoever knew the old one is out; the device at hand stays.
      await endDevices(manager, { personId }, now());
      await manager.update(deviceEntity, { id: deviceId }, { endedAt: null });
      await writeDown(manager, 'password', '');
    });
    response.status(204).end();
  });

  router.put('/session/pin', async (request, response) => {
    const { pin } = checkedBody(request, checkPin);
    const { deviceId } = personAsking();
    const hash = pin === undefined ? null : await hashPassword(pin);
    await transact(source, async (manager) => {
      await manager.update(deviceEntity, { id: deviceId }, { pin: hash, lockedAt: null });
      await writeDown(manager, 'bench-pin', hash === null ? 'off' : 'on');
    });
    response.status(204).end();
  });

  router.post('/session/lock', async (_request, response) => {
    const { deviceId } = personAsking();
    await source.manager.update(deviceEntity, { id: deviceId }, { lockedAt: now() });
    response.status(204).end();
  });

  router.post('/session/unlock', async (request, response) => {
    const { pin } = checkedBody(request, checkUnlock);
    const { deviceId } = personAsking();
    await tried(request, `device ${deviceId}`, async () => {
      const device = await source.manager.findOneByOrFail(deviceEntity, { id: deviceId });
      if (await isPassword(pin, device.pin)) return;
      await writeDown(source.manager, 'unlock-refused', device.name);
      throw NOT_THE_PIN;
    });
    await source.manager.update(deviceEntity, { id: deviceId }, { lockedAt: null, seenAt: now() });
    response.status(204).end();
  });
  return router;
}
