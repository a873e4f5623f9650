import {
  postInvitation,
  postShare,
  putPerson,
  type AuditEntry,
  type Device,
  type Invitation,
  type People,
  type Share,
  type WithToken,
} from '@nucleon/contract/people';
import { validator } from '@nucleon/contract/validator';
import type { Page } from '@nucleon/contract/wire';
import type { Role } from '@nucleon/core/data/people';
import { Router } from 'express';
import { IsNull, MoreThan, Not, type EntityManager } from 'typeorm';
import { lockKit } from '../database/locks';
import { transact } from '../database/transact';
import { workshopNow } from '../database/workshop';
import { aliveJob } from '../documents/loadJob';
import { namesOf } from './subjectNames';
import { checkedBody, idParam } from '../http/body';
import { pageQuery } from '../http/paging';
import { notFound, Problem } from '../http/problem';
import type { ServerContext } from '../serverContext';
import { askingNow, personAsking } from './asking';
import { writeDown } from './audit';
import { endDevices } from './devices';
import { FORGOTTEN_MS } from './findAsker';
import {
  auditEntity,
  deviceEntity,
  invitationEntity,
  passkeyEntity,
  personEntity,
  shareEntity,
  type InvitationRow,
  type ShareRow,
} from './peopleEntities';
import { hashOfToken, newToken } from './secrets';

const DAY_MS = 24 * 3600 * 1000;
/** An invitation is for somebody who stands beside you, or is sent today. */
const INVITATION_MS = 3 * DAY_MS;
const inWorkshop = () => ({ workshopId: workshopNow() });

const checkInvitation = validator(postInvitation);
const checkPerson = validator(putPerson);
const checkShare = validator(postShare);

/** At the workshop's own computer nobody has a name. */
const nameNow = (): string => {
  const asker = askingNow()?.asker;
  return asker?.kind === 'person' ? asker.name : '';
};

const shownInvitation = ({ id, role, madeBy, until }: InvitationRow): Invitation => ({
  id,
  role,
  madeBy,
  until: until.toISOString(),
});
const shownShare = ({ id, jobId, madeBy, until }: ShareRow): Share => ({
  id,
  jobId,
  madeBy,
  until: until.toISOString(),
});

/** Makes an invitation. @returns it with its secret, told this once */
export async function invite(
  manager: EntityManager,
  { now, newId }: Pick<ServerContext, 'now' | 'newId'>,
  role: Role,
  madeBy: string,
): Promise<WithToken<Invitation>> {
  const token = newToken();
  const row: InvitationRow = {
    id: newId(),
    ...inWorkshop(),
    tokenHash: hashOfToken(token),
    role,
    madeBy,
    until: new Date(now().getTime() + INVITATION_MS),
    endedAt: null,
  };
  await manager.insert(invitationEntity, row);
  return { ...shownInvitation(row), token };
}

/** Locked, so that two who act at once do not leave a workshop without an owner. @throws Problem where it would be */
async function refuseWithoutOwner(manager: EntityManager, personId: string): Promise<void> {
  await lockKit(manager);
  const another = { ...inWorkshop(), role: 'owner' as const, leftAt: IsNull(), id: Not(personId) };
  if (!(await manager.existsBy(personEntity, another)))
    throw new Problem('conflict', 'A workshop needs an owner; make another one first.');
}

/** People of a workshop and their devices, what lets others in, and what was done. */
export function peopleRoutes(context: ServerContext): Router {
  const { source, now, newId, doors } = context;
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
      await manager.update(invitationEntity, { ...inWorkshop(), id }, { endedAt: now() });
      await writeDown(manager, 'invitation-ended', id);
    });
    response.status(204).end();
  });

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
    const devices: readonly Device[] = rows.map((row) => ({
      id: row.id,
      personId: row.personId,
      personName: nameOf.get(row.personId ?? '') ?? '',
      name: row.name,
      bench: row.pin !== null,
      since: row.since.toISOString(),
      seenAt: row.seenAt.toISOString(),
      own: row.id === deviceId,
    }));
    response.json({ items: devices });
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

  router.get('/jobs/:jobId/shares', async (request, response) => {
    const jobId = idParam(request, 'jobId');
    const rows = await source.manager.find(shareEntity, {
      where: { ...inWorkshop(), jobId, endedAt: IsNull(), until: MoreThan(now()) },
      order: { until: 'ASC' },
    });
    response.json({ items: rows.map(shownShare) });
  });

  router.post('/jobs/:jobId/shares', async (request, response) => {
    const jobId = idParam(request, 'jobId');
    const { days } = checkedBody(request, checkShare);
    const token = newToken();
    const row: ShareRow = {
      id: newId(),
      ...inWorkshop(),
      jobId,
      tokenHash: hashOfToken(token),
      madeBy: nameNow(),
      until: new Date(now().getTime() + days * DAY_MS),
      endedAt: null,
    };
    await transact(source, async (manager) => {
      const { document } = await aliveJob(manager, jobId);
      await manager.insert(shareEntity, row);
      await writeDown(manager, 'share', document.job.name);
    });
    const answer: WithToken<Share> = { ...shownShare(row), token };
    response.status(201).json(answer);
  });

  router.delete('/shares/:id', async (request, response) => {
    const id = idParam(request, 'id');
    await transact(source, async (manager) => {
      await manager.update(shareEntity, { ...inWorkshop(), id }, { endedAt: now() });
      await writeDown(manager, 'share-ended', id);
    });
    response.status(204).end();
  });

  router.get('/audit', async (request, response) => {
    const { page, pageSize } = pageQuery(request.query);
    const [rows, total] = await source.manager.findAndCount(auditEntity, {
      where: inWorkshop(),
      order: { seq: 'DESC' },
      skip: (page - 1) * pageSize,
      take: pageSize,
    });
    const names = await namesOf(
      source.manager,
      rows.map(({ subject }) => subject),
    );
    const answer: Page<AuditEntry> = {
      items: rows.map(({ seq, at, personName, address, act, subject }) => ({
        seq: Number(seq),
        at: at.toISOString(),
        personName,
        address,
        act,
        subject: names.get(subject) ?? subject,
      })),
      page,
      pageSize,
      total,
    };
    response.json(answer);
  });
  return router;
}
