/** A vector of few numbers that are not zero: where, and which. */
export interface SparseRow {
  readonly index: Int32Array;
  readonly factor: Float64Array;
}

/** Of places and numbers. */
export function sparseRow(parts: readonly (readonly [index: number, factor: number])[]): SparseRow {
  const index = new Int32Array(parts.length);
  const factor = new Float64Array(parts.length);
  for (let k = 0; k < parts.length; k++) {
    index[k] = parts[k]?.[0] ?? 0;
    factor[k] = parts[k]?.[1] ?? 0;
  }
  return { index, factor };
}
export const EMPTY_ROW = sparseRow([]);

/** v += by·x */
export function addScaled(values: Float64Array, { index, factor }: SparseRow, by: number): void {
  for (let k = 0; k < index.length; k++) {
    const j = index[k] ?? 0;
    values[j] = (values[j] ?? 0) + by * (factor[k] ?? 0);
  }
}

/** The lower half of A += by·x·xᵀ, n × n, row-major. */
export function addOuter(
  s: Float64Array,
  n: number,
  { index, factor }: SparseRow,
  by: number,
): void {
  for (let a = 0; a < index.length; a++) {
    const i = index[a] ?? 0;
    const x = by * (factor[a] ?? 0);
    for (let b = 0; b < index.length; b++) {
      const j = index[b] ?? 0;
      if (j <= i) s[i * n + j] = (s[i * n + j] ?? 0) + x * (factor[b] ?? 0);
    }
  }
}

/** Those of a vector that are not zero. */
export function nonZero(values: Float64Array): SparseRow {
  let count = 0;
  for (let k = 0; k < values.length; k++) if (values[k] !== 0) count++;
  const index = new Int32Array(count);
  const factor = new Float64Array(count);
  let at = 0;
  for (let k = 0; k < values.length; k++)
    if (values[k] !== 0) {
      index[at] = k;
      factor[at++] = values[k] ?? 0;
    }
  return { index, factor };
}

/** A·x of a symmetric n × n matrix, row-major. */
export function timesSymmetric({ index, factor }: SparseRow, matrix: Float64Array, n: number) {
  const product = new Float64Array(n);
  for (let a = 0; a < index.length; a++) {
    const from = (index[a] ?? 0) * n;
    const x = factor[a] ?? 0;
    for (let k = 0; k < n; k++) product[k] = (product[k] ?? 0) + x * (matrix[from + k] ?? 0);
  }
  return product;
}

/** xᵀ·v */
export function dot({ index, factor }: SparseRow, values: Float64Array): number {
  let sum = 0;
  for (let k = 0; k < index.length; k++) sum += (factor[k] ?? 0) * (values[index[k] ?? 0] ?? 0);
  return sum;
}

/** xᵀ·A·x of an n × n matrix, row-major. */
export function quadratic({ index, factor }: SparseRow, matrix: Float64Array, n: number): number {
  let sum = 0;
  for (let a = 0; a < index.length; a++) {
    const from = (index[a] ?? 0) * n;
    for (let b = 0; b < index.length; b++)
      sum += (factor[a] ?? 0) * (factor[b] ?? 0) * (matrix[from + (index[b] ?? 0)] ?? 0);
  }
  return sum;
}
