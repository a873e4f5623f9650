import { pieceFields, putSchema } from '@nucleon/contract/jobFileSchema';
import { validator } from '@nucleon/contract/validator';
import type { Put, StoredPiece } from '@nucleon/contract/wire';
import { Router } from 'express';
import { IsNull } from 'typeorm';
import { lockPiece } from '../database/locks';
import { nextPosition } from '../database/position';
import { putVersioned } from '../database/putVersioned';
import { addBin } from '../database/softDelete';
import { transact } from '../database/transact';
import { checkedBody, idParam } from '../http/body';
import { notFound } from '../http/problem';
import { checkPieceAlone } from './checkPieceAlone';
import { jobEntity } from '../jobs/jobEntity';
import { touchJob } from '../jobs/touchJob';
import { loadPiece, maybePiece } from '../plans/loadJob';
import { forgetPiecePlans, storePlans } from '../plans/storePlans';
import type { ServerContext } from '../serverContext';
import { pieceEntity } from './pieceEntity';
import { pieceContent, storedPiece } from './pieceMapping';

const checkPieceBody = validator<Put<StoredPiece>>(putSchema(pieceFields, 'piece'));

export function pieceRoutes(context: ServerContext): Router {
  const { source, now } = context;
  const router = Router();
  router.put('/jobs/:jobId/pieces/:pieceId', async (request, response) => {
    const [jobId, id] = [idParam(request, 'jobId'), idParam(request, 'pieceId')];
    const body = checkedBody(request, checkPieceBody);
    const row = await transact(source, async (manager) => {
      await lockPiece(manager, id);
      await manager.query('SELECT id FROM job WHERE id = ? FOR UPDATE', [jobId]);
      const job = await manager.findOneBy(jobEntity, { id: jobId, deletedAt: IsNull() });
      if (!job) throw notFound('job', jobId);
      checkPieceAlone(job, id, body);
      const before = await maybePiece(manager, id);
      // A piece to practise on comes first in the job.
      const where = body.practice ? 'front' : 'end';
      const position = await nextPosition(manager, pieceEntity, id, { jobId }, where);
      const put = {
        id,
        version: body.version,
        content: pieceContent(body, jobId, position),
        now: now(),
        within: { key: 'jobId', name: 'job' } as const,
      };
      const written = await putVersioned(manager, pieceEntity, put, storedPiece);
      if (written.changed) {
        await storePlans(manager, await loadPiece(manager, id), now(), before);
        await touchJob(manager, jobId, now());
      }
      return written.row;
    });
    response.json(storedPiece(row));
  });
  addBin(router, context, '/pieces', pieceEntity, forgetPiecePlans);
  return router;
}
