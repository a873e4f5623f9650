/** 0 of no values. */
export const mean = (values: Float64Array): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(values.length, 1);

/**
 * The q-quantile by Hazen's plotting positions: the i-th of n stands for (i − ½)/n, straight lines between, the ends
 * held (Hyndman & Fan 1996, type 5).
 *
 * @param sorted rising; may end in Infinity
 * @param q 0 to 1
 * @returns NaN of no values
 */
export function quantile(sorted: Float64Array, q: number): number {
  const at = Math.min(sorted.length - 1, Math.max(0, q * sorted.length - 0.5));
  const below = sorted[Math.floor(at)] ?? NaN;
  const above = sorted[Math.ceil(at)] ?? NaN;
  // Between two infinite values there is no line.
  return below === above ? below : below + (at - Math.floor(at)) * (above - below);
}

/**
 * Variance of the logarithms (Welford 1962): what is multiplied together adds up in it.
 *
 * @param values those at or below 0 and the infinite are left out
 * @returns 0 of fewer than two, and of values equal but for rounding
 */
export function logVariance(values: Float64Array): number {
  let n = 0;
  let middle = 0;
  let squares = 0;
  for (const value of values) {
    if (!(value > 0) || !Number.isFinite(value)) continue;
    const x = Math.log(value);
    n++;
    const step = x - middle;
    middle += step / n;
    squares += step * (x - middle);
  }
  return squares > ROUNDING_VARIANCE * n ? squares / n : 0;
}

/** Of logarithms: rounding of equal values is not a spread. */
const ROUNDING_VARIANCE = 1e-12;
