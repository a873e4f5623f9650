import express, { Router } from 'express';
import { In } from 'typeorm';
import { transact } from '../database/transact';
import { idParam } from '../http/body';
import { notFound } from '../http/problem';
import { pieceToWrite } from '../documents/loadJob';
import type { ServerContext } from '../serverContext';
import { photoEntity } from './photoEntity';
import { refusePictureOfAnother } from './pictureOf';
import { redrawn } from './redraw';

const LARGEST_MB = 4;
const LARGEST_BYTES = LARGEST_MB * 1024 * 1024;
/** The newest few are kept, so that undo finds the one before. */
const KEPT = 3;
const YEAR_S = 365 * 24 * 3600;

/** The photograph under a piece's outline. */
export function photoRoutes({ source, now }: ServerContext): Router {
  const router = Router();
  router.put(
    '/pieces/:pieceId/photos/:photoId',
    express.raw({ type: 'image/*', limit: LARGEST_BYTES }),
    async (request, response) => {
      const [pieceId, id] = [idParam(request, 'pieceId'), idParam(request, 'photoId')];
      const { bytes, mime } = await redrawn(request.body, { maxMb: LARGEST_MB });
      await transact(source, async (manager) => {
        await pieceToWrite(manager, pieceId);
        await refusePictureOfAnother(manager, photoEntity, id, { pieceId });
        await manager.upsert(photoEntity, { id, pieceId, mime, bytes, takenInAt: now() }, ['id']);
        const older = await manager.find(photoEntity, {
          select: { id: true },
          where: { pieceId },
          order: { takenInAt: 'DESC' },
          skip: KEPT,
          take: 100,
        });
        if (older.length > 0)
          await manager.delete(photoEntity, { id: In(older.map((row) => row.id)) });
      });
      response.status(204).end();
    },
  );
  router.get('/pieces/:pieceId/photos/:photoId', async (request, response) => {
    const [pieceId, id] = [idParam(request, 'pieceId'), idParam(request, 'photoId')];
    const row = await source.manager.findOneBy(photoEntity, { id, pieceId });
    if (!row) throw notFound('photograph', id);
    response
      .set('Cache-Control', `private, max-age=${YEAR_S}, immutable`)
      .set('X-Content-Type-Options', 'nosniff')
      .type(row.mime)
      .send(row.bytes);
  });
  return router;
}
