import { normalDraws, seededRandom } from '../../math/seededRandom';
import { fitMixed, LEVELS, type Target, type Trial, type Variances } from './mixedModel';

const SD = 0.5;
const HOLE: Target = {
  material: 'float-glass',
  family: 'sintered-core',
  bit: 'cup',
  person: 'Ada',
  sheet: 'pane',
  holesBefore: 10,
};
const trial = (lnRatio: number, more: Partial<Trial> = {}): Trial => ({
  ...HOLE,
  share: 1,
  plannedSd: SD,
  lnRatio,
  ...more,
});
const many = (count: number, of: (i: number) => Trial): Trial[] =>
  Array.from({ length: count }, (_, i) => of(i));

/** Of HOLE's effects together, its bit's age being ln 2. */
const cellVariance = (tau2: Variances['tau2']): number =>
  LEVELS.filter((level) => level !== 'wear' && level !== 'force').reduce(
    (sum, one) => sum + tau2[one],
    0,
  ) +
  Math.LN2 ** 2 * tau2.wear;

it('gives the plan back where nothing is logged', () => {
  const { mean, sd } = fitMixed([], SD).predict(HOLE);
  expect(mean).toBe(0);
  expect(sd).toBeCloseTo(SD, 3);
});

it('shrinks like holes as in closed form: V/(V + σ²/(n·w)) of their mean', () => {
  const fit = fitMixed(
    many(8, () => trial(Math.log(2))),
    SD,
  );
  const V = cellVariance(fit.tau2);
  const w = ((fit.belief[0] ?? 0) * 6) / 5;
  const expected = (V / (V + fit.sigma2 / (8 * w))) * Math.log(2);
  expect(fit.predict(HOLE).mean).toBeCloseTo(expected, 6);
});

it('learns of a bit what is not of its family, and tells a new bit less', () => {
  const trials = [
    ...many(12, () => trial(0.9, { bit: 'slow' })),
    ...many(12, () => trial(0, { bit: 'plain' })),
    ...many(12, () => trial(0, { bit: 'other' })),
  ];
  const { predict, effects } = fitMixed(trials, SD);
  const slow = predict({ ...HOLE, bit: 'slow' });
  const fresh = predict({ ...HOLE, bit: 'new' });
  expect(slow.mean).toBeGreaterThan(0.6);
  expect(predict({ ...HOLE, bit: 'plain' }).mean).toBeLessThan(0.25);
  expect(fresh.mean).toBeLessThan(slow.mean);
  expect(fresh.sd).toBeGreaterThan(slow.sd);
  expect(effects.find(({ level, name }) => level === 'bit' && name === 'slow')?.trials).toBe(12);
});

it('is narrower only as it earns it', () => {
  const draw = normalDraws(seededRandom(3));
  const noisy = many(60, () => trial(0.3 + 0.15 * draw()));
  const sds = [0, 3, 12, 60].map((n) => fitMixed(noisy.slice(0, n), SD).predict(HOLE).sd);
  for (let i = 1; i < sds.length; i++) expect(sds[i]).toBeLessThan(sds[i - 1] ?? Infinity);
});

it('does not believe a hole that is nothing like the others', () => {
  const draw = normalDraws(seededRandom(5));
  const trials = [...many(30, () => trial(0.1 * draw())), trial(6)];
  const { belief, predict } = fitMixed(trials, SD);
  expect(belief.at(-1)).toBeLessThan(0.05);
  expect(Math.abs(predict(HOLE).mean)).toBeLessThan(0.1);
});

it('takes an aborted run for as much as it reached', () => {
  const through = fitMixed([trial(0.8)], SD).predict(HOLE).mean;
  const part = fitMixed([trial(0.8, { share: 0.3 })], SD).predict(HOLE).mean;
  expect(part).toBeGreaterThan(0);
  expect(part).toBeLessThan(through);
});

it('finds slopes of wear: a bit that slows as it ages', () => {
  const trials = many(40, (i) => trial(0.4 * Math.log1p(i / 10), { holesBefore: i }));
  const { predict } = fitMixed(trials, SD);
  const [young, old] = [0, 40].map((holesBefore) => predict({ ...HOLE, holesBefore }).mean);
  expect((old ?? 0) - (young ?? 0)).toBeGreaterThan(0.4);
});

it('reads bounds like the values between them where they are narrow, and leans on them where they are wide', () => {
  const exact = fitMixed(
    many(10, () => trial(0.6)),
    SD,
    'normal',
  ).predict(HOLE);
  const narrow = fitMixed(
    many(10, () => trial(0.6, { within: [0.59, 0.61] })),
    SD,
    'normal',
  ).predict(HOLE);
  expect(narrow.mean).toBeCloseTo(exact.mean, 2);
  const open = fitMixed(
    many(10, () => trial(0.6, { within: [0.6, Infinity] })),
    SD,
    'normal',
  ).predict(HOLE);
  expect(open.mean).toBeGreaterThan(exact.mean);
});

it('tells one hole of two by the other, in closed form: V/(V + σ²) of it', () => {
  const { tau2, sigma2, withoutIt } = fitMixed([trial(0.2), trial(0.8)], SD, 'normal');
  const V = cellVariance(tau2);
  const { mean, sd } = withoutIt(0);
  expect(mean).toBeCloseTo((V / (V + sigma2)) * 0.8, 9);
  expect(sd ** 2).toBeCloseTo(V - V ** 2 / (V + sigma2) + sigma2, 9);
});

it('does not blame the bit for holes that were pressed lighter than planned', () => {
  const slow = (force?: 'lighter') => many(10, () => trial(0.7, { force }));
  const blamed = fitMixed(slow(), SD).predict(HOLE).mean;
  const pressedLight = fitMixed(slow('lighter'), SD);
  expect(pressedLight.predict(HOLE).mean).toBeLessThan(0.85 * blamed);
  expect(pressedLight.predict({ ...HOLE, force: 'lighter' }).mean).toBeGreaterThan(0.6);
});
