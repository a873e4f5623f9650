import { INCH_POUND, METRIC } from '../../data/unitSystem';
import { armForce, forceForCut, MAX_UNAIDED_N, restAllowance } from './armForce';
import { effortOf, enduranceS, handForce, MAX_PUSH_N } from './pressing';
import { forceOfReading, scaleReading } from './scaleReading';
import { formatReading } from '../../words/units/formatReading';
import { simulatedScale } from './simulatedScale';
import { steadinessFromExtremes, steadinessOf, type ForceSample } from './steadiness';

it('follows Rohmert: a third of the most for over two minutes, half for about one, nothing at all', () => {
  expect(enduranceS(MAX_PUSH_N / 2)).toBeCloseTo(60 * (-1.5 + 4.2 - 2.4 + 0.8));
  expect(enduranceS(MAX_PUSH_N / 3)).toBeCloseTo(60 * (-1.5 + 6.3 - 5.4 + 2.7));
  expect(enduranceS(MAX_PUSH_N * 0.1)).toBe(Infinity);
  expect(enduranceS(MAX_PUSH_N)).toBe(0);
  const forces = [100, 150, 200, 300, 400, 480].map((force) => enduranceS(force));
  expect(forces).toEqual([...forces].sort((a, b) => b - a));
});

it('rests as Rohmert allows: nothing where nobody tires, more than the work at half of the most', () => {
  expect(restAllowance(0.15 * MAX_PUSH_N)).toBe(0);
  // f = 0.3: T = −1.5 + 7 − 6.667 + 3.704 = 2.537 min; a push of 20 s: 18·0.1314^1.4·√0.15 = 0.407.
  expect(restAllowance(0.3 * MAX_PUSH_N)).toBeCloseTo(0.407, 2);
  // f = 0.5: T = 66 s: 18·0.303^1.4·√0.35 = 2.00.
  expect(restAllowance(0.5 * MAX_PUSH_N)).toBeCloseTo(2.0, 1);
  expect(restAllowance(MAX_PUSH_N)).toBe(Infinity);
});

it('presses with what takes least with the rests, and never past what is asked of a person', () => {
  const idle = armForce('guided', {}, 'none', 0);
  // Without an idle part (F)/(1 + RA) is greatest well under the most.
  expect(idle.lastingN).toBeGreaterThan(100);
  expect(idle.lastingN).toBeLessThan(200);
  expect(idle.onePushN).toBe(MAX_UNAIDED_N);
  // The more of the push only rubs, the harder it pays to press.
  expect(armForce('guided', {}, 'none', 120).lastingN).toBeGreaterThan(idle.lastingN);
  expect(armForce('freehand', {}, 'none', 120).lastingN).toBeLessThanOrEqual(150);
  expect(armForce('guided', {}, 'strap', 0).lastingN).toBeCloseTo(idle.lastingN * 1.6);
  expect(armForce('guided', {}, 'weight', 0).lastingN).toBe(500);
  expect(armForce('rig', {}, 'none', 0).lastingN).toBeGreaterThan(1500);
  // A cut of two minutes lies half-way between one push and the lasting force.
  expect(forceForCut(idle, 120)).toBeCloseTo((idle.lastingN + 250) / 2);
  expect(forceForCut(idle, 0)).toBe(250);
  expect(forceForCut(idle, 3600)).toBe(idle.lastingN);
});

it('takes lever and aid into the hand force', () => {
  const press = { leverArmMm: 200, pinionRadiusMm: 10 };
  expect(handForce(200, 'press', press)).toBeCloseTo(10 + 8);
  expect(handForce(200, 'guided', {})).toBe(200);
  expect(handForce(200, 'guided', {}, 'lever')).toBe(50);
  expect(handForce(200, 'guided', {}, 'weight')).toBe(0);
  expect(effortOf(300, 600, 'guided', {}).level).toBe('too-much');
  expect(effortOf(300, 600, 'guided', {}, 'lever').level).toBe('light');
  expect(effortOf(26, 100, 'guided', {}).level).toBe('light');
});

it('reads as a scale reads', () => {
  expect(formatReading(scaleReading(26.4, METRIC), METRIC)).toBe('2.7 kg');
  expect(formatReading(scaleReading(26.4, METRIC, 1.2), METRIC)).toBe('3.9 kg');
  expect(formatReading(scaleReading(26.4, INCH_POUND), INCH_POUND)).toBe('5.9 lb');
  expect(forceOfReading(scaleReading(26.4, INCH_POUND, 2), INCH_POUND, 2)).toBeCloseTo(26.4, 9);
});

const band = { minN: 20, wantedN: 26, maxN: 32 };
const held = (force: (s: number) => number, seconds = 10): ForceSample[] =>
  Array.from({ length: seconds * 10 + 1 }, (_, i) => ({ atMs: i * 100, forceN: force(i / 10) }));

it.each([
  ['good', held(() => 26)],
  ['light', held(() => 10)],
  ['heavy', held(() => 50)],
  ['uneven', held((s) => (Math.floor(s) % 2 === 0 ? 12 : 40))],
  ['too-short', held(() => 26, 2)],
] as const)('calls a hand %s', (verdict, samples) => {
  expect(steadinessOf(samples, band).verdict).toBe(verdict);
});

it('measures the spread that the plan counts on', () => {
  const two = steadinessOf(
    held((s) => (Math.round(s * 10) % 2 === 0 ? 20 : 30)),
    band,
  );
  expect(two.lnSd).toBeCloseTo(Math.log(1.5) / 2, 3);
});

it('stands in for a hand on a scale: it arrives, and wanders about as much as said', () => {
  const scale = simulatedScale(4);
  const samples = Array.from({ length: 400 }, (_, i) => scale.read(26, i * 100)).slice(50);
  const { lnSd, meanN } = steadinessOf(samples, band);
  expect(meanN).toBeCloseTo(26, 0);
  expect(lnSd).toBeGreaterThan(0.03);
  expect(lnSd).toBeLessThan(0.09);
  const again = simulatedScale(4);
  expect(again.read(26, 0)).toEqual(simulatedScale(4).read(26, 0));
});

it('judges a hand by the least and most a plain scale showed', () => {
  expect(steadinessFromExtremes(24, 28, band)).toMatchObject({ verdict: 'good' });
  expect(steadinessFromExtremes(5, 12, band).verdict).toBe('light');
  expect(steadinessFromExtremes(40, 60, band).verdict).toBe('heavy');
  expect(steadinessFromExtremes(10, 60, band).verdict).toBe('uneven');
  expect(steadinessFromExtremes(20, 30, band).lnSd).toBeCloseTo(Math.log(1.5) / 4);
});
