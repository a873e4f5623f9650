import { caseWith, type JobParts } from './jobFixtures';
import { makePlan } from './makePlan';
import { exitChipSd, logNormalP10, logNormalP90 } from './spread';

function spanOf(parts: JobParts): number {
  const outcome = makePlan(caseWith(parts));
  const time = outcome.kind === 'planned' ? outcome.plan.drillTimeS : null;
  return time ? time.p90 / time.p10 : NaN;
}

it('is wider by free hand than in a press, and near the glaze than well above it', () => {
  expect(spanOf({ setup: { hold: 'freehand' } })).toBeGreaterThan(
    spanOf({ setup: { hold: 'press' } }),
  );
  expect(spanOf({ setup: { hold: 'freehand', contactPressureMpa: 0.12 } })).toBeGreaterThan(
    spanOf({ setup: { hold: 'freehand' } }),
  );
});

it('is wider for masonry than for glass', () => {
  expect(spanOf({ piece: { material: 'clay-brick', form: 'wall' } })).toBeGreaterThan(spanOf({}));
});

it('has its percentiles where a log-normal has them', () => {
  expect(logNormalP90(10, 0.3) / 10).toBeCloseTo(10 / logNormalP10(10, 0.3));
  expect(Math.log(logNormalP90(1, 1))).toBeCloseTo(1.2816);
});

it('takes two thirds of the spread of force, toughness and sharpness for a chip', () => {
  expect(exitChipSd('press', 1)).toBeCloseTo((2 / 3) * Math.hypot(0.08, 0.1, 0.1));
  expect(exitChipSd('freehand', 1)).toBeGreaterThan(exitChipSd('press', 1));
});
