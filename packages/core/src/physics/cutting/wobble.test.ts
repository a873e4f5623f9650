import { runOutOf, runOutRateShare, wobbleOf } from './wobble';

const bit = { diameterMm: 22 };

it('takes run-out as measured, else as found', () => {
  expect(runOutOf({ runOutMm: 0.3, state: 'out-of-true' })).toBe(0.3);
  expect(runOutOf({ state: 'out-of-true' })).toBe(0.5);
  expect(runOutOf({ state: 'good' })).toBe(0);
});

it('adds the play of a narrow barrel, in a guide alone', () => {
  const narrow = { ...bit, barrelDiameterMm: 20, runOutMm: 0.1 };
  expect(wobbleOf(narrow, 'guided')).toBeCloseTo(0.35);
  expect(wobbleOf(narrow, 'press')).toBe(0.1);
});

it('grinds a wider groove: w/(w + r) of the rate in a ring, (D/(D + r))² in a disc', () => {
  expect(runOutRateShare({ solid: false, rimWidthMm: 1, diameterMm: 22 }, 0.25)).toBe(0.8);
  expect(runOutRateShare({ solid: true, rimWidthMm: 1, diameterMm: 2 }, 0.5)).toBeCloseTo(0.64);
});
