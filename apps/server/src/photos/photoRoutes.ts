import express, { Router } from 'express';
import { In, IsNull } from 'typeorm';
import { transact } from '../database/transact';
import { idParam } from '../http/body';
import { notFound, Problem } from '../http/problem';
import { pieceEntity } from '../pieces/pieceEntity';
import type { ServerContext } from '../serverContext';
import { photoEntity } from './photoEntity';

const LARGEST_BYTES = 4 * 1024 * 1024;
/** The newest few are kept, so that undo finds the one before. */
const KEPT = 3;
const YEAR_S = 365 * 24 * 3600;

/** What a picture's first bytes say it is; null for anything else, whatever it is called. */
function mimeOf(bytes: Buffer): string | null {
  if (bytes.length > 3 && bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff)
    return 'image/jpeg';
  if (bytes.subarray(0, 8).equals(Buffer.from('89504e470d0a1a0a', 'hex'))) return 'image/png';
  return null;
}

/** The photograph under a piece's outline. */
export function photoRoutes({ source, now }: ServerContext): Router {
  const router = Router();
  router.put(
    '/pieces/:pieceId/photos/:photoId',
    express.raw({ type: ['image/jpeg', 'image/png'], limit: LARGEST_BYTES }),
    async (request, response) => {
      const [pieceId, id] = [idParam(request, 'pieceId'), idParam(request, 'photoId')];
      const bytes: unknown = request.body;
      const mime = Buffer.isBuffer(bytes) ? mimeOf(bytes) : null;
      if (!Buffer.isBuffer(bytes) || !mime)
        throw new Problem('wrong-media-type', 'Send a JPEG or PNG picture of at most 4 MB.');
      await transact(source, async (manager) => {
        const piece = await manager.findOneBy(pieceEntity, { id: pieceId, deletedAt: IsNull() });
        if (!piece) throw notFound('piece', pieceId);
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
