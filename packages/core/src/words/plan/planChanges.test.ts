import { METRIC } from '../../data/unitSystem';
import { planChanges, planChangesText } from './planChanges';

const plan = {
  modelVersion: '1.7.0',
  drillTimeS: { p10: 100, p50: 186, p90: 300 },
  feedForceN: 45,
  rpm: 573,
  crackProbability: 0.004,
  exitChipMm: null,
};

it('tells what a later model says otherwise, and nothing of a hair', () => {
  const later = {
    ...plan,
    modelVersion: '1.8.0',
    drillTimeS: { p10: 80, p50: 150, p90: 250 },
    feedForceN: 46,
    crackProbability: 0.012,
    exitChipMm: { p50: 0.6, p90: 1 },
  };
  const changes = planChanges(plan, later);
  expect(changes).toEqual({
    fromModel: '1.7.0',
    changes: [
      { figure: 'time', was: 186, is: 150 },
      { figure: 'crack', was: 0.004, is: 0.012 },
    ],
  });
  expect(planChangesText(changes, METRIC)).toBe(
    'Recalculated by a later model: time 2.5 min, was 3.1 min; cracks 1 in 80, was 1 in 250.',
  );
  expect(planChangesText(planChanges(plan, { ...plan, modelVersion: '1.8.0' }), METRIC)).toBeNull();
});
