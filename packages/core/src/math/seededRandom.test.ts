import { normalDraws, seededRandom } from './seededRandom';

const many = (draw: () => number, n = 40_000): number[] => Array.from({ length: n }, draw);
const mean = (xs: readonly number[]): number => xs.reduce((sum, x) => sum + x, 0) / xs.length;

it('is even over [0, 1) and the same for the same seed', () => {
  const xs = many(seededRandom(7));
  expect(Math.min(...xs.slice(0, 5000))).toBeGreaterThanOrEqual(0);
  expect(mean(xs)).toBeCloseTo(0.5, 2);
  expect(mean(xs.map((x) => x * x))).toBeCloseTo(1 / 3, 2);
  expect(many(seededRandom(7), 20)).toEqual(xs.slice(0, 20));
  expect(many(seededRandom(8), 20)).not.toEqual(xs.slice(0, 20));
});

it('draws normal deviates with the moments they should have', () => {
  const zs = many(normalDraws(seededRandom(3)));
  expect(mean(zs)).toBeCloseTo(0, 1);
  expect(mean(zs.map((z) => z * z))).toBeCloseTo(1, 1);
  expect(mean(zs.map((z) => z ** 4))).toBeGreaterThan(2.8);
  expect(mean(zs.map((z) => z ** 4))).toBeLessThan(3.2);
});
