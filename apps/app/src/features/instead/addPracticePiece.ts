import type { HoleDetail } from '@nucleon/contract/wire';
import { practicePiece } from '@nucleon/core/advice/practicePiece';
import { v7 as newId } from 'uuid';
import { putHole } from '../../api/holes';
import { putPiece } from '../../api/pieces';

/** Stores a spare of the same kind with the same hole, first in the job. */
export async function addPracticePiece({
  job,
  piece,
  hole,
}: Pick<HoleDetail, 'job' | 'piece' | 'hole'>): Promise<{ jobId: string; holeId: string }> {
  const { jobId: _job, updatedAt: _at, version: _version, ...ownPiece } = piece;
  const { pieceId: _piece, updatedAt: _holeAt, version: _holeVersion, ...ownHole } = hole;
  const made = practicePiece(ownPiece, ownHole);
  const [pieceId, holeId] = [newId(), newId()];
  await putPiece(job.id, pieceId, { ...made.piece, version: 0 });
  await putHole(pieceId, holeId, { ...made.hole, version: 0 });
  return { jobId: job.id, holeId };
}
