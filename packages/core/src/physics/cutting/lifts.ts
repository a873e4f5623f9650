import type { BitGeometry } from './bitGeometry';

/** A lift is due when fines fill this share of the groove's gap. */
const FILL_SHARE = 0.25;
/** Above this the groove cannot recapture the bit, mm. */
export const FIRST_LIFT_MM = 1;
const MIN_SPACING_MM = 0.5;
const MIN_INTERVAL_S = 8;

/**
 * Depths, mm, at which to lift a little and let water in.
 *
 * Groove gap V(z) = π(D + (D − 2w))·c·z for a core, πDcz for a solid; a lift is due each time the
 * fines of the cut fill a quarter of it: z_next = z·(1 + 0.25·V(z)/(z·A_k)), from 1 mm, never
 * closer than 0.5 mm or 8 s of cutting.
 * @param rateAtMm penetration rate u at a depth, mm/s
 * @param fromMm where it begins, with the groove above it clear
 */
export function liftDepths(
  bit: Pick<BitGeometry, 'solid' | 'diameterMm' | 'rimWidthMm' | 'clearancePerSideMm'>,
  kerfAreaMm2: number,
  depthMm: number,
  rateAtMm: (depthMm: number) => number,
  fromMm = 0,
): number[] {
  const D = bit.diameterMm;
  const c = bit.clearancePerSideMm;
  const wall = bit.solid ? D : D + (D - 2 * bit.rimWidthMm);
  const gapShare = (Math.PI * wall * c) / kerfAreaMm2;
  const next = (z: number): number =>
    z + Math.max(z * FILL_SHARE * gapShare, MIN_SPACING_MM, MIN_INTERVAL_S * rateAtMm(z));
  const depths: number[] = [];
  for (let z = fromMm < FIRST_LIFT_MM ? FIRST_LIFT_MM : next(fromMm); z < depthMm; z = next(z))
    depths.push(z);
  return depths;
}
