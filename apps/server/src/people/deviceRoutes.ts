import { postUnlock, putPin, type Device } from '@nucleon/contract/people';
import { validator } from '@nucleon/contract/validator';
import { Router } from 'express';
import { IsNull, MoreThan } from 'typeorm';
import { transact } from '../database/transact';
import { workshopNow } from '../database/workshop';
import { checkedBody, idParam } from '../http/body';
import { faultyProblem, notFound } from '../http/problem';
import type { ServerContext } from '../serverContext';
import { personAsking } from './asking';
import { writeDown } from './audit';
import { endDevices } from './devices';
import { FORGOTTEN_MS } from './findAsker';
import { deviceEntity, personEntity, type DeviceRow } from './peopleEntities';
import { hashPassword, isPassword } from './secrets';
import type { Tries } from './tries';

const checkUnlock = validator(postUnlock);
const checkPin = validator(putPin);
const inWorkshop = () => ({ workshopId: workshopNow() });

const NOT_THE_PIN = faultyProblem([{ pointer: '/pin', message: 'That is not this device’s PIN.' }]);

const shown = (row: DeviceRow): Omit<Device, 'personName' | 'own'> => ({
  id: row.id,
  personId: row.personId,
  name: row.name,
  bench: row.pin !== null,
  since: row.since.toISOString(),
  seenAt: row.seenAt.toISOString(),
});

/** Where people are signed in: seen, ended, and locked by a PIN at the bench. */
export function deviceRoutes({ source, now }: ServerContext, tried: Tries): Router {
  const router = Router();

  router.get('/devices', async (_request, response) => {
    const { personId, deviceId, role } = personAsking();
    const rows = await source.manager.find(deviceEntity, {
      where: {
        ...inWorkshop(),
        endedAt: IsNull(),
        seenAt: MoreThan(new Date(now().getTime() - FORGOTTEN_MS)),
        ...(role === 'owner' ? {} : { personId }),
      },
      order: { seenAt: 'DESC' },
    });
    const people = await source.manager.findBy(personEntity, inWorkshop());
    const nameOf = new Map(people.map(({ id, name }) => [id, name]));
    const items = rows.map((row) => ({
      ...shown(row),
      personName: nameOf.get(row.personId ?? '') ?? '',
      own: row.id === deviceId,
    }));
    response.json({ items });
  });

  router.delete('/devices/:id', async (request, response) => {
    const id = idParam(request, 'id');
    const { personId, role } = personAsking();
    await transact(source, async (manager) => {
      const mine = role === 'owner' ? {} : { personId };
      const device = await manager.findOneBy(deviceEntity, { ...inWorkshop(), id, ...mine });
      if (!device) throw notFound('device', id);
      await endDevices(manager, { id }, now());
      await writeDown(manager, 'device-ended', device.name);
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
