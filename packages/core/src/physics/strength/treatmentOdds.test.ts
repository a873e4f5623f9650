import { MATERIALS } from '../../data/materials/materials';
import { failureProbability, weibullHazard } from './weibull';
import { treatmentOdds } from './treatmentOdds';

const glass = MATERIALS['float-glass'];

it('knows what a treatment does whoever vouches for it', () => {
  const odds = (glassTreatment: 'annealed' | 'tempered' | 'laminated' | 'wired') =>
    treatmentOdds({ form: 'sheet', glassTreatment }, glass, false);
  expect([odds('annealed'), odds('laminated'), odds('wired'), odds('tempered')]).toEqual([
    0, 0.03, 0.2, 0.98,
  ]);
});

it('counts an unknown pane as strengthened three times in twenty, a tested one hardly ever', () => {
  expect(treatmentOdds({ form: 'sheet' }, glass, false)).toBe(0.15);
  expect(treatmentOdds({ form: 'sheet', glassTreatment: 'unknown' }, glass, true)).toBe(0.01);
});

it('presumes bottles and studio glass annealed, and nothing of stone', () => {
  expect(treatmentOdds({ form: 'vessel' }, glass, false)).toBe(0.01);
  expect(
    treatmentOdds({ form: 'sheet' }, { class: 'glass', traits: ['studio-fired'] }, false),
  ).toBe(0.01);
  expect(treatmentOdds({ form: 'sheet' }, MATERIALS.granite, false)).toBe(0);
});

it('breaks one in twenty at the 5 % fractile, by (σ/σ₅)^m, and never without tension', () => {
  expect(failureProbability(30, 30, 7)).toBeCloseTo(0.05, 12);
  expect(weibullHazard(60, 30, 7) / weibullHazard(30, 30, 7)).toBeCloseTo(2 ** 7, 6);
  expect(failureProbability(-5, 30, 7)).toBe(0);
});
