import { conjugateGradients, type DiagonalChange } from './conjugateGradients';
import { addTo, emptyEnvelope, factorEnvelope, solveEnvelope } from './envelopeCholesky';

/** A band of `wide` threes beside the diagonal: −1 off it, and enough on it to be positive definite. */
function band(threes: number, wide: number, change: readonly DiagonalChange[] = []) {
  const matrix = emptyEnvelope(
    Int32Array.from({ length: threes }, (_, three) => Math.max(0, three - wide)),
  );
  for (let i = 0; i < matrix.size; i++) {
    addTo(matrix, i, i, 2 * (3 * wide + 3) + 1 + 0.1 * (i % 7));
    for (let j = matrix.first[i] ?? 0; j < i; j++) addTo(matrix, i, j, -1);
  }
  for (const { row, by } of change) addTo(matrix, row, row, by);
  const factored = factorEnvelope(matrix);
  if (factored.kind !== 'factored') throw new Error(factored.kind);
  return factored.factor;
}
/** As many rows changed, each by another amount. */
const changed = (count: number, apart = 4): DiagonalChange[] =>
  Array.from({ length: count }, (_, n) => ({ row: 2 + apart * n, by: 5 * (n + 1) ** 2 }));
const b = (size: number) => Float64Array.from({ length: size }, (_, i) => Math.sin(i) + 0.5);
const none = (size: number) => new Float64Array(size);
const norm = (x: Float64Array): number => Math.hypot(...x);

/** How far u is off, beside what it should be. */
function lacks(u: Float64Array, exact: Float64Array): number {
  return norm(u.map((one, i) => one - (exact[i] ?? 0))) / norm(exact);
}

it.each([1, 3, 5])(
  'solves what differs from its factor in %d numbers as a new factor does',
  (n) => {
    const change = changed(n);
    const exact = solveEnvelope(band(10, 2, change), b(30));
    const u = conjugateGradients(band(10, 2), change, b(30), none(30), 1e-12);
    expect(u && lacks(u, exact)).toBeLessThan(1e-10);
  },
);

it('takes off as it puts on, and changes neither the factor nor what it is given', () => {
  const on = changed(3);
  const off = on.map(({ row, by }) => ({ row, by: -by }));
  const factor = band(10, 2, on);
  const [before, given, start] = [factor.values.slice(), b(30), none(30).fill(1)];
  const u = conjugateGradients(factor, off, given, start, 1e-12);
  expect(u && lacks(u, solveEnvelope(band(10, 2), b(30)))).toBeLessThan(1e-10);
  expect([factor.values, given, start]).toEqual([before, b(30), none(30).fill(1)]);
});

it('ends as soon as it is near enough', () => {
  const change = changed(9, 5);
  const [made, factor] = [band(100, 100, change), band(100, 100)];
  const exact = solveEnvelope(made, b(300));
  const off = (tolerance: number): number => {
    const u = conjugateGradients(factor, change, b(300), none(300), tolerance);
    return u ? lacks(u, exact) : NaN;
  };
  expect(off(1e-9)).toBeLessThan(1e-8);
  expect(off(1e-3)).toBeGreaterThan(1e-5);
  expect(off(1e-3)).toBeLessThan(1e-3);
  // Rough enough, nothing is done but to guess from the start.
  expect(off(10)).toBeGreaterThan(1e-2);
});

it('gives up where a new factor would be sooner, but not where the guess was right', () => {
  const change = changed(13, 2);
  const factor = band(10, 2);
  expect(conjugateGradients(factor, change, b(30), none(30), 1e-12)).toBeNull();
  const exact = solveEnvelope(band(10, 2, change), b(30));
  const u = conjugateGradients(factor, change, b(30), exact, 1e-9);
  expect(u && lacks(u, exact)).toBeLessThan(1e-12);
});

it('takes more steps beside a wide factor, which would take longer to make anew', () => {
  // All of the lower half: 151 numbers a row of 300, so fifteen steps instead of six.
  const change = changed(13, 5);
  const exact = solveEnvelope(band(100, 100, change), b(300));
  const u = conjugateGradients(band(100, 100), change, b(300), none(300), 1e-10);
  expect(u && lacks(u, exact)).toBeLessThan(1e-9);
});

it('says so where what is left holds nothing', () => {
  // Three unknowns of their own, held by 3 each: taken off, they are free.
  const matrix = emptyEnvelope(Int32Array.of(0, 1));
  for (let i = 0; i < 6; i++) addTo(matrix, i, i, 3);
  const factored = factorEnvelope(matrix);
  if (factored.kind !== 'factored') throw new Error(factored.kind);
  const free = [{ row: 1, by: -3 }];
  expect(conjugateGradients(factored.factor, free, b(6), none(6), 1e-9)).toBeNull();
  const worse = [{ row: 1, by: -5 }];
  expect(conjugateGradients(factored.factor, worse, b(6), none(6), 1e-9)).toBeNull();
});
