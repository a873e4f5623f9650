import { conjugateGradients, type DiagonalChange } from '../../math/conjugateGradients';
import { solveEnvelope } from '../../math/envelopeCholesky';
import { factorWith, type PreparedPlate } from './preparePlate';
import { tensions } from './tensions';

/** Contact is settled when no node changes sides; this often it is tried. */
const MAX_CONTACT_ROUNDS = 40;
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
        : change.length < MANY * nodes && conjugateGradients(factor, change, b, u, tolerance);
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
function changeBetween(
  { plate, rowOf }: PreparedPlate,
  factored: Uint8Array,
  touching: Uint8Array,
): readonly DiagonalChange[] {
  const changes: DiagonalChange[] = [];
  for (let node = 0; node < touching.length; node++) {
    const sign = (touching[node] ?? 0) - (factored[node] ?? 0);
    if (sign !== 0)
      changes.push({ row: rowOf[node] ?? 0, by: sign * (plate.springNPerMm[node] ?? 0) });
  }
  return changes;
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
