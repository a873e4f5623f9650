import { solveEnvelope, type Envelope } from '../../math/envelopeCholesky';
import { factorWith, type PreparedPlate } from './preparePlate';
import { tensions } from './tensions';

/** Contact is settled when no node changes sides; this often it is tried. */
const MAX_CONTACT_ROUNDS = 40;
/**
 * Steps of conjugate gradients after which factoring anew is the shorter way: a factor of this mean
 * width costs about a tenth of it in solves.
 */
const stepsWorth = ({ size, values }: Envelope): number =>
  Math.max(6, Math.round(values.length / size / 10));
/** Of the nodes: when more than these have changed, steps would be too many anyway. */
const MANY = 0.12;
/** Residual beside the load at which the steps end: while contact is looked for, and at last. */
const LOOSE = 1e-5;
const SETTLED = 1e-9;

export interface PlateSolution {
  readonly kind: 'converged';
  /** w at each node, mm. */
  readonly deflectionMm: Float64Array;
  /** Greatest tension at each node, MPa: on the far face, and on the near face. */
  readonly farTensionMpa: Float64Array;
  readonly nearTensionMpa: Float64Array;
  /** What springs and held nodes give back, N at each node, upwards. */
  readonly reactionN: Float64Array;
  /** Share of the springs that has lost touch, 0 to 1. */
  readonly liftOffFraction: number;
  readonly rounds: number;
  /** Where the contact came to rest: a load nearby settles sooner from here. */
  readonly settled: Settled;
}

/** A plate with its latest factor, and the springs that touch. */
export interface Settled {
  readonly prepared: PreparedPlate;
  readonly touching: Uint8Array;
}

export type PlateOutcome =
  | PlateSolution
  /** It turns over what is under it. */
  | { readonly kind: 'tips' }
  /** Contact kept changing: how many nodes still did in the last round. */
  | { readonly kind: 'not-converged'; readonly changing: number; readonly rounds: number };

/**
 * Bends a prepared plate under forces on its nodes. Springs that would pull are let go and those
 * that are reached take hold again, round by round (active set). Each round is solved by conjugate
 * gradients with the last factor as preconditioner: a few nodes change, so a few steps do.
 * @param from where the contact of a like load came to rest, to begin from
 */
export function bendPlate(
  prepared: PreparedPlate,
  loadN: Float64Array,
  from: Settled = { prepared, touching: prepared.touching },
): PlateOutcome {
  const { plate, rowOf } = prepared;
  const { springNPerMm, noTension, gapMm } = plate;
  const nodes = loadN.length;
  const gap = (node: number): number => gapMm?.[node] ?? 0;
  if (doesTip(prepared, loadN)) return { kind: 'tips' };
  let { factor, touching: factored } = from.prepared;
  let touching = Uint8Array.from(from.touching);
  let u: Float64Array = new Float64Array(3 * nodes);
  let changing = 0;
  let tolerance = LOOSE;
  for (let round = 1; round <= MAX_CONTACT_ROUNDS; round++) {
    const b = new Float64Array(3 * nodes);
    for (let node = 0; node < nodes; node++) {
      const k = touching[node] ? (springNPerMm[node] ?? 0) : 0;
      b[rowOf[node] ?? 0] = (loadN[node] ?? 0) + k * gap(node);
    }
    const change = changeBetween(prepared, factored, touching);
    const stepped =
      change.length === 0
        ? solveEnvelope(factor, b)
        : change.length < MANY * nodes && steps(factor, b, u, change, tolerance);
    if (stepped) u = stepped;
    else {
      const anew = factorWith(prepared, touching);
      if (!anew) return { kind: 'tips' };
      [factor, factored] = [anew, Uint8Array.from(touching)];
      u = solveEnvelope(factor, b);
    }
    const next = touching.map((_, node) =>
      (springNPerMm[node] ?? 0) > 0 && (!noTension || (u[rowOf[node] ?? 0] ?? 0) > gap(node))
        ? 1
        : 0,
    );
    changing = next.reduce((sum, now, node) => sum + Number(now !== touching[node]), 0);
    if (changing === 0 && stepped && change.length > 0 && tolerance > SETTLED) {
      tolerance = SETTLED;
      continue;
    }
    if (changing === 0) {
      const settled = { prepared: { ...prepared, factor, touching: factored }, touching };
      return recover(settled, u, round);
    }
    touching = next;
  }
  return { kind: 'not-converged', changing, rounds: MAX_CONTACT_ROUNDS };
}

/** Rows whose spring is not as it was factored, and by how much, N/mm. */
interface Change {
  readonly row: number;
  readonly springNPerMm: number;
}

function changeBetween(
  { plate, rowOf }: PreparedPlate,
  factored: Uint8Array,
  touching: Uint8Array,
): readonly Change[] {
  const changes: Change[] = [];
  for (let node = 0; node < touching.length; node++) {
    const sign = (touching[node] ?? 0) - (factored[node] ?? 0);
    if (sign !== 0)
      changes.push({ row: rowOf[node] ?? 0, springNPerMm: sign * (plate.springNPerMm[node] ?? 0) });
  }
  return changes;
}

/**
 * Solves (A + Δ)·u = b, A by its factor and Δ a few springs, by preconditioned conjugate gradients.
 * A·p is carried along rather than multiplied out, since A·z is the residual itself.
 * @returns null when it takes too many steps, or the springs no longer hold
 */
function steps(
  factor: Envelope,
  b: Float64Array,
  start: Float64Array,
  change: readonly Change[],
  tolerance: number,
): Float64Array | null {
  const size = b.length;
  // From u₀ = A⁻¹(b − Δ·u): A·u₀ is known, so the first residual is too.
  const guess = Float64Array.from(b);
  for (const { row, springNPerMm } of change)
    guess[row] = (guess[row] ?? 0) - springNPerMm * (start[row] ?? 0);
  const u = solveEnvelope(factor, guess);
  const r = new Float64Array(size);
  for (const { row, springNPerMm } of change)
    r[row] = springNPerMm * ((start[row] ?? 0) - (u[row] ?? 0));
  const enough = tolerance * Math.sqrt(inner(b, b));
  const max = stepsWorth(factor);
  let z = solveEnvelope(factor, r);
  const p = Float64Array.from(z);
  const Ap = Float64Array.from(r);
  let rz = inner(r, z);
  for (let step = 0; step < max; step++) {
    if (Math.sqrt(inner(r, r)) <= enough) return u;
    const Sp = Float64Array.from(Ap);
    for (const { row, springNPerMm } of change)
      Sp[row] = (Sp[row] ?? 0) + springNPerMm * (p[row] ?? 0);
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

/** Directions in which something must lie beyond the load. */
const DIRECTIONS = 180;

/**
 * Whether the load's resultant falls outside all that could bear it: then no contact can answer it.
 * Held edges hold down as well as up.
 */
function doesTip({ plate }: PreparedPlate, loadN: Float64Array): boolean {
  const { mesh, springNPerMm, noTension, held } = plate;
  if (!noTension || held.length > 0) return false;
  let [force, byX, byY] = [0, 0, 0];
  for (let node = 0; node < loadN.length; node++) {
    const one = loadN[node] ?? 0;
    force += one;
    byX += one * (mesh.x[node] ?? 0);
    byY += one * (mesh.y[node] ?? 0);
  }
  if (force <= 0) return false;
  for (let direction = 0; direction < DIRECTIONS; direction++) {
    const angle = (2 * Math.PI * direction) / DIRECTIONS;
    const [c, s] = [Math.cos(angle), Math.sin(angle)];
    const wanted = (c * byX + s * byY) / force;
    const bears = springNPerMm.some(
      (k, node) => k > 0 && c * (mesh.x[node] ?? 0) + s * (mesh.y[node] ?? 0) >= wanted,
    );
    if (!bears) return true;
  }
  return false;
}

function inner(a: Float64Array, b: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) sum += (a[i] ?? 0) * (b[i] ?? 0);
  return sum;
}

function recover(settled: Settled, u: Float64Array, rounds: number): PlateSolution {
  const { prepared, touching } = settled;
  const { plate, rowOf, holdNPerMm } = prepared;
  const { springNPerMm, gapMm } = plate;
  const deflectionMm = Float64Array.from(rowOf, (row) => u[row] ?? 0);
  const reactionN = new Float64Array(rowOf.length);
  let springs = 0;
  let lifted = 0;
  for (let node = 0; node < rowOf.length; node++) {
    const w = deflectionMm[node] ?? 0;
    const k = springNPerMm[node] ?? 0;
    springs += k;
    if (!touching[node]) lifted += k;
    reactionN[node] =
      (holdNPerMm[node] ?? 0) * w + (touching[node] ? k * (w - (gapMm?.[node] ?? 0)) : 0);
  }
  return {
    kind: 'converged',
    deflectionMm,
    ...tensions(prepared, u),
    reactionN,
    liftOffFraction: springs > 0 ? lifted / springs : 0,
    rounds,
    settled,
  };
}
