import { exitChipWidth } from '../physics/exit/exitChip';
import { mixtureQuantile } from '../math/logNormalMixture';
import type { MaterialCut } from '../setup/cutLayers';
import type { ChipSpread } from '../documents/plan';
import type { ExitPlan } from './planStages';
import type { PossibleMaterial } from '../setup/possibilities';
import type { ResolvedSetup } from '../setup/resolvedSetup';
import { exitChipSd, logNormalP90 } from './spread';

/** Width of the exit chip with its spread; over all the piece may be where nobody is sure. */
export function planChip(
  exit: ExitPlan,
  setup: ResolvedSetup,
  cut: MaterialCut,
  possible: readonly PossibleMaterial[],
): ChipSpread {
  const sd = exitChipSd(setup.hold, cut.sharpness, cut.bit.diameterMm);
  if (possible.length === 0 || exit.chipWidthMm === 0)
    return { p50: exit.chipWidthMm, p90: logNormalP90(exit.chipWidthMm, sd) };
  const parts = possible.map(({ material, share }) => ({
    median: exitChipWidth(material, exit.exitForceN, exit.conditions),
    sd,
    share,
  }));
  return { p50: mixtureQuantile(parts, 0.5), p90: mixtureQuantile(parts, 0.9) };
}
