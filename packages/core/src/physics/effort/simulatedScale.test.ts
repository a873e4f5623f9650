import { simulatedScale } from './simulatedScale';

/** Mean over many hands of what one reads, so that the tremor goes out. */
const meanAt = (wantedN: number, moments: readonly number[]): number => {
  const hands = 400;
  let sum = 0;
  for (let seed = 1; seed <= hands; seed++) {
    const scale = simulatedScale(seed);
    let last = 0;
    for (const atMs of moments) last = scale.read(wantedN, atMs).forceN;
    sum += last;
  }
  return sum / hands;
};

it('starts from no force and follows with a lag of 0.35 s', () => {
  expect(meanAt(100, [5000])).toBe(0);
  expect(meanAt(100, [5000, 5350])).toBeCloseTo(100 * (1 - Math.exp(-1)), -1);
  expect(meanAt(100, [5000, 8000])).toBeCloseTo(100, -1);
  // A clock that goes back moves nothing.
  expect(meanAt(100, [5000, 4000])).toBe(0);
});

it('trembles by six hundredths, each reading near the one before', () => {
  const scale = simulatedScale(7);
  scale.read(100, 0);
  const settled = Array.from({ length: 3000 }, (_, i) => scale.read(100, 5000 + i * 50).forceN);
  const off = settled.slice(100).map((forceN) => forceN / 100 - 1);
  const sd = Math.sqrt(off.reduce((sum, x) => sum + x * x, 0) / off.length);
  expect(sd).toBeGreaterThan(0.045);
  expect(sd).toBeLessThan(0.075);
  const kept =
    off.slice(1).reduce((sum, x, i) => sum + x * (off[i] ?? 0), 0) / off.length / sd ** 2;
  // e^(−0.05/0.3) = 0.846.
  expect(kept).toBeGreaterThan(0.75);
  expect(kept).toBeLessThan(0.92);
  expect(
    settled.every((forceN) => Math.abs(forceN / 0.05 - Math.round(forceN / 0.05)) < 1e-6),
  ).toBe(true);
});
