import {
  effortOf,
  enduranceS,
  handForce,
  lastingForceN,
  leverIsMeasured,
  MAX_PUSH_N,
} from './pressing';

it('takes the usual lever and pinion for those nobody measured, one by one', () => {
  expect(handForce(100, 'press', {})).toBeCloseTo((100 * 14) / 200 + 8, 9);
  expect(handForce(100, 'press', { leverArmMm: 280 })).toBeCloseTo((100 * 14) / 280 + 8, 9);
  expect(handForce(100, 'press', { pinionRadiusMm: 10 })).toBeCloseTo((100 * 10) / 200 + 8, 9);
  expect(handForce(100, 'rig', {})).toBeCloseTo(6, 9);
});

it('counts a lever as measured only with both lengths', () => {
  expect(leverIsMeasured({ leverArmMm: 200, pinionRadiusMm: 14 })).toBe(true);
  expect(leverIsMeasured({ leverArmMm: 200 })).toBe(false);
  expect(leverIsMeasured({ pinionRadiusMm: 14 })).toBe(false);
});

it('turns Rohmert’s curve round', () => {
  for (const seconds of [30, 120, 400])
    expect(enduranceS(lastingForceN(seconds)) / seconds).toBeCloseTo(1, 1);
  // Longer than the curve has: what nobody tires of.
  expect(lastingForceN(1e6)).toBeCloseTo(0.15 * MAX_PUSH_N, 0);
  expect(lastingForceN(60, 2 * MAX_PUSH_N)).toBeCloseTo(2 * lastingForceN(60), 0);
});

it('never tires at fifteen hundredths of the most, and does just above', () => {
  expect(enduranceS(0.15 * 200, 200)).toBe(Infinity);
  expect(enduranceS(0.151 * 200, 200)).toBeLessThan(1200);
});

it('is steady to four tenths of what can be held, hard to all of it', () => {
  const force = 200;
  const T = enduranceS(force);
  const level = (cuttingS: number) => effortOf(force, cuttingS, 'guided', {});
  expect(level(0.4 * T)).toMatchObject({ level: 'steady', handForceN: force, enduranceS: T });
  expect(level(0.4 * T).share).toBeCloseTo(0.4, 12);
  expect([level(0.41 * T).level, level(T).level, level(1.01 * T).level]).toEqual([
    'hard',
    'hard',
    'too-much',
  ]);
  expect(effortOf(20, 600, 'guided', {})).toMatchObject({ share: 0, level: 'light' });
  expect(effortOf(MAX_PUSH_N, 1, 'guided', {}).level).toBe('too-much');
});
