import { addTo, emptyEnvelope, factorEnvelope, solveEnvelope } from './envelopeCholesky';
import { seededRandom } from './seededRandom';

/** Threes that begin where they may: full, in a band, apart, and in no order. */
const SHAPES: readonly (readonly [string, readonly number[]])[] = [
  ['full', [0, 0, 0, 0]],
  ['in a band', [0, 0, 1, 2]],
  ['apart', [0, 1, 2, 3]],
  ['ragged', [0, 0, 2, 0]],
];

/** Random numbers within the shape, and more on the diagonal than beside it: positive definite. */
function randomMatrix(firstOfThree: readonly number[]) {
  const random = seededRandom(7);
  const matrix = emptyEnvelope(Int32Array.from(firstOfThree));
  const { size, first } = matrix;
  const full = Array.from({ length: size }, () => new Array<number>(size).fill(0));
  full.forEach((row, i) => {
    for (let j = first[i] ?? 0; j <= i; j++) {
      const value = i === j ? 8 + random() : random() - 0.5;
      addTo(matrix, i, j, value);
      row[j] = value;
      (full[j] ?? [])[i] = value;
    }
  });
  const times = (x: Float64Array): readonly number[] =>
    full.map((row) => row.reduce((sum, one, j) => sum + one * (x[j] ?? 0), 0));
  return { matrix, times, size };
}

describe.each(SHAPES)('a matrix %s', (_, firstOfThree) => {
  it('is solved: A·x is b again, and b is left as it was', () => {
    const { matrix, times, size } = randomMatrix(firstOfThree);
    const factored = factorEnvelope(matrix);
    if (factored.kind !== 'factored') throw new Error(factored.kind);
    const b = Float64Array.from({ length: size }, (_one, i) => 1 + i * i);
    const x = solveEnvelope(factored.factor, b);
    times(x).forEach((one, i) => {
      expect(one).toBeCloseTo(b[i] ?? NaN, 9);
    });
    expect([b[0], b[size - 1]]).toEqual([1, 1 + (size - 1) ** 2]);
  });
});

it('keeps a row from where its three begins to its own diagonal', () => {
  const { size, first, start, values } = emptyEnvelope(Int32Array.of(0, 0, 2));
  expect(size).toBe(9);
  expect([...first]).toEqual([0, 0, 0, 0, 0, 0, 6, 6, 6]);
  expect([...start]).toEqual([0, 1, 3, 6, 10, 15, 21, 22, 24, 27]);
  expect(values).toHaveLength(27);
});

it('adds to either half alike, and more than once', () => {
  const matrix = emptyEnvelope(Int32Array.of(0, 0));
  addTo(matrix, 4, 1, 2);
  addTo(matrix, 1, 4, 3);
  addTo(matrix, 2, 2, 7);
  // Row 4 begins at 10: its second number is A(4, 1). Row 2 begins at 3.
  expect([matrix.values[11], matrix.values[5]]).toEqual([5, 7]);
});

it.each([
  [0, 0],
  [4, 3],
  [8, 6],
])('says which three is free to move: a pivot of nothing in row %d', (row, three) => {
  const matrix = emptyEnvelope(Int32Array.of(0, 0, 1));
  for (let i = 0; i < 9; i++) addTo(matrix, i, i, 4);
  addTo(matrix, row, row, -4);
  expect(factorEnvelope(matrix)).toEqual({ kind: 'singular', row: three });
});

it('takes a pivot a millionth of a millionth of its own diagonal for nothing', () => {
  const outcome = (left: number) => {
    const matrix = emptyEnvelope(Int32Array.of(0));
    for (const i of [0, 1, 2]) addTo(matrix, i, i, 1);
    addTo(matrix, 1, 0, Math.sqrt(1 - left));
    return factorEnvelope(matrix).kind;
  };
  expect([outcome(1e-11), outcome(1e-13), outcome(0)]).toEqual([
    'factored',
    'singular',
    'singular',
  ]);
});
