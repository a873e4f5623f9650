import { bitSharpness, lifeDepth, wornFurther } from '../wear/sharpness';
import type { MaterialCut } from './cutLayers';
import type { PlanContext } from './planContext';
import type { ResolvedSetup } from './resolvedSetup';

/** How long the rim lasts in this cut, and how sharp it is after this hole. */
export function planWear(
  cut: MaterialCut,
  setup: ResolvedSetup,
  depthMm: number,
): PlanContext['bitLife'] {
  const { bit } = setup.finishing;
  const calm = lifeDepth(bit.family, cut.material, { dry: false, tooFast: false, tooHard: false });
  const lifeDepthMm = lifeDepth(bit.family, cut.material, {
    dry: cut.dry,
    tooFast: cut.speed.rimSpeedMPerS > cut.window.rimSpeedMPerS.high,
    tooHard: cut.force.contactPressureMpa > cut.window.pressureMpa.high,
  });
  return {
    lifeDepthMm,
    sharpnessAfter: wornFurther(bitSharpness(bit, calm), (depthMm * calm) / lifeDepthMm, calm),
  };
}
