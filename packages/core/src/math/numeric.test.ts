import { normalMean } from './normalMean';
import { bisectRising } from './bisect';
import { mixtureQuantile } from './logNormalMixture';
import { normalCdf } from './normal';

it.each([
  [0, 0.5],
  [1, 0.8413447],
  [-1.2815516, 0.1],
  [1.959964, 0.975],
  [-4, 3.167e-5],
])('Φ(%d) is %d', (z, p) => {
  expect(Math.abs(normalCdf(z) - p)).toBeLessThan(2e-7);
});

it('finds where a rising function passes a value', () => {
  expect(bisectRising((x) => x ** 3, 27, 0, 10, 1e-9)).toBeCloseTo(3);
  expect(bisectRising((x) => x, 99, 0, 10, 1e-9)).toBeCloseTo(10);
});

it('is the log-normal itself with one part', () => {
  const one = [{ median: 40, sd: 0.3, share: 1 }];
  expect(mixtureQuantile(one, 0.5)).toBeCloseTo(40, 4);
  expect(mixtureQuantile(one, 0.9)).toBeCloseTo(40 * Math.exp(1.2815516 * 0.3), 3);
});

it('jumps from part to part where they lie far apart', () => {
  const far = [
    { median: 10, sd: 0.05, share: 3 },
    { median: 1000, sd: 0.05, share: 1 },
  ];
  expect(mixtureQuantile(far, 0.375)).toBeCloseTo(10, 3);
  expect(mixtureQuantile(far, 0.875)).toBeCloseTo(1000, 0);
  expect(mixtureQuantile(far, 0.7)).toBeLessThan(12);
  expect(mixtureQuantile(far, 0.8)).toBeGreaterThan(900);
});

it('gives the moments of a normal, and of the log-normal on it', () => {
  expect(normalMean((z) => z * z)).toBeCloseTo(1, 9);
  // E[exp(a·Z)] = exp(a²/2)
  expect(normalMean((z) => Math.exp(2.5 * z))).toBeCloseTo(Math.exp(2.5 ** 2 / 2), 3);
});
