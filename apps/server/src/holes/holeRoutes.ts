import { holeFields, putSchema } from '@nucleon/contract/jobFileSchema';
import { validator } from '@nucleon/contract/validator';
import type { HoleDetail, Put, StoredHole } from '@nucleon/contract/wire';
import { Router } from 'express';
import { IsNull, type EntityManager } from 'typeorm';
import { nextPosition } from '../database/position';
import { putVersioned } from '../database/putVersioned';
import { setDeleted } from '../database/softDelete';
import { transact } from '../database/transact';
import { checkedBody, idParam } from '../http/body';
import { notFound } from '../http/problem';
import { storedJob } from '../jobs/jobMapping';
import { touchJob } from '../jobs/touchJob';
import { pieceEntity, type PieceRow } from '../pieces/pieceEntity';
import { storedPiece } from '../pieces/pieceMapping';
import { loadJob } from '../plans/loadJob';
import { plansOf, storePlans } from '../plans/storePlans';
import type { ServerContext } from '../serverContext';
import { holeEntity } from './holeEntity';
import { holeContent, storedHole } from './holeMapping';

const checkHoleBody = validator<Put<StoredHole>>(putSchema(holeFields, 'hole'));

async function pieceRow(manager: EntityManager, id: string): Promise<PieceRow> {
  const piece = await manager.findOneBy(pieceEntity, { id, deletedAt: IsNull() });
  if (!piece) throw notFound('piece', id);
  return piece;
}

async function holeDetail(manager: EntityManager, id: string, now: Date): Promise<HoleDetail> {
  const hole = await manager.findOneBy(holeEntity, { id, deletedAt: IsNull() });
  if (!hole) throw notFound('hole', id);
  const piece = await pieceRow(manager, hole.pieceId);
  const loaded = await loadJob(manager, piece.jobId);
  const plans = await plansOf(manager, { ...loaded, holes: [hole] }, now);
  return {
    job: { ...storedJob(loaded.job), customMaterials: loaded.job.customMaterials ?? [] },
    piece: storedPiece(piece),
    hole: storedHole(hole),
    plan: plans.get(id)?.plan ?? null,
  };
}

export function holeRoutes({ source, now }: ServerContext): Router {
  const router = Router();
  router.get('/holes/:holeId', async (request, response) => {
    response.json(
      await transact(source, (manager) => holeDetail(manager, idParam(request, 'holeId'), now())),
    );
  });
  router.put('/pieces/:pieceId/holes/:holeId', async (request, response) => {
    const [pieceId, id] = [idParam(request, 'pieceId'), idParam(request, 'holeId')];
    const body = checkedBody(request, checkHoleBody);
    const row = await transact(source, async (manager) => {
      const { jobId } = await pieceRow(manager, pieceId);
      const position = await nextPosition(manager, holeEntity, id, { pieceId });
      const put = {
        id,
        version: body.version,
        content: holeContent(body, pieceId, position),
        now: now(),
      };
      const written = await putVersioned(manager, holeEntity, put, storedHole);
      if (written.changed) {
        await storePlans(manager, await loadJob(manager, jobId), now(), (holeId) => holeId === id);
        await touchJob(manager, jobId, now());
      }
      return written.row;
    });
    response.json(storedHole(row));
  });
  router.delete('/holes/:holeId', async (request, response) => {
    await setDeleted(source.manager, holeEntity, idParam(request, 'holeId'), now());
    response.status(204).end();
  });
  router.post('/holes/:holeId/restore', async (request, response) => {
    await setDeleted(source.manager, holeEntity, idParam(request, 'holeId'), null);
    response.status(204).end();
  });
  return router;
}
