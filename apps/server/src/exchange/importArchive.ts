import type { JobFile } from '@nucleon/core/documents/jobFile';
import { In, type EntityManager } from 'typeorm';
import { photoEntity } from '../photos/photoEntity';
import { runEntity, runPhotoEntity } from '../runs/runEntities';
import { importJob, type Imported } from './importJob';
import type { ImportTools } from './importTools';
import type { Archive, ArchivedPicture } from './readArchive';

/** Stores an archive's job with its pictures. A run that is here already keeps the pictures it has. */
export async function importArchive(
  { file, pictures, left }: Archive,
  tools: ImportTools,
  jobId?: string,
): Promise<Imported & { readonly left: readonly string[] }> {
  const ofPieces = pictures.filter(({ owner }) => owner === 'pieces');
  const ofRuns = pictures.filter(({ owner }) => owner === 'runs');
  const newIds = await freePhotoIds(ofPieces, tools);
  const imported = await importJob(renamePhotos(file, newIds), tools, jobId);
  const { manager, now: takenInAt } = tools;
  for (const { id, ownerId, picture } of ofPieces) {
    const pieceId = imported.ids.get(ownerId);
    const { bytes, mime } = picture;
    if (pieceId)
      await manager.insert(photoEntity, {
        id: newIds.get(id) ?? id,
        pieceId,
        mime,
        bytes,
        takenInAt,
      });
  }
  for (const { id, ownerId: runId, picture } of ofRuns)
    if (await wants(manager, runId, id))
      await manager.insert(runPhotoEntity, { id, runId, ...picture, takenInAt });
  return { ...imported, left };
}

const wants = async (manager: EntityManager, runId: string, id: string): Promise<boolean> =>
  (await manager.existsBy(runEntity, { id: runId })) &&
  !(await manager.existsBy(runPhotoEntity, { id }));

/** Ids for pictures of which this server has one of the same id already: another piece's. */
async function freePhotoIds(
  pictures: readonly ArchivedPicture[],
  { manager, newId }: ImportTools,
): Promise<ReadonlyMap<string, string>> {
  const taken = await manager.find(photoEntity, {
    select: { id: true },
    where: { id: In(pictures.map(({ id }) => id)) },
  });
  return new Map(taken.map(({ id }) => [id, newId()]));
}

const renamePhotos = (file: JobFile, ids: ReadonlyMap<string, string>): JobFile => ({
  ...file,
  pieces: file.pieces.map((piece) =>
    piece.photo
      ? { ...piece, photo: { ...piece.photo, id: ids.get(piece.photo.id) ?? piece.photo.id } }
      : piece,
  ),
});
