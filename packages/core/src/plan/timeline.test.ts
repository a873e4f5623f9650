import { caseWith, type JobParts } from '../setup/jobFixtures';
import { makePlan } from '../words/plan/makePlan';

const planOf = (parts: JobParts) => {
  const outcome = makePlan(caseWith(parts));
  if (outcome.kind === 'faulty') throw new Error(JSON.stringify(outcome.faults));
  return outcome.plan;
};

const CAVITY_WALL: JobParts = {
  piece: {
    form: 'wall',
    material: 'clay-brick',
    thicknessMm: 322,
    outline: { kind: 'rectangle', widthMm: 2000, heightMm: 2000 },
    layers: [
      { material: 'clay-brick', thicknessMm: 102 },
      { material: 'cavity', thicknessMm: 70 },
      { material: 'lightweight-block', thicknessMm: 150 },
    ],
  },
  hole: { xMm: 900, yMm: 900, diameterMm: 96 },
  setup: { water: { kind: 'spindle' } },
  bits: [
    { id: 'seg', name: 'Core 96', family: 'segmented-core', diameterMm: 96, usableDepthMm: 150 },
  ],
};

it.each<[string, JobParts]>([
  ['a pane', {}],
  ['a pane from both sides', { setup: { sides: 'two' } }],
  ['a cavity wall', CAVITY_WALL],
  [
    'thick granite',
    { piece: { material: 'granite', form: 'block', thicknessMm: 90 }, setup: { hold: 'press' } },
  ],
])('ends when the plan says the hole is done: %s', (_, parts) => {
  const plan = planOf(parts);
  const end = plan.timeline.at(-1);
  expect(end?.kind).toBe('end');
  expect(end?.atS).toBeCloseTo(plan.drillTimeS?.p50 ?? NaN, 6);
  const clock = plan.timeline.map(({ atS }) => atS ?? NaN);
  expect(clock).toEqual([...clock].sort((a, b) => a - b));
});

it('goes through a wall leaf by leaf, with the water off before the far face', () => {
  const plan = planOf(CAVITY_WALL);
  expect(plan.timeline.map(({ kind, depthMm }) => `${kind} ${depthMm.toFixed(0)}`)).toEqual(
    expect.arrayContaining([
      'seat 0',
      'core-drop 102',
      'extension 102',
      'cavity 102',
      'leaf 172',
      'water-off 302',
      'core-break 317',
      'end 322',
    ]),
  );
  const drop = plan.timeline.find(({ kind }) => kind === 'core-drop');
  // π/4·(96 − 2·3.3)²·102 mm³ of brick at 1800 kg/m³: 1.15 kg.
  expect(drop?.detail).toMatch(/About 1\.[12] kg, 102 mm long/);
  expect(plan.passes).toBe(3);
  expect(plan.water.offAtMm).toBe(302);
  expect(plan.steps.some((step) => step.title === 'Shut the water at 302 mm')).toBe(true);
});

it('leaves the water running where that is wanted, and in what is not a wall', () => {
  const running = planOf({
    ...CAVITY_WALL,
    setup: { water: { kind: 'spindle', offBeforeFarFaceMm: 0 } },
  });
  expect(running.water.offAtMm).toBeNull();
  expect(planOf({ setup: { water: { kind: 'spindle' } } }).water.offAtMm).toBeNull();
});

it('has no clock past where it does not cut', () => {
  const plan = planOf({ setup: { contactPressureMpa: 0.01 } });
  expect(plan.timeline.at(-1)?.atS).toBeNull();
});
