import { INCH_POUND, METRIC } from '../../data/unitSystem';
import { assumedLine, detailFigures, headlineFigures } from './figures';
import { caseWith, type JobParts } from '../../setup/jobFixtures';
import { makePlan } from './makePlan';
import { planText } from './planText';
import type { Plan } from '../../documents/plan';

const planOf = (parts: JobParts = {}, units = METRIC): Plan => {
  const outcome = makePlan(caseWith(parts), units);
  if (outcome.kind !== 'planned') throw new Error('faulty');
  return outcome.plan;
};
const shown = (plan: Plan, units = METRIC): string[] =>
  headlineFigures(plan, units).map(({ label, shown: { value, unit } }) =>
    [label, value, unit].filter(Boolean).join(' '),
  );

it('says what to do in six plain numbers', () => {
  expect(shown(planOf())).toEqual([
    'Press with 26 N',
    'Speed 917 rpm',
    'About 2.5 min',
    'Ease off to 14 N',
    'Lifts 9',
    'Pour 1.8 L',
  ]);
  // Nothing is eased where the same force goes on to the end.
  expect(shown(planOf({ setup: { exit: 'hold' } }))).toContain('At the end 26 N');
});

it('says them in inches and pounds', () => {
  const plan = planOf({}, INCH_POUND);
  expect(shown(plan, INCH_POUND)[0]).toBe('Press with 5.9 lbf');
  expect(detailFigures(plan, INCH_POUND).find((one) => one.key === 'tempRiseK')?.shown.unit).toBe(
    '°F',
  );
});

it('leaves out what a blind hole has not', () => {
  const keys = headlineFigures(
    planOf({ hole: { depth: { kind: 'blind', depthMm: 3 } } }),
    METRIC,
  ).map((one) => one.key);
  expect(keys).not.toContain('exitForceN');
});

it('can be copied as text, stops first', () => {
  const text = planText(planOf({ piece: { glassTreatment: 'tempered' } }), 'Arbor', METRIC);
  expect(text.split('\n')[2]).toMatch(/^STOP: Tempered glass/);
  expect(text).toContain('1. Mark the hole.');
  expect(text).toContain('Computed with model');
});

it('owns up to what it chose itself', () => {
  expect(assumedLine(planOf())).toBe('Preset until you change it: start.');
  expect(assumedLine(planOf({ setup: { start: 'guide' } }))).toBeNull();
});

it('does not promise small chips where no force can keep them', () => {
  const bare = planOf({
    setup: { hold: 'freehand', support: { kind: 'nothing' } },
    piece: { thicknessMm: 2 },
  });
  expect(bare.exitChipMm?.p50).toBeGreaterThan(1);
  expect(bare.reasons.exitForceN?.text).toMatch(/the least that still cuts; chips of about/);
  expect(planOf({ setup: { sides: 'two' } }).reasons.exitForceN?.text).toMatch(
    /meet in the middle/,
  );
});
