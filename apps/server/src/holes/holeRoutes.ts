import { holeFields, putSchema } from '@nucleon/contract/jobFileSchema';
import { validator } from '@nucleon/contract/validator';
import type { HoleDetail, NotPlanned, Put, StoredHole } from '@nucleon/contract/wire';
import { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { lockPiece } from '../database/locks';
import { nextPosition } from '../database/position';
import { putVersioned } from '../database/putVersioned';
import { addBin } from '../database/softDelete';
import { transact } from '../database/transact';
import { checkedBody, idParam } from '../http/body';
import { notFound } from '../http/problem';
import type { JobRow } from '../jobs/jobEntity';
import { jobWithMaterials } from '../jobs/jobMapping';
import { touchJob } from '../jobs/touchJob';
import type { PieceRow } from '../pieces/pieceEntity';
import { storedPiece } from '../pieces/pieceMapping';
import { loadPiece } from '../plans/loadJob';
import { forgetHolePlan, planOf, riskOf, storePlans, type Read } from '../plans/storePlans';
import type { ServerContext } from '../serverContext';
import { holeEntity, type HoleRow } from './holeEntity';
import { holeContent, storedHole } from './holeMapping';

const checkHoleBody = validator<Put<StoredHole>>(putSchema(holeFields, 'hole'));

/** The hole with its piece and job, in one question to the database. */
async function holeDetail(manager: EntityManager, id: string): Promise<HoleDetail> {
  const found = await manager
    .createQueryBuilder(holeEntity, 'hole')
    .innerJoinAndMapOne(
      'hole.piece',
      'piece',
      'piece',
      'piece.id = hole.pieceId AND piece.deletedAt IS NULL',
    )
    .innerJoinAndMapOne('hole.job', 'job', 'job', 'job.id = piece.jobId AND job.deletedAt IS NULL')
    .where('hole.id = :id AND hole.deletedAt IS NULL', { id })
    .getOne();
  if (!found) throw notFound('hole', id);
  const { piece, job } = found as HoleRow & { piece: PieceRow; job: JobRow };
  return {
    job: jobWithMaterials(job),
    piece: storedPiece(piece),
    hole: storedHole(found),
  };
}

/** A hole that cannot be planned is read as what is wrong with it. */
const shown = <T>(read: Read<T>): T | NotPlanned =>
  read.kind === 'made' ? read.value : { faults: read.faults };

export function holeRoutes(context: ServerContext): Router {
  const { source, now } = context;
  const router = Router();
  router.get('/holes/:holeId', async (request, response) => {
    response.json(await holeDetail(source.manager, idParam(request, 'holeId')));
  });
  router.get('/holes/:holeId/plan', async (request, response) => {
    const bent = request.query.bent === 'true';
    response.json(shown(await planOf(context, idParam(request, 'holeId'), bent)));
  });
  router.get('/holes/:holeId/risk', async (request, response) => {
    response.json(shown(await riskOf(context, idParam(request, 'holeId'))));
  });
  router.put('/pieces/:pieceId/holes/:holeId', async (request, response) => {
    const [pieceId, id] = [idParam(request, 'pieceId'), idParam(request, 'holeId')];
    const body = checkedBody(request, checkHoleBody);
    const row = await transact(source, async (manager) => {
      await lockPiece(manager, pieceId);
      const loaded = await loadPiece(manager, pieceId, id);
      const position = await nextPosition(manager, holeEntity, id, { pieceId });
      const put = {
        id,
        version: body.version,
        content: holeContent(body, pieceId, position),
        now: now(),
        within: { key: 'pieceId', name: 'piece' } as const,
      };
      const written = await putVersioned(manager, holeEntity, put, storedHole);
      if (written.changed) {
        await storePlans(manager, { ...loaded, holes: [written.row] }, now());
        await touchJob(manager, loaded.job.id, now());
      }
      return written.row;
    });
    response.json(storedHole(row));
  });
  addBin(router, context, '/holes', holeEntity, forgetHolePlan);
  return router;
}
