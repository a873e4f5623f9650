import { pieceFields, putSchema } from '@nucleon/contract/jobFileSchema';
import { validator } from '@nucleon/contract/validator';
import type { Put, StoredPiece } from '@nucleon/contract/wire';
import { Router } from 'express';
import { IsNull } from 'typeorm';
import { nextPosition } from '../database/position';
import { putVersioned } from '../database/putVersioned';
import { setDeleted } from '../database/softDelete';
import { transact } from '../database/transact';
import { checkedBody, idParam } from '../http/body';
import { notFound } from '../http/problem';
import { checkPieceAlone } from './checkPieceAlone';
import { jobEntity } from '../jobs/jobEntity';
import { touchJob } from '../jobs/touchJob';
import { loadPiece } from '../plans/loadJob';
import { storePlans } from '../plans/storePlans';
import type { ServerContext } from '../serverContext';
import { pieceEntity } from './pieceEntity';
import { pieceContent, storedPiece } from './pieceMapping';

const checkPieceBody = validator<Put<StoredPiece>>(putSchema(pieceFields, 'piece'));

export function pieceRoutes({ source, now }: ServerContext): Router {
  const router = Router();
  router.put('/jobs/:jobId/pieces/:pieceId', async (request, response) => {
    const [jobId, id] = [idParam(request, 'jobId'), idParam(request, 'pieceId')];
    const body = checkedBody(request, checkPieceBody);
    const row = await transact(source, async (manager) => {
      const job = await manager.findOneBy(jobEntity, { id: jobId, deletedAt: IsNull() });
      if (!job) throw notFound('job', jobId);
      checkPieceAlone(job, id, body);
      // A piece to practise on comes first in the job.
      const where = body.practice ? 'front' : 'end';
      const position = await nextPosition(manager, pieceEntity, id, { jobId }, where);
      const put = {
        id,
        version: body.version,
        content: pieceContent(body, jobId, position),
        now: now(),
      };
      const written = await putVersioned(manager, pieceEntity, put, storedPiece);
      if (written.changed) {
        await storePlans(manager, await loadPiece(manager, id), now());
        await touchJob(manager, jobId, now());
      }
      return written.row;
    });
    response.json(storedPiece(row));
  });
  router.delete('/pieces/:pieceId', async (request, response) => {
    await setDeleted(source.manager, pieceEntity, idParam(request, 'pieceId'), now());
    response.status(204).end();
  });
  router.post('/pieces/:pieceId/restore', async (request, response) => {
    await setDeleted(source.manager, pieceEntity, idParam(request, 'pieceId'), null);
    response.status(204).end();
  });
  return router;
}
