/** Farther out a standard normal weighs nothing that shows. */
const FARTHEST_SD = 7;
const STEP_SD = 0.5;

/**
 * E[f(Z)] of a standard normal Z, by the trapezoidal rule: on a smooth function that dies away at
 * both ends its error falls faster than any power of the step.
 */
export function normalMean(f: (z: number) => number): number {
  let sum = 0;
  let weights = 0;
  for (let z = -FARTHEST_SD; z <= FARTHEST_SD; z += STEP_SD) {
    const weight = Math.exp((-z * z) / 2);
    sum += weight * f(z);
    weights += weight;
  }
  return sum / weights;
}
