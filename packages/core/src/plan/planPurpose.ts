import type { Hole } from '../documents/hole';
import type { Piece } from '../documents/piece';
import type { Material } from '../data/materials/material';
import type { Fit } from '../documents/fit';
import { fitOf, sceneOf } from '../layout/purposes/purposes';
import { METRIC, type UnitSystem } from '../data/unitSystem';

export interface PlannedPurpose {
  /** null where no purpose is chosen, or its part is not known yet. */
  readonly fit: Fit | null;
  /** What clashes in the part that was entered. */
  readonly purposeClash: string | null;
}

/** What the hole's purpose asks of it. */
export function planPurpose(
  piece: Piece,
  hole: Hole,
  material: Material,
  units: UnitSystem = METRIC,
): PlannedPurpose {
  const outcome = hole.purpose ? fitOf(hole.purpose, sceneOf(piece, material, units)) : null;
  if (outcome === null) return { fit: null, purposeClash: null };
  if (outcome.kind === 'fits') return { fit: outcome.fit, purposeClash: null };
  const clash = outcome.faults.find((fault) => !fault.missing);
  return { fit: null, purposeClash: clash?.message ?? null };
}
