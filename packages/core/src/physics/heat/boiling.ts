import { BURN_OUT_W_PER_M2 } from '../../data/coolants';
import { bisectRising } from '../../math/bisect';

/** none: the water stays whole · nucleate: bubbles hold the rim near boiling · film: burn-out. */
export type Boiling = 'none' | 'nucleate' | 'film';

/** Water at the rim boils this far above a cool bath, K. */
export const BOILING_RISE_K = 80;
/** How far over boiling the wall is there, K. */
const BURN_OUT_EXCESS_K = 25;
/** Rohsenow: q_b = C·ΔT_e³, W/(m²·K³). */
const C = BURN_OUT_W_PER_M2 / BURN_OUT_EXCESS_K ** 3;
/** Through a film of steam, W/(m²·K). */
const FILM_W_PER_M2_K = 300;
const HUNDREDTH_K = 0.01;

/**
 * Rise of the ring above the water, K, with boiling: below boiling q = (h + h_c)·ΔT; over it the wall
 * stands ΔT_e above boiling, (h + h_c)·(80 + ΔT_e) + C·ΔT_e³ = q (Rohsenow); past burn-out only a film
 * of steam cools it, q = (h_film + h_c)·ΔT.
 * @param q flux into the ring, W/m²
 * @param burnOut flux at which boiling fails; null where nothing boils
 */
export function boilingExcess(
  q: number,
  h: number,
  h_c: number,
  burnOut: number | null,
): { readonly tempRiseK: number; readonly boiling: Boiling } {
  const whole = q / (h + h_c);
  if (burnOut === null || whole <= BOILING_RISE_K) return { tempRiseK: whole, boiling: 'none' };
  const maxExcessK = Math.cbrt(burnOut / C);
  const carried = (excessK: number): number =>
    (h + h_c) * (BOILING_RISE_K + excessK) + C * excessK ** 3;
  if (q > carried(maxExcessK)) return { tempRiseK: q / (FILM_W_PER_M2_K + h_c), boiling: 'film' };
  const excessK = bisectRising(carried, q, 0, maxExcessK, HUNDREDTH_K);
  return { tempRiseK: BOILING_RISE_K + excessK, boiling: 'nucleate' };
}

/** The flux that boils the rim dry, W/m². */
export const burnOutFlux = (h: number, h_c: number, burnOut: number): number =>
  (h + h_c) * (BOILING_RISE_K + Math.cbrt(burnOut / C)) + burnOut;

/** How far ΔT follows the flux, d ln ΔT/d ln q: bubbles hold it, ΔT_e goes with the cube root. */
export const HEAT_GAIN = { none: 1, nucleate: 0.1, film: 1 } as const satisfies Record<
  Boiling,
  number
>;
