/**
 * A plate cut into triangles. Node i stands at (x[i], y[i]), mm. `corners` holds three node indices a
 * triangle, counter-clockwise. `columns` nodes stand in a row of the grid it was made from: numbering
 * runs along rows, so that the stiffness keeps a narrow band.
 */
export interface PlateMesh {
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly corners: Int32Array;
  readonly columns: number;
}

/**
 * Places from 0 to a length, fine about a focus and coarser away from it by a growing step.
 * @param least step at the focus, mm
 * @param growth ratio of neighbouring steps, over 1
 */
export function gradedAxis(
  lengthMm: number,
  focusMm: number,
  leastMm: number,
  growth = 1.2,
): Float64Array {
  const arm = (reachMm: number): number[] => {
    const places: number[] = [];
    let step = leastMm;
    for (let at = 0; at + step < reachMm - step / 3;) {
      at += step;
      places.push(at);
      step *= growth;
    }
    // Stretched a little so that the last step ends on the edge without a sliver.
    const last = places.at(-1);
    const count = places.length;
    if (last === undefined) return reachMm > 0 ? [reachMm] : [];
    const stretch = reachMm / (last + step);
    return [...places.map((at) => at * stretch), reachMm].slice(0, count + 1);
  };
  const left = arm(focusMm).map((at) => focusMm - at);
  const right = arm(lengthMm - focusMm).map((at) => focusMm + at);
  return Float64Array.from([...left.reverse(), focusMm, ...right]);
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
  return { x, y, corners, columns };
}
