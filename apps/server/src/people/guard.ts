import { mayActAs, type Role } from '@nucleon/core/data/people';
import type { Request, RequestHandler } from 'express';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import type { EntityManager } from 'typeorm';
import { findOne } from '../documents/repository';
import { notFound, Problem } from '../http/problem';
import { runEntity } from '../runs/runEntities';
import type { ServerContext } from '../serverContext';
import { whileAsking, type Asker, type Asking } from './asking';
import { writeDownRequest } from './audit';
import { findAsker } from './findAsker';
import { accessOf, type Asked, type Shared } from './routeAccess';
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

/** Counts what each person, link and address asks. */
function makeMeter(): (asker: Asker | null, address: string) => Promise<void> {
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
  const count = makeMeter();
  return async (request, _response, next) => {
    const path = request.path.replace(/^\/v1/, '');
    const access = accessOf(request.method, path);
    const asker: Asker | null = doors.signsIn
      ? await findAsker(source.manager, sessionTokenOf(request), now())
      : { kind: 'local' };
    await count(asker, addressOf(request));
    if (!access && !asker) throw NOBODY;
    if (access) await refuse(source.manager, asker, access, path);
    const asking: Asking = {
      asker,
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
