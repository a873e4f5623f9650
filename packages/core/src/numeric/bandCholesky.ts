/**
 * A symmetric positive definite matrix kept as its lower band.
 * `band[row * (width + 1) + k]` holds A(row, row − width + k) for k = 0 … width; entries left of
 * column 0 are unused zeros. The factor L of A = L·Lᵀ replaces it in place.
 */
export interface Band {
  readonly size: number;
  /** Sub-diagonals kept. */
  readonly width: number;
  readonly band: Float64Array;
}

export const emptyBand = (size: number, width: number): Band => ({
  size,
  width,
  band: new Float64Array(size * (width + 1)),
});

/** Adds to A(i, j) and, being symmetric, to A(j, i). */
export function addTo({ width, band }: Band, i: number, j: number, value: number): void {
  const row = i > j ? i : j;
  const column = i > j ? j : i;
  const at = row * (width + 1) + (column - row + width);
  band[at] = (band[at] ?? 0) + value;
}

export type Factored =
  | { readonly kind: 'factored'; readonly factor: Band }
  /** The pivot of this row is not positive: something is free to move. */
  | { readonly kind: 'singular'; readonly row: number };

/** Relative to the largest diagonal: a pivot under this is taken for nothing. */
const LEAST_PIVOT = 1e-13;

/** Cholesky factorisation within the band, row by row; A is overwritten. */
export function factorBand(matrix: Band): Factored {
  const { size, width, band } = matrix;
  const stride = width + 1;
  let largest = 0;
  for (let i = 0; i < size; i++) largest = Math.max(largest, band[i * stride + width] ?? 0);
  for (let i = 0; i < size; i++) {
    const rowI = i * stride;
    const first = Math.max(0, i - width);
    for (let j = first; j <= i; j++) {
      const rowJ = j * stride;
      let sum = band[rowI + j - i + width] ?? 0;
      const from = Math.max(first, j - width);
      let a = rowI + from - i + width;
      let b = rowJ + from - j + width;
      for (let k = from; k < j; k++) sum -= (band[a++] ?? 0) * (band[b++] ?? 0);
      if (i === j) {
        if (!(sum > LEAST_PIVOT * largest)) return { kind: 'singular', row: i };
        band[rowI + width] = Math.sqrt(sum);
      } else band[rowI + j - i + width] = sum / (band[rowJ + width] ?? 1);
    }
  }
  return { kind: 'factored', factor: matrix };
}

/** Solves L·Lᵀ·x = b; b is left as it is. */
export function solveBand({ size, width, band }: Band, b: Float64Array): Float64Array {
  const stride = width + 1;
  const x = Float64Array.from(b);
  for (let i = 0; i < size; i++) {
    let sum = x[i] ?? 0;
    const first = Math.max(0, i - width);
    let at = i * stride + first - i + width;
    for (let k = first; k < i; k++) sum -= (band[at++] ?? 0) * (x[k] ?? 0);
    x[i] = sum / (band[i * stride + width] ?? 1);
  }
  for (let i = size - 1; i >= 0; i--) {
    const value = (x[i] ?? 0) / (band[i * stride + width] ?? 1);
    x[i] = value;
    const first = Math.max(0, i - width);
    let at = i * stride + first - i + width;
    for (let k = first; k < i; k++) x[k] = (x[k] ?? 0) - (band[at++] ?? 0) * value;
  }
  return x;
}
