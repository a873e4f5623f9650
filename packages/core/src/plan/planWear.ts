import { bitSharpness, lifeDepth, wornSharpness } from '../wear/sharpness';
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
  // A sharpness set by hand stands for the depth that would have worn it so far.
  const s = bitSharpness(bit, calm);
  const doneMm = calm * Math.sqrt(1 / Math.max(s, 0.01) - 1);
  return {
    lifeDepthMm,
    sharpnessAfter: wornSharpness(doneMm + (depthMm * calm) / lifeDepthMm, calm),
  };
}
