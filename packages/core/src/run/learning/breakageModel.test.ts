import { seededRandom } from '../../math/seededRandom';
import { fitBreakage, type BreakageFit, type BreakTarget, type BreakTrial } from './breakageModel';
import { oddsBand } from './experience';

const PLANNED = 0.05;
const HOLE: BreakTarget = {
  material: 'float-glass',
  family: 'sintered-core',
  bit: 'cup',
  person: 'Ada',
  holesBefore: 10,
};
const holes = (count: number, cracked: number, more: Partial<BreakTrial> = {}): BreakTrial[] =>
  Array.from({ length: count }, (_, i) => ({
    ...HOLE,
    planned: PLANNED,
    cracked: i < cracked,
    ...more,
  }));
/** The odds that come of what the log adds, with their band. */
const oddsOf = ({ predict }: BreakageFit, target: BreakTarget) => {
  const { mean, sd } = predict(target);
  return oddsBand(-Math.expm1(Math.log1p(-PLANNED) * Math.exp(mean)), sd);
};

it('gives the plan back for a new bit where nothing is logged, with a spread', () => {
  const { p10, p50, p90 } = oddsOf(fitBreakage([]), { ...HOLE, holesBefore: 0 });
  expect(p50).toBeCloseTo(0.05, 9);
  expect(p10).toBeLessThan(0.025);
  expect(p90).toBeGreaterThan(0.1);
});

it('goes from the plan towards what was counted as holes are logged', () => {
  const after = (count: number): number => oddsOf(fitBreakage(holes(count, count / 5)), HOLE).p50;
  const few = after(10);
  const many = after(200);
  expect(few).toBeGreaterThan(0.06);
  expect(many).toBeGreaterThan(few);
  expect(many).toBeGreaterThan(0.17);
  expect(many).toBeLessThan(0.21);
});

it('spreads less the more was logged, and more for a bit it never met', () => {
  const width = (count: number, bit: string): number => {
    const { p10, p90 } = oddsOf(fitBreakage(holes(count, count / 20)), { ...HOLE, bit });
    return Math.log(p90 / p10);
  };
  expect(width(400, 'cup')).toBeLessThan(width(20, 'cup'));
  expect(width(400, 'new')).toBeGreaterThan(width(400, 'cup'));
});

it('tells a careful hand from a rough one', () => {
  const fit = fitBreakage([
    ...holes(100, 2, { person: 'Ada' }),
    ...holes(100, 20, { person: 'Ben' }),
  ]);
  expect(oddsOf(fit, { ...HOLE, person: 'Ben' }).p50).toBeGreaterThan(
    2 * oddsOf(fit, { ...HOLE, person: 'Ada' }).p50,
  );
});

it('never thinks an old bit safer than a new one, and finds where it is not', () => {
  const random = seededRandom(11);
  const trials = Array.from({ length: 600 }, (_, i): BreakTrial => {
    const holesBefore = i % 60;
    const p = 0.03 * Math.exp(1.2 * Math.log1p(holesBefore / 10));
    return {
      ...HOLE,
      planned: PLANNED,
      bit: `bit ${Math.floor(i / 60)}`,
      holesBefore,
      cracked: random() < p,
    };
  });
  const fit = fitBreakage(trials);
  const odds = [0, 5, 20, 60].map(
    (holesBefore) => oddsOf(fit, { ...HOLE, bit: 'bit 3', holesBefore }).p50,
  );
  for (let k = 1; k < odds.length; k++) expect(odds[k]).toBeGreaterThanOrEqual(odds[k - 1] ?? 1);
  expect((odds[3] ?? 0) / (odds[0] ?? 1)).toBeGreaterThan(2);
});
