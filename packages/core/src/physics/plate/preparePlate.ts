import { addTo, emptyEnvelope, factorEnvelope, type Envelope } from '../../math/envelopeCholesky';
import {
  bendingLaw,
  curvatureMatrix,
  triangleStiffness,
  type BendingLaw,
  type Triangle,
} from './kirchhoffTriangle';
import { neighboursOf, nodeOrder } from './nodeOrder';
import { cornersOf, triangleCount, type PlateMesh } from './plateMesh';

/**
 * A plate and what holds it. Deflections and forces point down, away from the drill; lengths mm,
 * forces N. Arrays run over the mesh's nodes unless said otherwise.
 */
export interface HeldPlate {
  readonly mesh: PlateMesh;
  readonly youngModulusMpa: number;
  readonly poisson: number;
  readonly thicknessMm: number;
  /**
   * How many times stiffer each triangle is than the plate alone, because of a board that lies on it
   * unglued; 1 everywhere where left out.
   */
  readonly stiffening?: Float64Array;
  /** Springs under the nodes, N/mm: foundation modulus times the node's share of area; 0 for none. */
  readonly springNPerMm: Float64Array;
  /** How far each node stands off its spring before it touches, mm; all 0 where left out. */
  readonly gapMm?: Float64Array;
  /** Springs that hold from below only, so that the plate may lift off. */
  readonly noTension: boolean;
  /** Nodes whose deflection is held at 0, their slopes free. */
  readonly held: readonly number[];
}

/** A plate whose stiffness is factored with the springs of `touching` in it. */
export interface PreparedPlate {
  readonly plate: HeldPlate;
  readonly elastic: Elastic;
  /** `rowOf[node]` is the row of its deflection. */
  readonly rowOf: Int32Array;
  /** Springs of held nodes, N/mm, stiff beside the plate; 0 elsewhere. */
  readonly holdNPerMm: Float64Array;
  readonly factor: Envelope;
  readonly touching: Uint8Array;
  /** 81 numbers a triangle: at each corner the 3 × 9 matrix that makes moments of u. */
  readonly momentsOf: Float64Array;
}

/** The plate's own stiffness as it was put together: entries of the lower half, some more than once. */
export interface Elastic {
  readonly firstOfThree: Int32Array;
  readonly rows: Int32Array;
  readonly columns: Int32Array;
  readonly values: Float64Array;
}

export type Prepared =
  | { readonly kind: 'prepared'; readonly plate: PreparedPlate }
  /** Nothing keeps the plate from falling or turning. */
  | { readonly kind: 'singular' };

/** A held node's spring beside the plate's own stiffness there: it gives by a millionth. */
const HOLD = 1e6;

export const lawOf = ({ youngModulusMpa, poisson, thicknessMm }: HeldPlate): BendingLaw =>
  bendingLaw(youngModulusMpa, poisson, thicknessMm);

export function triangleAt(
  { x, y }: PlateMesh,
  [a, b, c]: readonly [number, number, number],
): Triangle {
  return [x[a] ?? 0, y[a] ?? 0, x[b] ?? 0, y[b] ?? 0, x[c] ?? 0, y[c] ?? 0];
}

/** Assembles and factors, with every spring touching. */
export function preparePlate(plate: HeldPlate): Prepared {
  const { mesh, springNPerMm } = plate;
  const order = nodeOrder(mesh);
  const rowOf = new Int32Array(order.length);
  order.forEach((node, place) => {
    rowOf[node] = 3 * place;
  });
  const elastic = assemble(plate, rowOf);
  const holdNPerMm = new Float64Array(mesh.x.length);
  const own = diagonalOf(elastic);
  for (const node of plate.held) holdNPerMm[node] = HOLD * (own[rowOf[node] ?? 0] ?? 0);
  const touching = Uint8Array.from(springNPerMm, (k) => (k > 0 ? 1 : 0));
  const factor = factorWith({ plate, elastic, rowOf, holdNPerMm }, touching);
  return factor
    ? {
        kind: 'prepared',
        plate: {
          plate,
          elastic,
          rowOf,
          holdNPerMm,
          factor,
          touching,
          momentsOf: momentMatrices(plate),
        },
      }
    : { kind: 'singular' };
}

/** Factors anew with just these springs; null where they do not hold it. */
export function factorWith(
  { plate, elastic, rowOf, holdNPerMm }: Omit<PreparedPlate, 'factor' | 'touching' | 'momentsOf'>,
  touching: Uint8Array,
): Envelope | null {
  const { firstOfThree, rows, columns, values } = elastic;
  const matrix = emptyEnvelope(firstOfThree);
  for (let at = 0; at < values.length; at++)
    addTo(matrix, rows[at] ?? 0, columns[at] ?? 0, values[at] ?? 0);
  for (let node = 0; node < touching.length; node++) {
    const k = (touching[node] ? (plate.springNPerMm[node] ?? 0) : 0) + (holdNPerMm[node] ?? 0);
    if (k > 0) addTo(matrix, rowOf[node] ?? 0, rowOf[node] ?? 0, k);
  }
  const factored = factorEnvelope(matrix);
  return factored.kind === 'factored' ? factored.factor : null;
}

function diagonalOf({ firstOfThree, rows, columns, values }: Elastic): Float64Array {
  const diagonal = new Float64Array(3 * firstOfThree.length);
  values.forEach((value, at) => {
    const row = rows[at] ?? 0;
    if (row === columns[at]) diagonal[row] = (diagonal[row] ?? 0) + value;
  });
  return diagonal;
}

/** Entries of a triangle's stiffness on and below its diagonal. */
const LOWER = 45;

/** The plate's own stiffness, without what holds it. */
function assemble(plate: HeldPlate, rowOf: Int32Array): Elastic {
  const { mesh, stiffening } = plate;
  const law = lawOf(plate);
  const rows = new Int32Array(LOWER * triangleCount(mesh));
  const columns = new Int32Array(rows.length);
  const values = new Float64Array(rows.length);
  let at = 0;
  for (let triangle = 0; triangle < triangleCount(mesh); triangle++) {
    const nodes = cornersOf(mesh, triangle);
    const K = triangleStiffness(triangleAt(mesh, nodes), law);
    const times = stiffening?.[triangle] ?? 1;
    for (let i = 0; i < 9; i++) {
      const row = (rowOf[nodes[Math.floor(i / 3)] ?? 0] ?? 0) + (i % 3);
      for (let j = 0; j <= i; j++) {
        const column = (rowOf[nodes[Math.floor(j / 3)] ?? 0] ?? 0) + (j % 3);
        rows[at] = row;
        columns[at] = column;
        values[at++] = times * (K[i * 9 + j] ?? 0);
      }
    }
  }
  return { firstOfThree: envelopeOf(mesh, rowOf), rows, columns, values };
}

const AT_CORNERS = [
  [0, 0],
  [1, 0],
  [0, 1],
] as const;

/** M = D·B at the corners of each triangle, of the plate alone, whatever lies on it. */
function momentMatrices(plate: HeldPlate): Float64Array {
  const { mesh } = plate;
  const law = lawOf(plate);
  const matrices = new Float64Array(81 * triangleCount(mesh));
  for (let triangle = 0; triangle < triangleCount(mesh); triangle++) {
    const at = triangleAt(mesh, cornersOf(mesh, triangle));
    AT_CORNERS.forEach(([ξ, η], corner) => {
      const B = curvatureMatrix(at, ξ, η);
      const offset = 81 * triangle + 27 * corner;
      for (let part = 0; part < 3; part++)
        for (let j = 0; j < 9; j++)
          matrices[offset + 9 * part + j] =
            (law[3 * part] ?? 0) * (B[j] ?? 0) +
            (law[3 * part + 1] ?? 0) * (B[9 + j] ?? 0) +
            (law[3 * part + 2] ?? 0) * (B[18 + j] ?? 0);
    });
  }
  return matrices;
}

/** The leftmost node, by place, that each shares a triangle with. */
function envelopeOf(mesh: PlateMesh, rowOf: Int32Array): Int32Array {
  const first = new Int32Array(rowOf.length);
  neighboursOf(mesh).forEach((neighbours, node) => {
    const row = rowOf[node] ?? 0;
    first[row / 3] = neighbours.reduce((min, one) => Math.min(min, rowOf[one] ?? 0), row) / 3;
  });
  return first;
}
