import { putLayout } from '@nucleon/contract/bodies';
import { validator } from '@nucleon/contract/validator';
import type { PieceLayout } from '@nucleon/contract/wire';
import { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { transact } from '../database/transact';
import { refuseClashes } from '../documents/checkAlone';
import { aliveJob, holesOf, pieceToWrite } from '../documents/loadJob';
import { findOne, put, putAll } from '../documents/repository';
import { documentOf, SHOWN } from '../documents/shown';
import { setDeleted } from '../bin/setDeleted';
import { checkedBody, idParam } from '../http/body';
import { notFound } from '../http/problem';
import { touchJob } from '../jobs/touchJob';
import { planAfterWrite } from '../plans/planAfterWrite';
import type { ServerContext } from '../serverContext';

const checkLayoutBody = validator(putLayout);
type LayoutBody = (ReturnType<typeof checkLayoutBody> & { kind: 'valid' })['value'];

async function layoutOf(manager: EntityManager, pieceId: string): Promise<PieceLayout> {
  const piece = await findOne(manager, 'piece', { id: pieceId });
  if (!piece || piece.deletedAt) throw notFound('piece', pieceId);
  const job = await aliveJob(manager, piece.parentId);
  const holes = await holesOf(manager, pieceId);
  return { job: SHOWN.job(job), piece: SHOWN.piece(piece), holes: holes.map(SHOWN.hole) };
}

/** Writes what was moved on a piece, all of it or nothing; the holes written are planned anew. */
async function putAllOf(
  manager: EntityManager,
  pieceId: string,
  { piece: newPiece, holes, removed = [], restored = [] }: LayoutBody,
  now: Date,
): Promise<void> {
  const { job, piece, nextPosition } = await pieceToWrite(manager, pieceId);
  const before = { job, pieces: [piece], holes: await holesOf(manager, pieceId) };
  let shaped = { row: piece, changed: false };
  if (newPiece) {
    const { version, ...body } = newPiece;
    const document = documentOf('piece', body);
    refuseClashes(
      {
        pieces: [{ ...document, id: pieceId, holes: [] }],
        customMaterials: job.document.customMaterials ?? [],
      },
      /^\/pieces\/0/,
    );
    const one = { id: pieceId, parentId: job.id, version, document };
    shaped = await put(manager, 'piece', one, now, piece);
  }
  const own = { pieceId };
  const back = await setDeleted(manager, 'hole', restored, null, own);
  const puts = holes.map(({ id, version, ...body }, place) => ({
    id,
    parentId: pieceId,
    version,
    document: documentOf('hole', body),
    position: nextPosition + place,
  }));
  const written = await putAll(manager, 'hole', puts, now);
  const away = await setDeleted(manager, 'hole', removed, now, own);
  const changed = new Set(written.filter((one) => one.changed).map(({ row }) => row.id));
  if (!shaped.changed && changed.size + back + away === 0) return;
  const left = await holesOf(manager, pieceId);
  const due = shaped.changed
    ? left
    : left.filter(({ id }) => changed.has(id) || restored.includes(id));
  await planAfterWrite(manager, { job, pieces: [shaped.row], holes: due }, before);
  await touchJob(manager, job.id, now);
}

/** A piece with all its holes at once: what the plan view moves about. */
export function layoutRoutes({ source, now }: ServerContext): Router {
  const router = Router();
  router.get('/pieces/:pieceId/layout', async (request, response) => {
    response.json(await layoutOf(source.manager, idParam(request, 'pieceId')));
  });
  router.put('/pieces/:pieceId/layout', async (request, response) => {
    const pieceId = idParam(request, 'pieceId');
    const body = checkedBody(request, checkLayoutBody);
    await transact(source, (manager) => putAllOf(manager, pieceId, body, now()));
    response.json(await layoutOf(source.manager, pieceId));
  });
  return router;
}
