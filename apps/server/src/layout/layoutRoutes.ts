import { layoutSchema } from '@nucleon/contract/layoutSchema';
import { validator } from '@nucleon/contract/validator';
import type { PieceLayout, PutLayout } from '@nucleon/contract/wire';
import { Router } from 'express';
import { In, IsNull, type EntityManager } from 'typeorm';
import { lockPiece } from '../database/locks';
import { nextPosition } from '../database/position';
import { putVersioned } from '../database/putVersioned';
import { transact } from '../database/transact';
import { holeEntity } from '../holes/holeEntity';
import { holeContent, storedHole } from '../holes/holeMapping';
import { checkedBody, idParam } from '../http/body';
import { jobWithMaterials } from '../jobs/jobMapping';
import { touchJob } from '../jobs/touchJob';
import { checkPieceAlone } from '../pieces/checkPieceAlone';
import { pieceEntity } from '../pieces/pieceEntity';
import { pieceContent, storedPiece } from '../pieces/pieceMapping';
import { loadPiece } from '../plans/loadJob';
import { storePlans } from '../plans/storePlans';
import type { ServerContext } from '../serverContext';

const checkLayoutBody = validator<PutLayout>(layoutSchema);

async function layoutOf(manager: EntityManager, pieceId: string): Promise<PieceLayout> {
  const { job, piece, holes } = await loadPiece(manager, pieceId);
  return {
    job: jobWithMaterials(job),
    piece: storedPiece(piece),
    holes: holes.map(storedHole),
  };
}

/** Writes what was moved on a piece, all of it or nothing; the holes written are planned anew. */
async function putLayout(
  manager: EntityManager,
  pieceId: string,
  body: PutLayout,
  now: Date,
): Promise<void> {
  await lockPiece(manager, pieceId);
  const before = await loadPiece(manager, pieceId);
  const { job, piece } = before;
  const written = new Set<string>();
  let reshaped = false;
  if (body.piece) {
    checkPieceAlone(job, pieceId, body.piece);
    const content = pieceContent(body.piece, job.id, piece.position);
    const put = { id: pieceId, version: body.piece.version, content, now };
    reshaped = (await putVersioned(manager, pieceEntity, put, storedPiece)).changed;
  }
  for (const { id, ...hole } of body.holes) {
    const position = await nextPosition(manager, holeEntity, id, { pieceId });
    const content = holeContent(hole, pieceId, position);
    const within = { key: 'pieceId', name: 'piece' } as const;
    const put = { id, version: hole.version, content, now, within };
    const { changed } = await putVersioned(manager, holeEntity, put, storedHole);
    if (changed) written.add(id);
    // A hole taken away and brought back by undo.
    await manager.update(holeEntity, { id, pieceId }, { deletedAt: null });
  }
  const removed = body.removed ?? [];
  if (removed.length > 0)
    await manager.update(
      holeEntity,
      { id: In([...removed]), pieceId, deletedAt: IsNull() },
      { deletedAt: now },
    );
  if (!reshaped && written.size === 0 && removed.length === 0) return;
  const loaded = await loadPiece(manager, pieceId);
  const due = reshaped ? loaded.holes : loaded.holes.filter(({ id }) => written.has(id));
  await storePlans(manager, { ...loaded, holes: due }, now, before);
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
    await transact(source, (manager) => putLayout(manager, pieceId, body, now()));
    response.json(await layoutOf(source.manager, pieceId));
  });
  return router;
}
