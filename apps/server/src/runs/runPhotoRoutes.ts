import type { RunPhoto } from '@nucleon/contract/wire';
import express, { Router } from 'express';
import sharp from 'sharp';
import { transact } from '../database/transact';
import { idParam } from '../http/body';
import { notFound, Problem } from '../http/problem';
import type { ServerContext } from '../serverContext';
import { runEntity, runPhotoEntity } from './runEntities';

const LARGEST_BYTES = 12 * 1024 * 1024;
/** Chips show at this; more is not kept. */
const LONGEST_SIDE_PX = 1600;
const MOST_PIXELS = 60_000_000;
const JPEG_QUALITY = 82;
const MOST_PER_RUN = 12;
const YEAR_S = 365 * 24 * 3600;

/**
 * The picture drawn anew: turned upright, shrunk, without what the camera wrote into it. What cannot be
 * drawn is no picture, whatever it is called.
 */
async function redrawn(
  bytes: Buffer,
): Promise<{ bytes: Buffer; widthPx: number; heightPx: number }> {
  try {
    const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .rotate()
      .resize({
        width: LONGEST_SIDE_PX,
        height: LONGEST_SIDE_PX,
        fit: 'inside',
        withoutEnlargement: true,
      })
      .jpeg({ quality: JPEG_QUALITY })
      .toBuffer({ resolveWithObject: true });
    return { bytes: data, widthPx: info.width, heightPx: info.height };
  } catch {
    throw new Problem(
      'wrong-media-type',
      'This is not a picture that can be opened; send a whole JPEG, PNG or WebP of at most 12 MB.',
    );
  }
}

/** Pictures of what came out, kept with the run. */
export function runPhotoRoutes({ source, now }: ServerContext): Router {
  const router = Router();
  router.put(
    '/runs/:runId/photos/:photoId',
    express.raw({ type: ['image/*', 'application/octet-stream'], limit: LARGEST_BYTES }),
    async (request, response) => {
      const [runId, id] = [idParam(request, 'runId'), idParam(request, 'photoId')];
      const sent: unknown = request.body;
      if (!Buffer.isBuffer(sent) || sent.length === 0)
        throw new Problem('wrong-media-type', 'Send a JPEG, PNG or WebP picture of at most 12 MB.');
      const picture = await redrawn(sent);
      await transact(source, async (manager) => {
        if (!(await manager.existsBy(runEntity, { id: runId }))) throw notFound('run', runId);
        const standing = await manager.findOne(runPhotoEntity, {
          select: { id: true, runId: true },
          where: { id },
        });
        if (standing && standing.runId !== runId)
          throw new Problem('conflict', 'This picture belongs to another run.');
        if (!standing && (await manager.countBy(runPhotoEntity, { runId })) >= MOST_PER_RUN)
          throw new Problem(
            'too-large',
            `A run keeps ${MOST_PER_RUN} pictures; take one away first.`,
          );
        await manager.upsert(
          runPhotoEntity,
          { id, runId, mime: 'image/jpeg', ...picture, takenInAt: now() },
          ['id'],
        );
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
