import { postSession, putPassword, type Session } from '@nucleon/contract/people';
import { validator } from '@nucleon/contract/validator';
import { Router } from 'express';
import { IsNull, type EntityManager } from 'typeorm';
import { transact } from '../database/transact';
import { checkedBody } from '../http/body';
import { faultyProblem } from '../http/problem';
import type { ServerContext } from '../serverContext';
import { askingNow, personAsking, type Asker } from './asking';
import { writeDown } from './audit';
import { addDevice, endDevices } from './devices';
import { deviceEntity, personEntity } from './peopleEntities';
import { hashPassword, isPassword } from './secrets';
import { giveSession, sessionTokenOf, takeSession } from './sessionCookie';
import type { Tries } from './tries';

const checkSession = validator(postSession);
const checkPassword = validator(putPassword);

const WRONG = faultyProblem([
  { pointer: '/password', message: 'Name and password do not belong together.' },
]);
const NOT_THE_OLD_ONE = faultyProblem([
  { pointer: '/old', message: 'That is not your password as it is now.' },
]);
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

/** Signing in and out by a password, and changing it. */
export function sessionRoutes(context: ServerContext, tried: Tries): Router {
  const { source, now } = context;
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
  return router;
}
