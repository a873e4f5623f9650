import { addTo, emptyBand, factorBand, solveBand, type Band } from '../numeric/bandCholesky';
import { bendingLaw, curvatureMatrix, triangleStiffness, type Triangle } from './kirchhoffTriangle';
import type { PlateMesh } from './plateMesh';

/** Contact is taken for settled when no node changes sides; this often it is tried. */
const MOST_CONTACT_ROUNDS = 40;

/**
 * A plate to be bent. Deflections and forces point down, away from the drill; lengths mm, forces N.
 * Arrays run over the mesh's nodes.
 */
export interface PlateCase {
  readonly mesh: PlateMesh;
  readonly youngModulusMpa: number;
  readonly poisson: number;
  readonly thicknessMm: number;
  /** Force on each node, N. */
  readonly loadN: Float64Array;
  /** Springs under the nodes, N/mm: foundation modulus times the node's share of area; 0 for none. */
  readonly springNPerMm: Float64Array;
  /** How far each node stands off its spring before it touches, mm; all 0 where left out. */
  readonly gapMm?: Float64Array;
  /** Springs that hold from below only, so that the plate may lift off. */
  readonly noTension: boolean;
  /** Nodes whose deflection is held at 0, their slopes free. */
  readonly held: readonly number[];
}

export interface PlateSolution {
  readonly kind: 'converged';
  /** w at each node, mm. */
  readonly deflectionMm: Float64Array;
  /** Greatest tension at each node, MPa: on the far face, and on the near face. */
  readonly farTensionMpa: Float64Array;
  readonly nearTensionMpa: Float64Array;
  /** What springs and held nodes give back, N at each node, upwards. */
  readonly reactionN: Float64Array;
  /** Share of the springs' area that has lost touch, 0 to 1. */
  readonly liftOffFraction: number;
  readonly rounds: number;
}

export type PlateOutcome =
  | PlateSolution
  /** Nothing keeps the plate from falling or turning. */
  | { readonly kind: 'singular' }
  /** Contact kept changing: how many nodes still did in the last round. */
  | { readonly kind: 'not-converged'; readonly changing: number; readonly rounds: number };

/** Kirchhoff plate on springs and held nodes, by discrete Kirchhoff triangles and band Cholesky. */
export function solvePlate(plate: PlateCase): PlateOutcome {
  const { mesh, springNPerMm, noTension, loadN, gapMm } = plate;
  const nodes = mesh.x.length;
  const elastic = assemblePlate(plate);
  const gap = (node: number): number => gapMm?.[node] ?? 0;
  let touching = Uint8Array.from({ length: nodes }, (_, node) =>
    (springNPerMm[node] ?? 0) > 0 ? 1 : 0,
  );
  let changing = 0;
  for (let round = 1; round <= MOST_CONTACT_ROUNDS; round++) {
    const matrix: Band = { ...elastic, band: Float64Array.from(elastic.band) };
    const b = new Float64Array(3 * nodes);
    for (let node = 0; node < nodes; node++) {
      b[3 * node] = loadN[node] ?? 0;
      if (!touching[node]) continue;
      const k = springNPerMm[node] ?? 0;
      addTo(matrix, 3 * node, 3 * node, k);
      b[3 * node] = (b[3 * node] ?? 0) + k * gap(node);
    }
    hold(matrix, b, plate.held);
    const factored = factorBand(matrix);
    if (factored.kind === 'singular') return { kind: 'singular' };
    const u = solveBand(factored.factor, b);
    if (!noTension) return recover(plate, u, touching, round);
    const next = touching.map((_, node) =>
      (springNPerMm[node] ?? 0) > 0 && (u[3 * node] ?? 0) > gap(node) ? 1 : 0,
    );
    changing = next.reduce((sum, now, node) => sum + Number(now !== touching[node]), 0);
    touching = next;
    if (changing === 0) return recover(plate, u, touching, round);
  }
  return { kind: 'not-converged', changing, rounds: MOST_CONTACT_ROUNDS };
}

const cornersOf = ({ corners }: PlateMesh, triangle: number): readonly [number, number, number] => [
  corners[3 * triangle] ?? 0,
  corners[3 * triangle + 1] ?? 0,
  corners[3 * triangle + 2] ?? 0,
];

function triangleAt({ x, y }: PlateMesh, nodes: readonly [number, number, number]): Triangle {
  const [a, b, c] = nodes;
  return [x[a] ?? 0, y[a] ?? 0, x[b] ?? 0, y[b] ?? 0, x[c] ?? 0, y[c] ?? 0];
}

/** The plate's own stiffness, without springs and held nodes. */
export function assemblePlate({
  mesh,
  youngModulusMpa,
  poisson,
  thicknessMm,
}: Pick<PlateCase, 'mesh' | 'youngModulusMpa' | 'poisson' | 'thicknessMm'>): Band {
  const law = bendingLaw(youngModulusMpa, poisson, thicknessMm);
  const matrix = emptyBand(3 * mesh.x.length, 3 * (mesh.columns + 2));
  for (let triangle = 0; triangle < mesh.corners.length / 3; triangle++) {
    const nodes = cornersOf(mesh, triangle);
    const K = triangleStiffness(triangleAt(mesh, nodes), law);
    for (let i = 0; i < 9; i++) {
      const row = 3 * (nodes[Math.floor(i / 3)] ?? 0) + (i % 3);
      for (let j = 0; j <= i; j++) {
        const column = 3 * (nodes[Math.floor(j / 3)] ?? 0) + (j % 3);
        addTo(matrix, row, column, K[i * 9 + j] ?? 0);
      }
    }
  }
  return matrix;
}

/** Takes deflections that are held out of the equations: their row becomes w = 0. */
function hold(matrix: Band, b: Float64Array, held: readonly number[]): void {
  const { size, width, band } = matrix;
  const stride = width + 1;
  for (const node of held) {
    const row = 3 * node;
    for (let column = Math.max(0, row - width); column < row; column++)
      band[row * stride + column - row + width] = 0;
    for (let below = row + 1; below <= Math.min(size - 1, row + width); below++)
      band[below * stride + row - below + width] = 0;
    band[row * stride + width] = 1;
    b[row] = 0;
  }
}

function recover(
  plate: PlateCase,
  u: Float64Array,
  touching: Uint8Array,
  rounds: number,
): PlateSolution {
  const { mesh, springNPerMm, gapMm, loadN } = plate;
  const nodes = mesh.x.length;
  const deflectionMm = Float64Array.from({ length: nodes }, (_, node) => u[3 * node] ?? 0);
  const reactionN = new Float64Array(nodes);
  let springs = 0;
  let lifted = 0;
  for (let node = 0; node < nodes; node++) {
    const k = springNPerMm[node] ?? 0;
    springs += k;
    if (touching[node]) reactionN[node] = k * ((deflectionMm[node] ?? 0) - (gapMm?.[node] ?? 0));
    else lifted += k;
  }
  const inside = forcesOf(plate, u);
  for (const node of plate.held)
    reactionN[node] = (reactionN[node] ?? 0) + (loadN[node] ?? 0) - (inside[node] ?? 0);
  return {
    kind: 'converged',
    deflectionMm,
    ...tensions(plate, u),
    reactionN,
    liftOffFraction: springs > 0 ? lifted / springs : 0,
    rounds,
  };
}

/** K·u at each node's deflection, N: what the plate itself asks of it. */
function forcesOf(plate: PlateCase, u: Float64Array): Float64Array {
  const { mesh } = plate;
  const law = bendingLaw(plate.youngModulusMpa, plate.poisson, plate.thicknessMm);
  const forces = new Float64Array(mesh.x.length);
  for (let triangle = 0; triangle < mesh.corners.length / 3; triangle++) {
    const nodes = cornersOf(mesh, triangle);
    const K = triangleStiffness(triangleAt(mesh, nodes), law);
    for (let corner = 0; corner < 3; corner++) {
      const node = nodes[corner] ?? 0;
      let sum = 0;
      for (let j = 0; j < 9; j++)
        sum += (K[corner * 27 + j] ?? 0) * (u[3 * (nodes[Math.floor(j / 3)] ?? 0) + (j % 3)] ?? 0);
      forces[node] = (forces[node] ?? 0) + sum;
    }
  }
  return forces;
}

const AT_CORNERS = [
  [0, 0],
  [1, 0],
  [0, 1],
] as const;

/**
 * Greatest tension on either face, MPa: moments M = D·κ at the corners of each triangle, averaged at
 * the nodes by area, their principal values over t²/6. A positive moment pulls the far face.
 */
function tensions(
  plate: PlateCase,
  u: Float64Array,
): Pick<PlateSolution, 'farTensionMpa' | 'nearTensionMpa'> {
  const { mesh, thicknessMm } = plate;
  const law = bendingLaw(plate.youngModulusMpa, plate.poisson, thicknessMm);
  const nodes = mesh.x.length;
  const moments = new Float64Array(3 * nodes);
  const areas = new Float64Array(nodes);
  for (let triangle = 0; triangle < mesh.corners.length / 3; triangle++) {
    const corner = cornersOf(mesh, triangle);
    const at = triangleAt(mesh, corner);
    const area = ((at[2] - at[0]) * (at[5] - at[1]) - (at[4] - at[0]) * (at[3] - at[1])) / 2;
    for (let which = 0; which < 3; which++) {
      const [ξ, η] = AT_CORNERS[which] ?? [0, 0];
      const B = curvatureMatrix(at, ξ, η);
      const κ = [0, 0, 0];
      for (let j = 0; j < 9; j++) {
        const value = u[3 * (corner[Math.floor(j / 3)] ?? 0) + (j % 3)] ?? 0;
        for (let part = 0; part < 3; part++)
          κ[part] = (κ[part] ?? 0) + (B[9 * part + j] ?? 0) * value;
      }
      const node = corner[which] ?? 0;
      areas[node] = (areas[node] ?? 0) + area;
      for (let part = 0; part < 3; part++) {
        const M =
          (law[3 * part] ?? 0) * (κ[0] ?? 0) +
          (law[3 * part + 1] ?? 0) * (κ[1] ?? 0) +
          (law[3 * part + 2] ?? 0) * (κ[2] ?? 0);
        moments[3 * node + part] = (moments[3 * node + part] ?? 0) + M * area;
      }
    }
  }
  const perMpa = 6 / thicknessMm ** 2;
  const farTensionMpa = new Float64Array(nodes);
  const nearTensionMpa = new Float64Array(nodes);
  for (let node = 0; node < nodes; node++) {
    const area = areas[node] ?? 1;
    const [Mx, My, Mxy] = [0, 1, 2].map((part) => (moments[3 * node + part] ?? 0) / area);
    const mean = ((Mx ?? 0) + (My ?? 0)) / 2;
    const radius = Math.hypot(((Mx ?? 0) - (My ?? 0)) / 2, Mxy ?? 0);
    farTensionMpa[node] = Math.max(0, (mean + radius) * perMpa);
    nearTensionMpa[node] = Math.max(0, (radius - mean) * perMpa);
  }
  return { farTensionMpa, nearTensionMpa };
}
