import { mayActAs, type Role } from '@nucleon/core/data/people';
import type { RequestHandler } from 'express';
import type { EntityManager } from 'typeorm';
import { THE_WORKSHOP_ID } from '../database/workshop';
import { notFound, nothingAt, Problem } from '../http/problem';
import type { ServerContext } from '../serverContext';
import { whileAsking, type Asker, type Asking } from './asking';
import { writeDownRequest } from './audit';
import { IS_OF_JOB, refuseOthers } from './belonging';
import { findAsker } from './findAsker';
import { addressOf, questionLimit } from './questionLimit';
import { accessOf, type Asked } from './routeAccess';
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
