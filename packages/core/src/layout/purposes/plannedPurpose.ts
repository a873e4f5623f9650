import type { Material } from '../../data/materials/material';
import type { Hole } from '../../documents/hole';
import type { Piece } from '../../documents/piece';
import { isMissing, type FitNumbers } from './fit';
import { sceneOf, sizeFor } from './purposes';

export interface PlannedPurpose {
  /** null where no purpose is chosen, or its part is not known yet. */
  readonly fit: FitNumbers | null;
  /** Something clashes in the part that was entered. */
  readonly purposeClashes: boolean;
}

/** What the hole's purpose asks of it. */
export function planPurpose(piece: Piece, hole: Hole, material: Material): PlannedPurpose {
  const sizing = hole.purpose ? sizeFor(hole.purpose, sceneOf(piece, material)) : null;
  if (sizing === null) return { fit: null, purposeClashes: false };
  if (sizing.kind === 'sized') return { fit: sizing.numbers, purposeClashes: false };
  return { fit: null, purposeClashes: !sizing.faults.every(isMissing) };
}
