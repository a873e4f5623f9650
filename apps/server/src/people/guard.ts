import { mayActAs, type Role } from '@nucleon/core/data/people';
import type { Request, RequestHandler } from 'express';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import type { EntityManager } from 'typeorm';
import { THE_WORKSHOP_ID } from '../database/workshop';
import type { DocumentKind } from '../documents/documentKinds';
import { findOne } from '../documents/repository';
import { notFound, nothingAt, Problem } from '../http/problem';
import { runEntity } from '../runs/runEntities';
import type { ServerContext } from '../serverContext';
import { whileAsking, type Asker, type Asking } from './asking';
import { writeDownRequest } from './audit';
import { findAsker } from './findAsker';
import { accessOf, type Asked, type PathKind, type Shared } from './routeAccess';
import { sessionTokenOf } from './sessionCookie';

const WHO: Readonly<Record<Role, string>> = {
  viewer: 'somebody of the workshop',
  worker: 'a worker or the owner',
  owner: 'the owner',
};
const notAllowed = (needs: Role): Problem =>
  new Problem(
    'not-allowed',
    `That is for ${WHO[needs]}; nothing was changed. The owner can give you that under People.`,
  );
const NOBODY = new Problem('sign-in', 'Sign in first; nothing was changed.');
const LOCKED = new Problem('locked', 'This device is locked; give its PIN. Nothing was changed.');

/** Refuses what the asker may not. */
async function refuse(
  manager: EntityManager,
  asker: Asker | null,
  access: Asked,
  path: string,
): Promise<void> {
  if (access.needs === 'anyone' || asker?.kind === 'local') return;
  if (!asker) throw NOBODY;
  if (asker.kind === 'share') {
    // Whoever holds a link to one job learns nothing of the others, not even that they are.
    const { shared, id } = access;
    if (!shared || !(await IS_OF_JOB[shared](manager, id, asker.jobId)))
      throw notFound('address', path);
    return;
  }
  if (asker.locked) throw LOCKED;
  if (!mayActAs(asker.role, access.needs)) throw notAllowed(access.needs);
}

type IsOfJob = (manager: EntityManager, id: string, jobId: string) => Promise<boolean> | boolean;

const isPieceOfJob: IsOfJob = async (manager, id, jobId) =>
  (await findOne(manager, 'piece', { id }))?.parentId === jobId;

/** Whether what is asked for belongs to the job a link shows. */
const IS_OF_JOB: Readonly<Record<Shared, IsOfJob>> = {
  kit: () => true,
  job: (_manager, id, jobId) => id === jobId,
  piece: isPieceOfJob,
  hole: async (manager, id, jobId) => {
    const hole = await findOne(manager, 'hole', { id });
    return hole !== null && isPieceOfJob(manager, hole.parentId, jobId);
  },
  run: async (manager, id, jobId) => (await manager.findOneBy(runEntity, { id }))?.jobId === jobId,
};

const LONGEST_ADDRESS = 45;
export const addressOf = (request: Request): string => (request.ip ?? '').slice(0, LONGEST_ADDRESS);

/** So much a person or a place may ask: far more than a hand can, and less than holds up the others. */
const A_MINUTE = { known: 1500, unknown: 240 } as const;
const MINUTE_S = 60;
const SLOWER = new Problem(
  'too-many',
  'That is more than is answered in a minute; nothing was changed. Go on in a minute.',
);

const hasWorkshop = (kind: DocumentKind) => async (manager: EntityManager, id: string) =>
  (await findOne(manager, kind, { id }))?.parentId;
const ofJob = hasWorkshop('job');
const ofPiece: WorkshopOf = async (manager, id) => {
  const piece = await findOne(manager, 'piece', { id });
  return piece ? ofJob(manager, piece.parentId) : undefined;
};

type WorkshopOf = (manager: EntityManager, id: string) => Promise<string | undefined>;
/** Whose each thing is that a path names; undefined of what is not there yet. */
const WORKSHOP_OF: Readonly<Record<PathKind, WorkshopOf>> = {
  job: ofJob,
  piece: ofPiece,
  hole: async (manager, id) => {
    const hole = await findOne(manager, 'hole', { id });
    return hole ? ofPiece(manager, hole.parentId) : undefined;
  },
  run: async (manager, id) => (await manager.findOneBy(runEntity, { id }))?.workshopId,
  bit: hasWorkshop('bit'),
  machine: hasWorkshop('machine'),
  // One table for all sorts.
  part: hasWorkshop('couplings'),
};

/** Another workshop's things are not there for whoever asks. */
async function refuseOthers(
  manager: EntityManager,
  asker: Exclude<Asker, { kind: 'local' }>,
  { things }: Asked,
): Promise<void> {
  for (const { kind, id } of things) {
    const workshopId = await WORKSHOP_OF[kind](manager, id);
    if (workshopId !== undefined && workshopId !== asker.workshopId) throw notFound(kind, id);
  }
}

/** Counts what each device and address asks, and refuses what is too much. */
function questionLimit(): (asker: Asker | null, address: string) => Promise<void> {
  const [known, unknown] = [A_MINUTE.known, A_MINUTE.unknown].map(
    (points) => new RateLimiterMemory({ points, duration: MINUTE_S }),
  ) as [RateLimiterMemory, RateLimiterMemory];
  return async (asker, address) => {
    if (asker?.kind === 'local') return;
    await (asker ? known.consume(asker.deviceId) : unknown.consume(address)).catch(() => {
      throw SLOWER;
    });
  };
}

/** Finds who asks, refuses what they may not, and lets what is done be written down. It stands before bodies are read. */
export function guard({ source, now, doors }: ServerContext): RequestHandler {
  const count = questionLimit();
  return async (request, _response, next) => {
    const path = request.path.replace(/^\/v1/i, '');
    const access = accessOf(request.method, path);
    const asker: Asker | null = doors.signsIn
      ? await findAsker(source.manager, sessionTokenOf(request), now(), !access?.watches)
      : { kind: 'local' };
    await count(asker, addressOf(request));
    if (!asker && !access) throw NOBODY;
    // What does not stand in the table is not answered, whatever the router would make of it.
    if (!access && doors.signsIn) throw nothingAt(request);
    if (access) await refuse(source.manager, asker, access, path);
    if (access && asker && asker.kind !== 'local')
      await refuseOthers(source.manager, asker, access);
    const asking: Asking = {
      asker,
      workshopId: asker && asker.kind !== 'local' ? asker.workshopId : THE_WORKSHOP_ID,
      at: now(),
      address: addressOf(request),
      act: access?.act ?? null,
      subject: access?.subject ?? '',
      noted: false,
    };
    // A write is written down with what it changes; a file that is taken out changes nothing.
    if (request.method === 'GET') await writeDownRequest(source.manager, asking);
    whileAsking(asking, () => {
      next();
    });
  };
}
