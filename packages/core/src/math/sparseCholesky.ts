import type { SparseMatrix, SparseRow } from './sparseMatrix';

/**
 * Where a symmetric matrix of few numbers other than zero has them, and its factor L too: column j of L holds the rows
 * `row[start[j]]` (its diagonal) to `row[start[j + 1] − 1]`, ascending. Unknowns with few neighbours come first, so that
 * little is filled in.
 */
export interface Sparsity {
  readonly size: number;
  /** Column of each unknown. */
  readonly column: Int32Array;
  readonly start: Int32Array;
  readonly row: Int32Array;
}

/** Of XᵀWX with a diagonal besides. */
export function sparsityOf({
  rows,
  columns: size,
  start: rowStart,
  index,
}: SparseMatrix): Sparsity {
  const neighbours = Array.from({ length: size }, () => new Set<number>());
  for (let row = 0; row < rows; row++) {
    const end = rowStart[row + 1] ?? 0;
    for (let a = rowStart[row] ?? 0; a < end; a++) {
      const own = neighbours[index[a] ?? 0];
      for (let b = rowStart[row] ?? 0; b < end; b++) own?.add(index[b] ?? 0);
    }
  }
  const order = neighbours.map((_, i) => i);
  order.sort((i, j) => (neighbours[i]?.size ?? 0) - (neighbours[j]?.size ?? 0) || i - j);
  const column = new Int32Array(size);
  order.forEach((unknown, j) => {
    column[unknown] = j;
  });
  const below = order.map((unknown, j) => {
    const rowsBelow = [...(neighbours[unknown] ?? [])].map((other) => column[other] ?? 0);
    return new Set(rowsBelow.filter((i) => i > j));
  });
  const start = new Int32Array(size + 1);
  const row: number[] = [];
  below.forEach((filled, j) => {
    const sorted = [...filled].sort((a, b) => a - b);
    // What a column fills in, its first row's own column takes over (elimination tree, Liu 1990).
    const [parent, ...others] = sorted;
    if (parent !== undefined) for (const i of others) below[parent]?.add(i);
    row.push(j, ...sorted);
    start[j + 1] = row.length;
  });
  return { size, column, start, row: Int32Array.from(row) };
}

/** Of each row's own products x_a·x_b, b ≤ a, one row after the other, where they lie among the matrix's values. */
export function slotsOf(sparsity: Sparsity, { rows, start, index }: SparseMatrix): Int32Array {
  let size = 0;
  for (let row = 0; row < rows; row++) {
    const count = (start[row + 1] ?? 0) - (start[row] ?? 0);
    size += (count * (count + 1)) / 2;
  }
  const slots = new Int32Array(size);
  let next = 0;
  for (let row = 0; row < rows; row++) {
    const from = start[row] ?? 0;
    const end = start[row + 1] ?? 0;
    for (let a = from; a < end; a++)
      for (let b = from; b <= a; b++)
        slots[next++] = slotOf(sparsity, index[a] ?? 0, index[b] ?? 0);
  }
  return slots;
}

/** Where A(i, j) lies, that is not zero. */
function slotOf({ column, start, row }: Sparsity, i: number, j: number): number {
  const [a, b] = [column[i] ?? 0, column[j] ?? 0];
  const [left, sought] = a < b ? [a, b] : [b, a];
  let low = start[left] ?? 0;
  let high = (start[left + 1] ?? 0) - 1;
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((row[middle] ?? 0) < sought) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** A += XᵀWX of diagonal W. */
export function addGram(
  values: Float64Array,
  slots: Int32Array,
  { rows, start, factor }: SparseMatrix,
  w: Float64Array,
): void {
  let next = 0;
  for (let row = 0; row < rows; row++) {
    const from = start[row] ?? 0;
    const end = start[row + 1] ?? 0;
    const by = w[row] ?? 0;
    for (let a = from; a < end; a++) {
      const x = by * (factor[a] ?? 0);
      for (let b = from; b <= a; b++) {
        const slot = slots[next++] ?? 0;
        values[slot] = (values[slot] ?? 0) + x * (factor[b] ?? 0);
      }
    }
  }
}

/** xᵀ·V·x of each row x, V having its values where A has. */
export function rowQuadratics(
  values: Float64Array,
  slots: Int32Array,
  { rows, start, factor }: SparseMatrix,
): Float64Array {
  const all = new Float64Array(rows);
  let next = 0;
  for (let row = 0; row < rows; row++) {
    const from = start[row] ?? 0;
    const end = start[row + 1] ?? 0;
    let sum = 0;
    for (let a = from; a < end; a++) {
      let half = 0;
      for (let b = from; b < a; b++) half += (factor[b] ?? 0) * (values[slots[next++] ?? 0] ?? 0);
      const own = factor[a] ?? 0;
      sum += own * (2 * half + own * (values[slots[next++] ?? 0] ?? 0));
    }
    all[row] = sum;
  }
  return all;
}

/** Values with this diagonal, by unknowns, and nothing beside it. */
export function diagonalOf({ row, start, column }: Sparsity, own: Float64Array): Float64Array {
  const values = new Float64Array(row.length);
  for (let i = 0; i < own.length; i++) values[start[column[i] ?? 0] ?? 0] = own[i] ?? 0;
  return values;
}

/** The diagonal of a matrix, by unknowns. */
export const diagonalIn = ({ start, column }: Sparsity, values: Float64Array): Float64Array =>
  Float64Array.from(column, (j) => values[start[j] ?? 0] ?? 0);

/** L and D of A = L·D·Lᵀ; L's diagonal of ones is kept as such. */
export interface SparseFactor {
  readonly sparsity: Sparsity;
  readonly l: Float64Array;
  readonly d: Float64Array;
  /** Room for one vector; zeros between uses. */
  readonly work: Float64Array;
}

/**
 * Factors column by column, each taking what the columns before it leave (left-looking; Davis 2006).
 * @param values of the matrix, where `sparsity` says
 * @returns null where it is not positive definite
 */
export function factorSparse(sparsity: Sparsity, values: Float64Array): SparseFactor | null {
  const { size, start, row } = sparsity;
  const l = new Float64Array(values.length);
  const d = new Float64Array(size);
  const work = new Float64Array(size);
  // Columns whose next row is j, as a list: first[j], then next[…]; at[k] is where that row lies in column k.
  const first = new Int32Array(size).fill(-1);
  const next = new Int32Array(size).fill(-1);
  const at = new Int32Array(size);
  const file = (k: number, p: number): void => {
    if (p >= (start[k + 1] ?? 0)) return;
    const i = row[p] ?? 0;
    at[k] = p;
    next[k] = first[i] ?? -1;
    first[i] = k;
  };
  for (let j = 0; j < size; j++) {
    const from = start[j] ?? 0;
    const to = start[j + 1] ?? 0;
    for (let p = from; p < to; p++) work[row[p] ?? 0] = values[p] ?? 0;
    for (let k = first[j] ?? -1; k >= 0;) {
      const after = next[k] ?? -1;
      const begin = at[k] ?? 0;
      const end = start[k + 1] ?? 0;
      const by = (l[begin] ?? 0) * (d[k] ?? 0);
      for (let p = begin; p < end; p++) {
        const i = row[p] ?? 0;
        work[i] = (work[i] ?? 0) - by * (l[p] ?? 0);
      }
      file(k, begin + 1);
      k = after;
    }
    const pivot = work[j] ?? 0;
    if (!(pivot > 0)) return null;
    d[j] = pivot;
    l[from] = 1;
    for (let p = from + 1; p < to; p++) l[p] = (work[row[p] ?? 0] ?? 0) / pivot;
    file(j, from + 1);
  }
  return { sparsity, l, d, work: work.fill(0) };
}

/** x := L⁻¹·x, in columns; those before `from` are zero. */
function forward({ sparsity, l }: SparseFactor, x: Float64Array, from = 0): void {
  const { size, start, row } = sparsity;
  for (let j = from; j < size; j++) {
    const own = x[j] ?? 0;
    if (own === 0) continue;
    const end = start[j + 1] ?? 0;
    for (let p = (start[j] ?? 0) + 1; p < end; p++) {
      const i = row[p] ?? 0;
      x[i] = (x[i] ?? 0) - own * (l[p] ?? 0);
    }
  }
}

/** x of A·x = b, by unknowns. */
export function solveSparse(factor: SparseFactor, b: Float64Array): Float64Array {
  const { sparsity, l, d } = factor;
  const { size, column, start, row } = sparsity;
  const x = new Float64Array(size);
  for (let i = 0; i < size; i++) x[column[i] ?? 0] = b[i] ?? 0;
  forward(factor, x);
  for (let j = size - 1; j >= 0; j--) {
    let sum = (x[j] ?? 0) / (d[j] ?? 1);
    const end = start[j + 1] ?? 0;
    for (let p = (start[j] ?? 0) + 1; p < end; p++) sum -= (l[p] ?? 0) * (x[row[p] ?? 0] ?? 0);
    x[j] = sum;
  }
  const byUnknown = new Float64Array(size);
  for (let i = 0; i < size; i++) byUnknown[i] = x[column[i] ?? 0] ?? 0;
  return byUnknown;
}

/** xᵀ·A⁻¹·x = |D^−½·L⁻¹·x|² of any x. */
export function quadraticInverse(factor: SparseFactor, { index, factor: by }: SparseRow): number {
  const { sparsity, d, work: x } = factor;
  let first = sparsity.size;
  for (let k = 0; k < index.length; k++) {
    const j = sparsity.column[index[k] ?? 0] ?? 0;
    x[j] = (x[j] ?? 0) + (by[k] ?? 0);
    first = Math.min(first, j);
  }
  forward(factor, x, first);
  let sum = 0;
  for (let j = first; j < x.length; j++) sum += (x[j] ?? 0) ** 2 / (d[j] ?? 1);
  x.fill(0, first);
  return sum;
}

/**
 * Those of A⁻¹ that lie where L is not zero, from the last column to the first:
 * Z_ij = −Σ_k L_kj·Z_ik, Z_jj = 1/d_j − Σ_k L_kj·Z_kj (Takahashi, Fagan & Chin 1973).
 */
export function inverseWithin({ sparsity, l, d }: SparseFactor): Float64Array {
  const { size, start, row } = sparsity;
  const z = new Float64Array(l.length);
  const own = new Float64Array(size);
  const sum = new Float64Array(size);
  for (let j = size - 1; j >= 0; j--) {
    const from = start[j] ?? 0;
    const to = start[j + 1] ?? 0;
    for (let p = from + 1; p < to; p++) {
      const i = row[p] ?? 0;
      own[i] = l[p] ?? 0;
      sum[i] = 0;
    }
    for (let p = from + 1; p < to; p++) {
      const k = row[p] ?? 0;
      const by = l[p] ?? 0;
      const begin = start[k] ?? 0;
      const end = start[k + 1] ?? 0;
      let ofK = by * (z[begin] ?? 0);
      for (let q = begin + 1; q < end; q++) {
        const i = row[q] ?? 0;
        const value = z[q] ?? 0;
        sum[i] = (sum[i] ?? 0) + by * value;
        ofK += (own[i] ?? 0) * value;
      }
      sum[k] = (sum[k] ?? 0) + ofK;
    }
    let diagonal = 1 / (d[j] ?? 1);
    for (let p = from + 1; p < to; p++) {
      const i = row[p] ?? 0;
      z[p] = -(sum[i] ?? 0);
      diagonal += (l[p] ?? 0) * (sum[i] ?? 0);
      own[i] = 0;
    }
    z[from] = diagonal;
  }
  return z;
}
