/** The characteristic strength as given is the 5 % fractile: one in twenty breaks below it. */
const FRACTILE = 0.05;

const HAZARD_AT_FRACTILE = -Math.log(1 - FRACTILE);

/** Λ = (σ/σ₀)^m = −ln 0.95·(σ/σ₅)^m: the hazard in P = 1 − exp(−Λ) (Weibull), from the 5 % fractile σ₅. */
export const weibullHazard = (stressMpa: number, fractileMpa: number, m: number): number =>
  HAZARD_AT_FRACTILE * (Math.max(0, stressMpa) / fractileMpa) ** m;

/** P = 1 − exp(−(σ/σ₀)^m), from the 5 % fractile. */
export const failureProbability = (stressMpa: number, fractileMpa: number, m: number): number =>
  -Math.expm1(-weibullHazard(stressMpa, fractileMpa, m));
