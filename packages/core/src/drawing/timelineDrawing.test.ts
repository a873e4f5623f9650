import { caseWith } from '../setup/jobFixtures';
import { makePlan } from '../words/plan/makePlan';
import { METRIC } from '../data/unitSystem';
import { timelineDrawing } from './timelineDrawing';

const planOf = (setup: object) => {
  const outcome = makePlan(
    caseWith({
      piece: { form: 'block', material: 'granite', thicknessMm: 90 },
      setup: { hold: 'press', ...setup },
    }),
  );
  if (outcome.kind === 'faulty') throw new Error('faulty');
  return outcome.plan;
};

it('goes down in one unbroken line from the face to the depth', () => {
  const drawing = timelineDrawing(planOf({}), METRIC);
  const steps = drawing?.steps ?? [];
  expect(steps[0]).toMatchObject({ fromDepth: 0 });
  expect(steps.at(-1)?.toDepth).toBeCloseTo(1);
  expect(steps.at(-1)?.toTime).toBeCloseTo(1);
  steps.slice(1).forEach((step, index) => {
    expect(step.fromDepth).toBeCloseTo(steps[index]?.toDepth ?? NaN);
    expect(step.fromTime).toBeCloseTo(steps[index]?.toTime ?? NaN);
  });
  expect(steps.some(({ halt }) => halt)).toBe(true);
  expect(drawing?.description).toContain('Break out the core at');
});

it('draws nothing where it does not cut', () => {
  expect(timelineDrawing(planOf({ contactPressureMpa: 0.001 }), METRIC)).toBeNull();
});
