import type { Piece } from '../job/job';
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
  const heatSd = Math.hypot(FORCE_SD[setup.hold], RPM_SD);
  const odds = crackOdds(material, thermalStressMpa, byHand, bearable, heatSd);
  const isBuilding = piece.form === 'wall' || piece.form === 'floor';
  return isBuilding ? { ...odds, byStress: 0, total: byHand } : odds;
}
