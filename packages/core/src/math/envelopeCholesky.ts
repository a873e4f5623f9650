/**
 * A symmetric positive definite matrix kept as the envelope of its lower half (Jennings 1966), for
 * unknowns that come in threes: three rows next to each other begin in the same column, itself a
 * multiple of three. Row i holds A(i, first[i]) … A(i, i) in `values` from `start[i]` on. The factor
 * L of A = L·Lᵀ lies in the same envelope, and replaces it in place.
 */
export interface Envelope {
  readonly size: number;
  readonly first: Int32Array;
  readonly start: Int32Array;
  readonly values: Float64Array;
}

/** @param firstOfThree the leftmost three of columns that each three of rows meets, at most itself */
export function emptyEnvelope(firstOfThree: Int32Array): Envelope {
  const size = 3 * firstOfThree.length;
  const first = new Int32Array(size);
  const start = new Int32Array(size + 1);
  for (let i = 0; i < size; i++) {
    first[i] = 3 * (firstOfThree[Math.floor(i / 3)] ?? 0);
    start[i + 1] = (start[i] ?? 0) + i - (first[i] ?? 0) + 1;
  }
  return { size, first, start, values: new Float64Array(start[size] ?? 0) };
}

/** Adds to A(i, j) and, being symmetric, to A(j, i). */
export function addTo({ first, start, values }: Envelope, i: number, j: number, value: number) {
  const row = i > j ? i : j;
  const column = i > j ? j : i;
  const at = (start[row] ?? 0) + column - (first[row] ?? 0);
  values[at] = (values[at] ?? 0) + value;
}

export type Factored =
  | { readonly kind: 'factored'; readonly factor: Envelope }
  /** A pivot of these three rows is not positive: something is free to move. */
  | { readonly kind: 'singular'; readonly row: number };

/** Relative to the row's own diagonal: a pivot under this is taken for nothing. */
const MIN_PIVOT = 1e-12;

/**
 * Cholesky factorisation within the envelope, three rows against three at a time, so that each number
 * fetched is used three times; A is overwritten.
 */
export function factorEnvelope(matrix: Envelope): Factored {
  const { size, first, start, values: v } = matrix;
  for (let i = 0; i < size; i += 3) {
    const firstI = first[i] ?? 0;
    const i0 = (start[i] ?? 0) - firstI;
    const i1 = (start[i + 1] ?? 0) - firstI;
    const i2 = (start[i + 2] ?? 0) - firstI;
    for (let j = firstI; j < i; j += 3) {
      const firstJ = first[j] ?? 0;
      const j0 = (start[j] ?? 0) - firstJ;
      const j1 = (start[j + 1] ?? 0) - firstJ;
      const j2 = (start[j + 2] ?? 0) - firstJ;
      let s00 = v[i0 + j] ?? 0;
      let s01 = v[i0 + j + 1] ?? 0;
      let s02 = v[i0 + j + 2] ?? 0;
      let s10 = v[i1 + j] ?? 0;
      let s11 = v[i1 + j + 1] ?? 0;
      let s12 = v[i1 + j + 2] ?? 0;
      let s20 = v[i2 + j] ?? 0;
      let s21 = v[i2 + j + 1] ?? 0;
      let s22 = v[i2 + j + 2] ?? 0;
      for (let k = firstI > firstJ ? firstI : firstJ; k < j; k++) {
        const a0 = v[i0 + k] ?? 0;
        const a1 = v[i1 + k] ?? 0;
        const a2 = v[i2 + k] ?? 0;
        const b0 = v[j0 + k] ?? 0;
        const b1 = v[j1 + k] ?? 0;
        const b2 = v[j2 + k] ?? 0;
        s00 -= a0 * b0;
        s01 -= a0 * b1;
        s02 -= a0 * b2;
        s10 -= a1 * b0;
        s11 -= a1 * b1;
        s12 -= a1 * b2;
        s20 -= a2 * b0;
        s21 -= a2 * b1;
        s22 -= a2 * b2;
      }
      const l00 = v[j0 + j] ?? 1;
      const l10 = v[j1 + j] ?? 0;
      const l11 = v[j1 + j + 1] ?? 1;
      const l20 = v[j2 + j] ?? 0;
      const l21 = v[j2 + j + 1] ?? 0;
      const l22 = v[j2 + j + 2] ?? 1;
      s00 /= l00;
      s10 /= l00;
      s20 /= l00;
      s01 = (s01 - s00 * l10) / l11;
      s11 = (s11 - s10 * l10) / l11;
      s21 = (s21 - s20 * l10) / l11;
      v[i0 + j] = s00;
      v[i0 + j + 1] = s01;
      v[i0 + j + 2] = (s02 - s00 * l20 - s01 * l21) / l22;
      v[i1 + j] = s10;
      v[i1 + j + 1] = s11;
      v[i1 + j + 2] = (s12 - s10 * l20 - s11 * l21) / l22;
      v[i2 + j] = s20;
      v[i2 + j + 1] = s21;
      v[i2 + j + 2] = (s22 - s20 * l20 - s21 * l21) / l22;
    }
    if (!factorOwn(v, i, [i0, i1, i2], firstI)) return { kind: 'singular', row: i };
  }
  return { kind: 'factored', factor: matrix };
}

/** The three rows against themselves; false where a pivot is nothing. */
function factorOwn(
  v: Float64Array,
  i: number,
  rows: readonly [number, number, number],
  firstI: number,
): boolean {
  for (let a = 0; a < 3; a++) {
    const rowA = rows[a] ?? 0;
    const own = v[rowA + i + a] ?? 0;
    for (let b = 0; b <= a; b++) {
      const rowB = rows[b] ?? 0;
      let sum = v[rowA + i + b] ?? 0;
      for (let k = firstI; k < i + b; k++) sum -= (v[rowA + k] ?? 0) * (v[rowB + k] ?? 0);
      if (a !== b) v[rowA + i + b] = sum / (v[rowB + i + b] ?? 1);
      else {
        if (!(sum > MIN_PIVOT * own)) return false;
        v[rowA + i + a] = Math.sqrt(sum);
      }
    }
  }
  return true;
}

/** Solves L·Lᵀ·x = b; b is left as it is. */
export function solveEnvelope(factor: Envelope, b: Float64Array): Float64Array {
  const { size, first, start, values: v } = factor;
  const x = Float64Array.from(b);
  for (let i = 0; i < size; i += 3) {
    const firstI = first[i] ?? 0;
    const i0 = (start[i] ?? 0) - firstI;
    const i1 = (start[i + 1] ?? 0) - firstI;
    const i2 = (start[i + 2] ?? 0) - firstI;
    let s0 = x[i] ?? 0;
    let s1 = x[i + 1] ?? 0;
    let s2 = x[i + 2] ?? 0;
    for (let k = firstI; k < i; k++) {
      const at = x[k] ?? 0;
      s0 -= (v[i0 + k] ?? 0) * at;
      s1 -= (v[i1 + k] ?? 0) * at;
      s2 -= (v[i2 + k] ?? 0) * at;
    }
    s0 /= v[i0 + i] ?? 1;
    s1 = (s1 - (v[i1 + i] ?? 0) * s0) / (v[i1 + i + 1] ?? 1);
    x[i] = s0;
    x[i + 1] = s1;
    x[i + 2] = (s2 - (v[i2 + i] ?? 0) * s0 - (v[i2 + i + 1] ?? 0) * s1) / (v[i2 + i + 2] ?? 1);
  }
  for (let i = size - 3; i >= 0; i -= 3) {
    const firstI = first[i] ?? 0;
    const i0 = (start[i] ?? 0) - firstI;
    const i1 = (start[i + 1] ?? 0) - firstI;
    const i2 = (start[i + 2] ?? 0) - firstI;
    const x2 = (x[i + 2] ?? 0) / (v[i2 + i + 2] ?? 1);
    const x1 = ((x[i + 1] ?? 0) - (v[i2 + i + 1] ?? 0) * x2) / (v[i1 + i + 1] ?? 1);
    const x0 = ((x[i] ?? 0) - (v[i1 + i] ?? 0) * x1 - (v[i2 + i] ?? 0) * x2) / (v[i0 + i] ?? 1);
    x[i] = x0;
    x[i + 1] = x1;
    x[i + 2] = x2;
    for (let k = firstI; k < i; k++)
      x[k] = (x[k] ?? 0) - (v[i0 + k] ?? 0) * x0 - (v[i1 + k] ?? 0) * x1 - (v[i2 + k] ?? 0) * x2;
  }
  return x;
}
