import { solveEnvelope, type Envelope } from './envelopeCholesky';

/** What is added to one number of a matrix's diagonal. */
export interface DiagonalChange {
  readonly row: number;
  readonly by: number;
}

/**
 * Steps of conjugate gradients after which factoring anew is the shorter way: a factor of this mean
 * width costs about a tenth of it in solves.
 */
const stepsWorth = ({ size, values }: Envelope): number =>
  Math.max(6, Math.round(values.length / size / 10));

/**
 * Solves (A + Δ)·u = b, A by its factor and Δ a few numbers of the diagonal, by conjugate gradients preconditioned with
 * A⁻¹ (Hestenes and Stiefel 1952): as many steps as Δ has numbers, and one. A·p is carried along rather than multiplied
 * out, since A·z is the residual itself.
 * @param start a guess of u; the nearer, the fewer steps
 * @param tolerance of the residual, beside b
 * @returns null where it takes more steps than factoring anew would, or A + Δ is not positive
 */
export function conjugateGradients(
  factor: Envelope,
  change: readonly DiagonalChange[],
  b: Float64Array,
  start: Float64Array,
  tolerance: number,
): Float64Array | null {
  const size = b.length;
  // From u₀ = A⁻¹(b − Δ·u): A·u₀ is known, so the first residual is too.
  const guess = Float64Array.from(b);
  for (const { row, by } of change) guess[row] = (guess[row] ?? 0) - by * (start[row] ?? 0);
  const u = solveEnvelope(factor, guess);
  const r = new Float64Array(size);
  for (const { row, by } of change) r[row] = by * ((start[row] ?? 0) - (u[row] ?? 0));
  const enough = tolerance * Math.sqrt(inner(b, b));
  const max = stepsWorth(factor);
  let z = solveEnvelope(factor, r);
  const p = Float64Array.from(z);
  const Ap = Float64Array.from(r);
  let rz = inner(r, z);
  for (let step = 0; step < max; step++) {
    if (Math.sqrt(inner(r, r)) <= enough) return u;
    const Sp = Float64Array.from(Ap);
    for (const { row, by } of change) Sp[row] = (Sp[row] ?? 0) + by * (p[row] ?? 0);
    const curvature = inner(p, Sp);
    if (!(curvature > 0)) return null;
    const α = rz / curvature;
    for (let i = 0; i < size; i++) {
      u[i] = (u[i] ?? 0) + α * (p[i] ?? 0);
      r[i] = (r[i] ?? 0) - α * (Sp[i] ?? 0);
    }
    z = solveEnvelope(factor, r);
    const next = inner(r, z);
    const β = next / rz;
    rz = next;
    for (let i = 0; i < size; i++) {
      p[i] = (z[i] ?? 0) + β * (p[i] ?? 0);
      Ap[i] = (r[i] ?? 0) + β * (Ap[i] ?? 0);
    }
  }
  return null;
}

function inner(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += (a[i] ?? 0) * (b[i] ?? 0);
  return sum;
}
