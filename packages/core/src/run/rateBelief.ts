/**
 * How fast this bit goes into this piece beside the plan: ln k is normal, k = 1 as planned.
 * The plan's own spread is the prior; each measured depth sharpens it.
 */
export interface RateBelief {
  /** Mean of ln k. */
  readonly lnK: number;
  /** sd of ln k. */
  readonly sd: number;
}

/** A plan that claims to be surer than this is not believed. */
const MIN_PRIOR_SD = 0.1;
/** However often it is measured, the next millimetre may be harder. */
const MIN_SD = 0.04;
const K_RANGE = [0.05, 20] as const;
/** Below this share of a cut the ratio says nothing. */
const MIN_LENGTH_SDS = 0.5;

export const priorRate = (sd: number): RateBelief => ({ lnK: 0, sd: Math.max(sd, MIN_PRIOR_SD) });

/** k: times as fast as planned, kept within what a person would believe. */
export const rateFactor = ({ lnK }: RateBelief): number =>
  Math.min(K_RANGE[1], Math.max(K_RANGE[0], Math.exp(lnK)));

/**
 * Conjugate update of a normal mean: the stretch was planned to take `plannedS` and took `tookS`, so
 * ln k is seen as ln(plannedS/tookS) with σ = σ_Δz/Δz; posterior precision is the sum of both.
 * @param lengthMm Δz, the stretch measured
 * @param lengthSdMm σ_Δz, from reading both its ends
 * @returns the belief unchanged where the stretch is too short to tell
 */
export function seenRate(
  { lnK, sd }: RateBelief,
  plannedS: number,
  tookS: number,
  lengthMm: number,
  lengthSdMm: number,
): RateBelief {
  if (plannedS <= 0 || tookS <= 0 || lengthMm < MIN_LENGTH_SDS * lengthSdMm) return { lnK, sd };
  const seen = Math.log(plannedS / tookS);
  const σ = Math.max(MIN_SD, lengthSdMm / lengthMm);
  const [w0, w1] = [1 / sd ** 2, 1 / σ ** 2];
  return {
    lnK: (w0 * lnK + w1 * seen) / (w0 + w1),
    sd: Math.max(MIN_SD, 1 / Math.sqrt(w0 + w1)),
  };
}
