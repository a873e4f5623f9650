import { newHoleWords } from '@nucleon/core/words/screens/newHole';
import { outlineCentre } from '@nucleon/core/layout/outline';
import type { GlassTreatment } from '@nucleon/core/data/choices';
import type { Hole } from '@nucleon/core/documents/hole';
import { presumePiece } from '@nucleon/core/advice/presumePiece';
import { findMaterial } from '@nucleon/core/data/materials/materials';
import { v7 as newId } from 'uuid';
import { putHole } from '../../api/holes';
import { putJob } from '../../api/jobs';
import { putPiece } from '../../api/pieces';

export interface NewHole {
  readonly materialId: string;
  readonly thicknessMm: number;
  readonly diameterMm: number;
  readonly treatment?: GlassTreatment;
  /** It is not known which of its kind it is. */
  readonly notSure?: boolean;
  /** The job it joins; a new one when absent. */
  readonly jobId?: string | undefined;
}

/** Stores a piece with one hole from the few things known, in a new job unless one is given. */
export async function createHole(known: NewHole): Promise<{ jobId: string; holeId: string }> {
  const material = findMaterial(known.materialId);
  if (!material) throw new Error(`Material ${known.materialId} is not known.`);
  const piece = presumePiece({
    material,
    thicknessMm: known.thicknessMm,
    diameterMm: known.diameterMm,
    ...(known.notSure ? { notSure: true } : {}),
    ...(known.treatment ? { glassTreatment: known.treatment } : {}),
  });
  const [jobId, pieceId, holeId] = [known.jobId ?? newId(), newId(), newId()];
  const hole: Omit<Hole, 'id'> = {
    label: newHoleWords.hole1,
    ...outlineCentre(piece.outline),
    diameterMm: known.diameterMm,
    depth: { kind: 'through' },
    ...(piece.form === 'vessel' ? { face: 'side' as const } : {}),
  };
  if (!known.jobId) await putJob(jobId, { name: piece.name, version: 0 });
  await putPiece(jobId, pieceId, { ...piece, version: 0 });
  await putHole(pieceId, holeId, { ...hole, version: 0 });
  return { jobId, holeId };
}
