import { lifeDepth, wornFurther } from '../physics/wear/sharpness';
import type { MaterialCut } from '../setup/cutLayers';
import type { PlanContext } from './planContext';
import type { ResolvedSetup } from '../setup/resolvedSetup';

/** How long the rim lasts in this cut, and how sharp it is after this hole. */
export function planWear(
  cut: MaterialCut,
  setup: ResolvedSetup,
  depthMm: number,
): PlanContext['bitLife'] {
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
