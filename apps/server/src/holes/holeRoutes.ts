import { holeFields, putSchema } from '@nucleon/contract/jobFileSchema';
import { validator } from '@nucleon/contract/validator';
import type { HoleDetail, Put, StoredHole } from '@nucleon/contract/wire';
import type { JobFile } from '@nucleon/core/job/job';
import { assessHole } from '@nucleon/core/plan/assessHole';
import { rememberingBend } from '@nucleon/core/plate/bender';
import { Router } from 'express';
import { IsNull, type EntityManager } from 'typeorm';
import { nextPosition } from '../database/position';
import { putVersioned } from '../database/putVersioned';
import { setDeleted } from '../database/softDelete';
import { transact } from '../database/transact';
import { checkedBody, idParam } from '../http/body';
import { faultyProblem, notFound } from '../http/problem';
import type { JobRow } from '../jobs/jobEntity';
import { jobWithMaterials } from '../jobs/jobMapping';
import { touchJob } from '../jobs/touchJob';
import type { PieceRow } from '../pieces/pieceEntity';
import { storedPiece } from '../pieces/pieceMapping';
import { loadKit, loadPiece, planningFile } from '../plans/loadJob';
import { planOf, storePlans } from '../plans/storePlans';
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

/** The job of one hole that its plan is made from. */
async function holeFile(manager: EntityManager, id: string): Promise<JobFile> {
  const row = await manager.findOneBy(holeEntity, { id, deletedAt: IsNull() });
  if (!row) throw notFound('hole', id);
  const loaded = await loadPiece(manager, row.pieceId, id);
  return planningFile(loaded, await loadKit(manager), loaded.piece, row);
}

export function holeRoutes({ source, now }: ServerContext): Router {
  const router = Router();
  router.get('/holes/:holeId', async (request, response) => {
    response.json(await holeDetail(source.manager, idParam(request, 'holeId')));
  });
  router.get('/holes/:holeId/plan', async (request, response) => {
    const id = idParam(request, 'holeId');
    const hole = await source.manager.findOneBy(holeEntity, { id, deletedAt: IsNull() });
    if (!hole) throw notFound('hole', id);
    response.json(await planOf(source.manager, hole, now(), request.query.bent === 'true'));
  });
  router.get('/holes/:holeId/risk', async (request, response) => {
    const file = await holeFile(source.manager, idParam(request, 'holeId'));
    const assessed = assessHole(file, idParam(request, 'holeId'), { bend: rememberingBend() });
    if (assessed.kind === 'faulty') throw faultyProblem(assessed.faults);
    response.json(assessed.risk);
  });
  router.put('/pieces/:pieceId/holes/:holeId', async (request, response) => {
    const [pieceId, id] = [idParam(request, 'pieceId'), idParam(request, 'holeId')];
    const body = checkedBody(request, checkHoleBody);
    const row = await transact(source, async (manager) => {
      const { job } = await loadPiece(manager, pieceId, id);
      const position = await nextPosition(manager, holeEntity, id, { pieceId });
      const put = {
        id,
        version: body.version,
        content: holeContent(body, pieceId, position),
        now: now(),
      };
      const written = await putVersioned(manager, holeEntity, put, storedHole);
      if (written.changed) {
        await storePlans(manager, await loadPiece(manager, pieceId, id), now());
        await touchJob(manager, job.id, now());
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
