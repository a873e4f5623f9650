import { assessHole } from './assessHole';
import { caseIn, caseWith, jobWith, type JobParts } from '../../setup/jobFixtures';
import { makePlan } from '../../words/plan/makePlan';
import { UNKNOWN_WORDS } from '../../words/plan/unknownWords';

const both = (parts: JobParts) => {
  const file = jobWith(parts);
  const planned = makePlan(caseIn(file));
  const assessed = assessHole(caseIn(file));
  if (planned.kind === 'faulty' || assessed.kind === 'faulty') throw new Error('faulty fixture');
  return { plan: planned.plan, risk: assessed.risk };
};

it.each<[string, JobParts]>([
  ['glass in a guide', {}],
  ['glass free hand', { setup: { hold: 'freehand' } }],
  [
    'granite in a press',
    { piece: { material: 'granite', form: 'slab' }, setup: { hold: 'press' } },
  ],
  ['glass from both faces', { setup: { sides: 'two' } }],
  [
    'glass in steps',
    {
      setup: { bits: ['cup12', 'cup25'] },
      bits: [12, 25].map((diameterMm) => ({
        id: `cup${diameterMm}`,
        name: `Cup ${diameterMm}`,
        family: 'plated-cup-saw',
        diameterMm,
      })),
    },
  ],
])('agrees with the plan’s own closed forms: %s', (_, parts) => {
  const { plan, risk } = both(parts);
  // Cuts that meet inside chip no face: neither knows a chip.
  const ratio = (a?: number, b?: number) => (a === b ? 1 : (a ?? NaN) / (b ?? NaN));
  expect(ratio(risk.timeS?.p50, plan.drillTimeS?.p50)).toBeGreaterThan(0.96);
  expect(ratio(risk.timeS?.p50, plan.drillTimeS?.p50)).toBeLessThan(1.06);
  expect(ratio(risk.timeS?.p90, plan.drillTimeS?.p90)).toBeGreaterThan(0.9);
  expect(ratio(risk.timeS?.p90, plan.drillTimeS?.p90)).toBeLessThan(1.15);
  expect(ratio(risk.chipMm?.p50, plan.exitChipMm?.p50)).toBeCloseTo(1, 1);
  expect(ratio(risk.chipMm?.p90, plan.exitChipMm?.p90)).toBeCloseTo(1, 1);
  expect(ratio(risk.crackProbability, plan.crackProbability)).toBeCloseTo(1, 1);
});

it('asks first about what costs most: the material where nobody is sure', () => {
  const { risk } = both({
    piece: {
      material: 'marble',
      form: 'slab',
      couldBe: [
        { material: 'marble', share: 0.5 },
        { material: 'quartzite-agate', share: 0.5 },
      ],
    },
  });
  const first = risk.unknowns.find(({ unknown }) => UNKNOWN_WORDS[unknown].ask !== null);
  expect(first?.unknown).toBe('identity');
});

it('says what is wrong with the hole instead', () => {
  expect(assessHole(caseWith({ hole: { xMm: 5000 } })).kind).toBe('faulty');
});
