/** A vector of few numbers that are not zero: where, and which. */
export interface SparseRow {
  readonly index: Int32Array;
  readonly factor: Float64Array;
}

/** Of places and numbers. */
export function sparseRow(parts: readonly (readonly [index: number, factor: number])[]): SparseRow {
  const index = new Int32Array(parts.length);
  const factor = new Float64Array(parts.length);
  parts.forEach(([at, by], k) => {
    index[k] = at;
    factor[k] = by;
  });
  return { index, factor };
}

/** xᵀ·v */
export function dot({ index, factor }: SparseRow, values: Float64Array): number {
  let sum = 0;
  for (let k = 0; k < index.length; k++) sum += (factor[k] ?? 0) * (values[index[k] ?? 0] ?? 0);
  return sum;
}

/** Such vectors one below the other (compressed rows): row i lies from start[i] to start[i + 1] − 1. */
export interface SparseMatrix extends SparseRow {
  readonly rows: number;
  readonly columns: number;
  readonly start: Int32Array;
}

export function sparseMatrix(rows: readonly SparseRow[], columns: number): SparseMatrix {
  const start = new Int32Array(rows.length + 1);
  rows.forEach(({ index }, i) => {
    start[i + 1] = (start[i] ?? 0) + index.length;
  });
  const size = start[rows.length] ?? 0;
  const index = new Int32Array(size);
  const factor = new Float64Array(size);
  rows.forEach((row, i) => {
    index.set(row.index, start[i]);
    factor.set(row.factor, start[i]);
  });
  return { rows: rows.length, columns, start, index, factor };
}

/** X·v, by rows. */
export function times({ rows, start, index, factor }: SparseMatrix, v: Float64Array): Float64Array {
  const product = new Float64Array(rows);
  for (let i = 0; i < rows; i++) {
    const end = start[i + 1] ?? 0;
    let sum = 0;
    for (let k = start[i] ?? 0; k < end; k++) sum += (factor[k] ?? 0) * (v[index[k] ?? 0] ?? 0);
    product[i] = sum;
  }
  return product;
}

/** Xᵀ·v, by columns. */
export function transposeTimes(
  { rows, columns, start, index, factor }: SparseMatrix,
  v: Float64Array,
): Float64Array {
  const product = new Float64Array(columns);
  for (let i = 0; i < rows; i++) {
    const end = start[i + 1] ?? 0;
    const by = v[i] ?? 0;
    for (let k = start[i] ?? 0; k < end; k++) {
      const j = index[k] ?? 0;
      product[j] = (product[j] ?? 0) + by * (factor[k] ?? 0);
    }
  }
  return product;
}
