import { findMaterial } from '../../data/materials/materials';
import type { Material } from '../../data/materials/material';
import type { UnitSystem } from '../../data/unitSystem';
import type { Hole } from '../../documents/hole';
import type { Piece } from '../../documents/piece';
import type { Plan } from '../../documents/plan';
import { holeWords } from '../screens/hole';
import { HOLD_CHIPS, PACE_CHIPS, TREATMENT_CHIPS, wordFor } from '../screens/choiceChips';
import { formatLengthShort } from '../units/length';

/** What each part of a hole comes to, in a line; set up and water once there is a plan. */
export interface WalkLines {
  readonly piece: string;
  readonly hole: string;
  readonly setup: string;
  readonly water: string;
}

const inLine = (parts: readonly string[]): string => parts.filter((part) => part !== '').join(', ');

export function walkLines(
  { piece, hole, plan }: { readonly piece: Piece; readonly hole: Hole; readonly plan: Plan | null },
  custom: readonly Material[],
  units: UnitSystem,
): WalkLines {
  const length = (mm: number): string => formatLengthShort(mm, units);
  const material = findMaterial(piece.material, custom);
  const name = `${material?.name ?? piece.material}${(piece.couldBe?.length ?? 0) > 1 ? holeWords.orAnother : ''}`;
  const treatment =
    material?.class === 'glass'
      ? wordFor(TREATMENT_CHIPS, piece.glassTreatment ?? 'unknown').toLowerCase()
      : '';
  const body = piece.layers?.length ? holeWords.layers(piece.layers.length) : name;
  const deep =
    hole.depth.kind === 'through' ? holeWords.through : holeWords.deep(length(hole.depth.depthMm));
  return {
    piece: `${piece.name}: ${inLine([body, length(piece.thicknessMm), treatment])}`,
    hole: holeWords.at(length(hole.diameterMm), deep, length(hole.xMm), length(hole.yMm)),
    setup: plan
      ? inLine([
          plan.setup.bitName,
          plan.setup.machineName,
          wordFor(PACE_CHIPS, plan.setup.pace).toLowerCase(),
        ])
      : '…',
    water: plan
      ? inLine([
          plan.water.name,
          plan.setup.supportName.toLowerCase(),
          wordFor(HOLD_CHIPS, plan.setup.hold).toLowerCase(),
        ])
      : '…',
  };
}
