import { putPiece } from '@nucleon/contract/bodies';
import { validator } from '@nucleon/contract/validator';
import { Router } from 'express';
import { transact } from '../database/transact';
import { refuseClashes } from '../documents/checkAlone';
import { holesOf } from '../documents/loadJob';
import { findOne, put } from '../documents/repository';
import { documentOf, SHOWN } from '../documents/shown';
import { checkedBody, idParam } from '../http/body';
import { lockedJob, touchJob } from '../jobs/touchJob';
import { planAfterWrite } from '../plans/planAfterWrite';
import type { ServerContext } from '../serverContext';
import { lockPiece } from '../database/locks';
import { pieceOrder } from './pieceOrder';

const checkPieceBody = validator(putPiece);

export function pieceRoutes({ source, now }: ServerContext): Router {
  const router = Router();
  router.put('/jobs/:jobId/pieces/:pieceId', async (request, response) => {
    const [jobId, id] = [idParam(request, 'jobId'), idParam(request, 'pieceId')];
    const { version, ...body } = checkedBody(request, checkPieceBody);
    const row = await transact(source, async (manager) => {
      await lockPiece(manager, id);
      const job = await lockedJob(manager, jobId);
      const document = documentOf('piece', body);
      refuseClashes(
        {
          pieces: [{ ...document, id, holes: [] }],
          customMaterials: job.document.customMaterials ?? [],
        },
        /^\/pieces\/0/,
      );
      const before = await findOne(manager, 'piece', { id });
      // A piece to practise on comes first in the job.
      const position = await pieceOrder(manager, jobId, body.practice ? 'front' : 'end');
      const one = { id, parentId: jobId, version, document, position };
      const written = await put(manager, 'piece', one, now(), before);
      if (written.changed) {
        const holes = await holesOf(manager, id);
        const was = before ? { job, pieces: [before], holes } : undefined;
        await planAfterWrite(manager, { job, pieces: [written.row], holes }, was);
        await touchJob(manager, jobId, now());
      }
      return written.row;
    });
    response.json(SHOWN.piece(row));
  });
  return router;
}
