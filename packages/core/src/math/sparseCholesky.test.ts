import { seededRandom } from './seededRandom';
import {
  addOuter,
  factorSparse,
  inverseWithin,
  quadraticInverse,
  quadraticWithin,
  slotsOf,
  solveSparse,
  sparsityOf,
} from './sparseCholesky';
import { sparseRow, type SparseRow } from './sparseRow';

/** A = diag(own) + Σ x·xᵀ, factored. */
function factored(own: readonly number[], rows: readonly SparseRow[]) {
  const diagonal = own.map((_, i) => sparseRow([[i, 1]]));
  const sparsity = sparsityOf(own.length, rows);
  const values = new Float64Array(sparsity.row.length);
  diagonal.forEach((row, i) => {
    addOuter(values, slotsOf(sparsity, row), row, own[i] ?? 0);
  });
  for (const row of rows) addOuter(values, slotsOf(sparsity, row), row, 1);
  return { sparsity, factor: factorSparse(sparsity, values) };
}
const factorOf = (own: readonly number[], rows: readonly SparseRow[]) => {
  const { sparsity, factor } = factored(own, rows);
  if (!factor) throw new Error('not positive definite');
  return { sparsity, factor };
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
  const { sparsity, factor } = factorOf(
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
  for (const row of rows) {
    expect(quadraticWithin(within, slotsOf(sparsity, row), row)).toBeCloseTo(byHand(row), 10);
    expect(quadraticInverse(factor, row)).toBeCloseTo(byHand(row), 10);
  }
});

it('tells a matrix that is not positive definite', () => {
  const both = sparseRow([
    [0, 1],
    [1, 1],
  ]);
  expect(factored([0, 0], [both]).factor).toBeNull();
});
