/** The characteristic strength as given is the 5 % fractile: one in twenty breaks below it. */
const FRACTILE = 0.05;

/** σ₀ = σ·(−ln 0.95)^(−1/m): the Weibull scale whose 5 % fractile is σ, MPa. */
export const weibullScale = (fractileMpa: number, m: number): number =>
  fractileMpa * (-Math.log(1 - FRACTILE)) ** (-1 / m);

/** (σ/σ₀)^m: the hazard Λ in P = 1 − exp(−Λ) (Weibull). */
export const weibullHazard = (stressMpa: number, scaleMpa: number, m: number): number =>
  (Math.max(0, stressMpa) / scaleMpa) ** m;

/** P = 1 − exp(−(σ/σ₀)^m), from the 5 % fractile. */
export const failureProbability = (stressMpa: number, fractileMpa: number, m: number): number =>
  -Math.expm1(-weibullHazard(stressMpa, weibullScale(fractileMpa, m), m));
