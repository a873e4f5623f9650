import type { Bending } from '../plate/bendingScene';
import type { Piece } from '../documents/piece';
import { bearableStress, crackOdds, type CrackOdds } from '../risk/crackOdds';
import { handlingOdds } from '../risk/handlingOdds';
import type { MaterialCut } from './cutLayers';
import type { ResolvedSetup } from './resolvedSetup';
import { FORCE_SD, RPM_SD, SHARPNESS_SD } from './spread';

/** Odds of a crack from what is known so far; in walls and floors, of spoiling the face. */
export function planCrack(
  cut: MaterialCut,
  piece: Piece,
  setup: ResolvedSetup,
  thermalStressMpa: number,
  bending: Bending,
): CrackOdds {
  const { material, sharpness, dry } = cut;
  const isSheet = piece.form === 'sheet' || piece.form === 'vessel';
  const byHand = handlingOdds({
    hold: setup.hold,
    sheetThicknessMm: isSheet ? piece.thicknessMm : null,
    sharpness,
    masonry: material.class === 'masonry',
    sharpnessSd: SHARPNESS_SD,
  });
  const bearable = bearableStress(material, !dry, piece.damage);
  const forceSd = FORCE_SD[setup.hold];
  const odds = crackOdds(material, {
    thermalStressMpa,
    heatSd: Math.hypot(forceSd, RPM_SD),
    ...bendingParts(bending),
    forceSd,
    byHand,
    bearableMpa: bearable,
  });
  const isBuilding = piece.form === 'wall' || piece.form === 'floor';
  return isBuilding ? { ...odds, byStress: 0, total: byHand } : odds;
}

/** Bending as it is at rest, and what the drill's force adds; nothing where it was not worked out. */
export const bendingParts = (
  bending: Bending,
): { readonly atRestMpa: number; readonly pressedMpa: number } =>
  bending.kind === 'bent'
    ? { atRestMpa: bending.atRestMpa, pressedMpa: bending.stressMpa - bending.atRestMpa }
    : { atRestMpa: 0, pressedMpa: 0 };
