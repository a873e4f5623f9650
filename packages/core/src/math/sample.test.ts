import { logVariance, mean, quantile } from './sample';

const of = (...values: number[]): Float64Array => Float64Array.from(values);

it('means what there is, and nothing where there is nothing', () => {
  expect(mean(of(2, 4, 9))).toBe(5);
  expect(mean(of())).toBe(0);
});

it('puts the i-th of n at (i − ½)/n, straight between, and holds the ends', () => {
  const four = of(10, 20, 40, 80);
  for (const [index, value] of [10, 20, 40, 80].entries())
    expect(quantile(four, (index + 0.5) / 4)).toBe(value);
  expect(quantile(four, 0.5)).toBe(30);
  expect(quantile(four, 0.7)).toBeCloseTo(40 + 40 * (0.7 * 4 - 2.5), 12);
  for (const q of [0, 0.05]) expect(quantile(four, q)).toBe(10);
  for (const q of [0.95, 1]) expect(quantile(four, q)).toBe(80);
  expect(quantile(of(7), 0.5)).toBe(7);
  expect(quantile(of(), 0.5)).toBeNaN();
});

it('is without bound from where the values are', () => {
  const half = of(1, 2, Infinity, Infinity);
  expect(quantile(half, 0.25)).toBe(1.5);
  expect(quantile(half, 0.5)).toBe(Infinity);
  expect(quantile(half, 0.75)).toBe(Infinity);
});

it('spreads logarithms: e^(μ ± σ) has variance σ², whatever its unit', () => {
  const sigma = 0.3;
  for (const unit of [1, 1e-3, 60])
    expect(logVariance(of(unit * Math.exp(sigma), unit * Math.exp(-sigma)))).toBeCloseTo(
      sigma ** 2,
      12,
    );
  // Logarithms 0, 1, 5 about 2: (4 + 1 + 9)/3.
  expect(logVariance(of(1, Math.E, Math.exp(5)))).toBeCloseTo(14 / 3, 12);
});

it('leaves out what has no logarithm, and sees no spread in rounding', () => {
  const two = of(Math.E, 1 / Math.E);
  expect(logVariance(of(0, -1, Infinity, NaN, ...two))).toBeCloseTo(1, 12);
  expect(logVariance(of(5))).toBe(0);
  expect(logVariance(of())).toBe(0);
  expect(logVariance(of(0.1 + 0.2, 0.3, 0.3))).toBe(0);
  // A spread of one in a hundred thousand is one.
  expect(logVariance(of(1, 1.00001))).toBeGreaterThan(2e-11);
});
