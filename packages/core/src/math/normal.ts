/** Standard normal deviate of the ninetieth percentile. */
export const Z_90 = 1.2816;

/**
 * Φ(z), the standard normal distribution function, by the rational approximation of the error
 * function 7.1.26 in Abramowitz and Stegun: absolute error below 1.5·10⁻⁷.
 */
export function normalCdf(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const poly =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const erf = 1 - poly * Math.exp(-x * x);
  return z >= 0 ? (1 + erf) / 2 : (1 - erf) / 2;
}

const density = (z: number): number =>
  Number.isFinite(z) ? Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI) : 0;

/** Under this the normal has nothing between the bounds that its distribution function could tell apart. */
const MIN_MASS = 1e-6;

/**
 * Mean and variance of a normal known to lie between two bounds (Johnson, Kotz & Balakrishnan 1994, 13.134):
 * μ + σ·(φ(a) − φ(b))/Z, σ²·[1 + (a·φ(a) − b·φ(b))/Z − ((φ(a) − φ(b))/Z)²]. Far out in a tail, the nearer bound.
 */
export function truncatedNormal(
  mean: number,
  sd: number,
  [low, high]: readonly [low: number, high: number],
): { readonly mean: number; readonly variance: number } {
  const [a, b] = [(low - mean) / sd, (high - mean) / sd];
  const mass = normalCdf(b) - normalCdf(a);
  if (mass < MIN_MASS) return { mean: mean < low ? low : high, variance: 0 };
  const weighed = (z: number): number => (Number.isFinite(z) ? z * density(z) : 0);
  const shift = (density(a) - density(b)) / mass;
  return {
    mean: mean + sd * shift,
    variance: Math.max(0, sd ** 2 * (1 + (weighed(a) - weighed(b)) / mass - shift ** 2)),
  };
}
