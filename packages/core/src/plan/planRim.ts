import type { ChipSpread } from '../documents/plan';
import { mixtureQuantile } from '../math/logNormalMixture';
import { exitChipWidth } from '../physics/exit/exitChip';
import { type RimHeat, rimTemperature } from '../physics/heat/rimTemperature';
import { logNormalP90 } from '../physics/spread';
import { lifeDepth, wornFurther } from '../physics/wear/sharpness';
import type { MaterialCut } from '../setup/cutLayers';
import type { PossibleMaterial } from '../setup/possibilities';
import type { ResolvedSetup } from '../setup/resolvedSetup';
import { chipSd, type ExitPlan } from './planStages';

/** How hot the ring runs in this cut. */
export const heatOf = (cut: MaterialCut, { coolant }: ResolvedSetup, depthMm: number): RimHeat =>
  rimTemperature(cut.material, cut.bit, {
    pressureMpa: cut.force.contactPressureMpa,
    meanSpeedMPerS: cut.force.meanSpeedMPerS,
    cutTimeS: depthMm / cut.rateMmPerS,
    waterWPerM2K: coolant.rimWPerM2K,
    burnOutWPerM2: coolant.burnOutWPerM2,
    dry: cut.dry,
  });

/** Width of the exit chip with its spread; over all the piece may be where nobody is sure. */
export function planChip(
  exit: ExitPlan,
  setup: ResolvedSetup,
  cut: MaterialCut,
  possible: readonly PossibleMaterial[],
): ChipSpread {
  const sd = chipSd(setup, cut);
  if (possible.length === 0 || exit.chipWidthMm === 0)
    return { p50: exit.chipWidthMm, p90: logNormalP90(exit.chipWidthMm, sd) };
  const parts = possible.map(({ material, share }) => ({
    median: exitChipWidth(material, exit.exitForceN, exit.conditions),
    sd,
    share,
  }));
  return { p50: mixtureQuantile(parts, 0.5), p90: mixtureQuantile(parts, 0.9) };
}

/** How long a rim lasts in this cut: tenth, middle and ninetieth of a hundred, mm; and how sharp it is after. */
export interface BitLife {
  readonly lifeDepthMm: number;
  readonly lifeP10Mm: number;
  readonly lifeP90Mm: number;
  readonly sharpnessAfter: number;
}

/** How long the rim lasts in this cut, and how sharp it is after this hole. */
export function planWear(cut: MaterialCut, setup: ResolvedSetup, depthMm: number): BitLife {
  const life = lifeDepth(setup.finishing.bit.family, cut.material, {
    dry: cut.dry,
    tooFast: cut.speed.rimSpeedMPerS > cut.window.rimSpeedMPerS.high,
    tooHard: cut.force.contactPressureMpa > cut.window.pressureMpa.high,
  });
  return {
    lifeDepthMm: life.p50,
    lifeP10Mm: life.p10,
    lifeP90Mm: life.p90,
    sharpnessAfter: wornFurther(
      cut.sharpness,
      (depthMm * cut.lifeDepthMm) / life.p50,
      cut.lifeDepthMm,
    ),
  };
}
