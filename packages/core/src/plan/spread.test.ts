import { caseWith, type JobParts } from '../setup/jobFixtures';
import { makePlan } from '../words/plan/makePlan';
import { exitChipSd, logNormalP10, logNormalP90 } from '../physics/spread';

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
  const sdOf = (material: string): number => {
    const outcome = makePlan(caseWith({ piece: { material, form: 'wall' } }));
    return outcome.kind === 'planned' ? outcome.plan.clock.sd : NaN;
  };
  expect(sdOf('concrete')).toBeGreaterThan(sdOf('float-glass'));
});

it('has its percentiles where a log-normal has them', () => {
  expect(logNormalP90(10, 0.3) / 10).toBeCloseTo(10 / logNormalP10(10, 0.3));
  expect(Math.log(logNormalP90(1, 1))).toBeCloseTo(1.2816);
});

it('takes two thirds of the spread of force, toughness and sharpness for a chip, and its own scatter', () => {
  // Sharpness acts through 2 − s and through a duller rim being pressed harder: (1 + 0.3) · 0.12.
  const own = (2 / 3) * Math.hypot(0.08, 0.1, 1.3 * 0.12);
  expect(exitChipSd('press', 1, 25)).toBeCloseTo(Math.hypot(own, 0.4));
  expect(exitChipSd('press', 1, 100)).toBeCloseTo(Math.hypot(own, 0.4, (2 / 3) * 0.4002), 4);
  expect(exitChipSd('freehand', 1, 25)).toBeGreaterThan(exitChipSd('press', 1, 25));
});
