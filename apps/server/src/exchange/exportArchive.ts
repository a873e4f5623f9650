import { Readable } from 'node:stream';
import { In, type DataSource } from 'typeorm';
import { ZipFile } from 'yazl';
import { photoEntity } from '../photos/photoEntity';
import { runPhotoEntity } from '../runs/runEntities';
import { jobPath, picturePath } from './archivePaths';
import type { ExportedJob } from './exportJob';
import { withList } from './jsonText';

/** The job's file and every picture of its pieces and runs as one ZIP, read as it is written. */
export async function exportArchive(source: DataSource, job: ExportedJob): Promise<Readable> {
  const zip = new ZipFile();
  zip.addReadStream(Readable.from(withList(job.file, 'log', job.log)), jobPath);
  const pieceIds = job.pieces.map(({ id }) => id);
  const piecePhotos = await source.manager.find(photoEntity, {
    select: { id: true, pieceId: true, mime: true },
    where: { pieceId: In(pieceIds) },
  });
  const runPhotos = await source.manager.find(runPhotoEntity, {
    select: { id: true, runId: true, mime: true },
    where: { runId: In([...job.runIds]) },
  });
  for (const { id, pieceId, mime } of piecePhotos) {
    const path = picturePath('pieces', job.fileId(pieceId), id, mime);
    zip.addReadStreamLazy(path, { compress: false }, (take) => {
      give(source.manager.findOneByOrFail(photoEntity, { id }), take);
    });
  }
  for (const { id, runId, mime } of runPhotos) {
    const path = picturePath('runs', runId, id, mime);
    zip.addReadStreamLazy(path, { compress: false }, (take) => {
      give(source.manager.findOneByOrFail(runPhotoEntity, { id }), take);
    });
  }
  zip.end();
  const out = new Readable().wrap(zip.outputStream);
  zip.on('error', (error: Error) => out.destroy(error));
  return out;
}

/** A picture's bytes when their turn comes: one is in the memory at a time. */
function give(
  row: Promise<{ readonly bytes: Buffer }>,
  take: (error: unknown, stream: Readable) => void,
): void {
  row.then(
    ({ bytes }) => {
      take(null, Readable.from([bytes]));
    },
    (error: unknown) => {
      take(error, Readable.from([]));
    },
  );
}
