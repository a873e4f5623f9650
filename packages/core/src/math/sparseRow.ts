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

/** v += by·x */
export function addScaled(values: Float64Array, { index, factor }: SparseRow, by: number): void {
  for (let k = 0; k < index.length; k++) {
    const j = index[k] ?? 0;
    values[j] = (values[j] ?? 0) + by * (factor[k] ?? 0);
  }
}

/** xᵀ·v */
export function dot({ index, factor }: SparseRow, values: Float64Array): number {
  let sum = 0;
  for (let k = 0; k < index.length; k++) sum += (factor[k] ?? 0) * (values[index[k] ?? 0] ?? 0);
  return sum;
}
