/**
 * A plate cut into triangles. Node i stands at (x[i], y[i]), mm. `corners` holds three node indices a
 * triangle, counter-clockwise.
 */
export interface PlateMesh {
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly corners: Int32Array;
}

export const triangleCount = ({ corners }: PlateMesh): number => corners.length / 3;

export const cornersOf = (
  { corners }: PlateMesh,
  triangle: number,
): readonly [number, number, number] => [
  corners[3 * triangle] ?? 0,
  corners[3 * triangle + 1] ?? 0,
  corners[3 * triangle + 2] ?? 0,
];

/** Area of a triangle of the mesh, mm²; positive where its corners run counter-clockwise. */
export function areaOf({ x, y }: PlateMesh, [a, b, c]: readonly [number, number, number]): number {
  const [xa, ya] = [x[a] ?? 0, y[a] ?? 0];
  return (((x[b] ?? 0) - xa) * ((y[c] ?? 0) - ya) - ((x[c] ?? 0) - xa) * ((y[b] ?? 0) - ya)) / 2;
}

/** Evenly spaced places from 0 to a length. */
export const evenAxis = (lengthMm: number, cells: number): Float64Array =>
  Float64Array.from({ length: cells + 1 }, (_, index) => (lengthMm * index) / cells);

/** A rectangle from two axes, its diagonals turned from cell to cell so that neither way is favoured. */
export function rectangleMesh(xs: Float64Array, ys: Float64Array): PlateMesh {
  const columns = xs.length;
  const rows = ys.length;
  const x = new Float64Array(columns * rows);
  const y = new Float64Array(columns * rows);
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      x[row * columns + column] = xs[column] ?? 0;
      y[row * columns + column] = ys[row] ?? 0;
    }
  }
  const corners = new Int32Array((columns - 1) * (rows - 1) * 6);
  let at = 0;
  for (let row = 0; row < rows - 1; row++) {
    for (let column = 0; column < columns - 1; column++) {
      const a = row * columns + column;
      const [b, c, d] = [a + 1, a + columns + 1, a + columns];
      const cells = (row + column) % 2 === 0 ? [a, b, c, a, c, d] : [a, b, d, b, c, d];
      for (const node of cells) corners[at++] = node;
    }
  }
  return { x, y, corners };
}
