import { dripRate, MAX_DROPS_PER_S } from './drip';
import { CUP_L } from './flow';

it('counts twenty drops to the millilitre', () => {
  // 6 mL/min = 120 drops a minute = 2 a second.
  const { mlPerMin, dropsPerS, secondsPerCup, runs } = dripRate(0.006);
  expect(mlPerMin).toBeCloseTo(6, 9);
  expect(dropsPerS).toBeCloseTo(2, 9);
  expect(secondsPerCup).toBeCloseTo((CUP_L / 0.006) * 60, 6);
  expect(runs).toBe(false);
});

it('is a thread above eight drops a second, not at them', () => {
  const atMost = (MAX_DROPS_PER_S * 60) / 20 / 1000;
  expect(dripRate(atMost).runs).toBe(false);
  expect(dripRate(atMost * 1.01).runs).toBe(true);
});
