import type { RunPhoto } from '@nucleon/contract/wire';
import express, { Router } from 'express';
import { Not } from 'typeorm';
import { transact } from '../database/transact';
import { idParam } from '../http/body';
import { notFound, Problem } from '../http/problem';
import type { ServerContext } from '../serverContext';
import { refusePictureOfAnother } from '../photos/pictureOf';
import { redrawn } from '../photos/redraw';
import { runEntity, runPhotoEntity } from './runEntities';

const LARGEST_MB = 12;
const LARGEST_BYTES = LARGEST_MB * 1024 * 1024;
/** Chips show at this; more is not kept. */
const LONGEST_SIDE_PX = 1600;
const MAX_PER_RUN = 12;
const YEAR_S = 365 * 24 * 3600;

/** Pictures of what came out, kept with the run. */
export function runPhotoRoutes({ source, now }: ServerContext): Router {
  const router = Router();
  router.put(
    '/runs/:runId/photos/:photoId',
    express.raw({ type: ['image/*', 'application/octet-stream'], limit: LARGEST_BYTES }),
    async (request, response) => {
      const [runId, id] = [idParam(request, 'runId'), idParam(request, 'photoId')];
      const picture = await redrawn(request.body, {
        longestSidePx: LONGEST_SIDE_PX,
        maxMb: LARGEST_MB,
      });
      await transact(source, async (manager) => {
        // One picture at a time: two at once would both find room for the last.
        const run = await manager
          .createQueryBuilder(runEntity, 'run')
          .select('run.id')
          .setLock('pessimistic_write')
          .where('run.id = :runId', { runId })
          .getOne();
        if (!run) throw notFound('run', runId);
        await refusePictureOfAnother(manager, runPhotoEntity, id, { runId });
        const others = await manager.countBy(runPhotoEntity, { runId, id: Not(id) });
        if (others >= MAX_PER_RUN)
          throw new Problem('too-large', `A run keeps ${MAX_PER_RUN} pictures; delete one first.`);
        await manager.upsert(runPhotoEntity, { id, runId, ...picture, takenInAt: now() }, ['id']);
      });
      const stored: RunPhoto = { id, widthPx: picture.widthPx, heightPx: picture.heightPx };
      response.json(stored);
    },
  );
  router.get('/runs/:runId/photos/:photoId', async (request, response) => {
    const [runId, id] = [idParam(request, 'runId'), idParam(request, 'photoId')];
    const row = await source.manager.findOneBy(runPhotoEntity, { id, runId });
    if (!row) throw notFound('picture', id);
    response
      .set('Cache-Control', `private, max-age=${YEAR_S}, immutable`)
      .set('X-Content-Type-Options', 'nosniff')
      .type(row.mime)
      .send(row.bytes);
  });
  router.delete('/runs/:runId/photos/:photoId', async (request, response) => {
    const [runId, id] = [idParam(request, 'runId'), idParam(request, 'photoId')];
    await source.manager.delete(runPhotoEntity, { id, runId });
    response.status(204).end();
  });
  return router;
}
