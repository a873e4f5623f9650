import { seededRandom } from './seededRandom';
import {
  addGram,
  diagonalIn,
  diagonalOf,
  factorSparse,
  inverseWithin,
  quadraticInverse,
  rowQuadratics,
  slotsOf,
  solveSparse,
  sparsityOf,
} from './sparseCholesky';
import { sparseMatrix, sparseRow, times, transposeTimes, type SparseRow } from './sparseMatrix';

/** A = diag(own) + XᵀX, factored. */
function factored(own: readonly number[], rows: readonly SparseRow[]) {
  const x = sparseMatrix(rows, own.length);
  const sparsity = sparsityOf(x);
  const slots = slotsOf(sparsity, x);
  const values = diagonalOf(sparsity, Float64Array.from(own));
  addGram(values, slots, x, new Float64Array(rows.length).fill(1));
  return { x, slots, sparsity, factor: factorSparse(sparsity, values) };
}
const factorOf = (own: readonly number[], rows: readonly SparseRow[]) => {
  const { factor, ...rest } = factored(own, rows);
  if (!factor) throw new Error('not positive definite');
  return { ...rest, factor };
};
const unit = (size: number, i: number) => Float64Array.from({ length: size }, (_, k) => +(k === i));

// 4 2 0 / 2 4 1 / 0 1 2: its inverse by cofactors is 7 -4 2 / -4 8 -4 / 2 -4 12 over 20.
const BY_HAND = factorOf(
  [2, 1, 1],
  [
    sparseRow([
      [0, Math.SQRT2],
      [1, Math.SQRT2],
    ]),
    sparseRow([
      [1, 1],
      [2, 1],
    ]),
  ],
);

it('solves what is solved by hand', () => {
  const columns = [0, 1, 2].map((i) => [...solveSparse(BY_HAND.factor, unit(3, i))]);
  const expected = [
    [7, -4, 2],
    [-4, 8, -4],
    [2, -4, 12],
  ];
  columns.forEach((column, i) => {
    column.forEach((value, k) => {
      expect(value).toBeCloseTo((expected[i]?.[k] ?? NaN) / 20, 12);
    });
  });
});

it('keeps apart what does not touch, and fills in what hangs together', () => {
  const star = [1, 2, 3].map((i) =>
    sparseRow([
      [0, 1],
      [i, 1],
    ]),
  );
  // Leaves first: nothing is filled in, a diagonal and one number to each leaf.
  expect(factorOf([1, 1, 1, 1], star).sparsity.row).toHaveLength(7);
});

it('inverts within its own pattern as solving by each unknown does, for many at random', () => {
  const random = seededRandom(4);
  const size = 30;
  const rows = Array.from({ length: 60 }, () => {
    const picked = new Set(Array.from({ length: 4 }, () => Math.floor(random() * size)));
    return sparseRow([...picked].map((i) => [i, random() - 0.3]));
  });
  const { x, slots, sparsity, factor } = factorOf(
    Array.from({ length: size }, () => 0.5 + random()),
    rows,
  );
  const inverse = Array.from({ length: size }, (_, i) => solveSparse(factor, unit(size, i)));
  const within = inverseWithin(factor);
  const byHand = ({ index, factor: by }: SparseRow) => {
    let sum = 0;
    index.forEach((i, a) => {
      index.forEach((j, b) => {
        sum += (by[a] ?? 0) * (by[b] ?? 0) * (inverse[i]?.[j] ?? NaN);
      });
    });
    return sum;
  };
  const quadratics = rowQuadratics(within, slots, x);
  rows.forEach((row, i) => {
    expect(quadratics[i]).toBeCloseTo(byHand(row), 10);
    expect(quadraticInverse(factor, row)).toBeCloseTo(byHand(row), 10);
  });
  diagonalIn(sparsity, within).forEach((value, i) => {
    expect(value).toBeCloseTo(inverse[i]?.[i] ?? NaN, 10);
  });
});

it('multiplies by rows and by columns', () => {
  // 1 2 0 / 0 0 3
  const x = sparseMatrix(
    [
      sparseRow([
        [0, 1],
        [1, 2],
      ]),
      sparseRow([[2, 3]]),
    ],
    3,
  );
  expect([...times(x, Float64Array.of(1, 10, 100))]).toEqual([21, 300]);
  expect([...transposeTimes(x, Float64Array.of(5, 7))]).toEqual([5, 10, 21]);
});

it('tells a matrix that is not positive definite', () => {
  const both = sparseRow([
    [0, 1],
    [1, 1],
  ]);
  expect(factored([0, 0], [both]).factor).toBeNull();
});
