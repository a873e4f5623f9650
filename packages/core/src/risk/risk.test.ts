import { oddsInWords } from './oddsWords';
import { MATERIALS } from '../materials/materials';
import { bearableStress, builtInStress, crackOdds } from './crackOdds';
import { handlingOdds } from './handlingOdds';
import { failureProbability, weibullScale } from './weibull';

it('breaks one in twenty at the strength as given', () => {
  for (const m of [5, 7, 12]) expect(failureProbability(25, 25, m)).toBeCloseTo(0.05, 10);
  expect(weibullScale(25, 7)).toBeCloseTo(25 * (-Math.log(0.95)) ** (-1 / 7));
  expect(failureProbability(0, 25, 7)).toBe(0);
  expect(failureProbability(-3, 25, 7)).toBe(0);
});

it('takes thin, dull and free-hand work for what it is', () => {
  const pane = { hold: 'freehand', sheetThicknessMm: 6, sharpness: 1, masonry: false } as const;
  expect(handlingOdds(pane)).toBeCloseTo(0.01);
  expect(handlingOdds({ ...pane, sheetThicknessMm: 2 })).toBeCloseTo(0.04);
  expect(handlingOdds({ ...pane, sharpness: 0.5 })).toBeCloseTo(0.0225);
  expect(handlingOdds({ ...pane, hold: 'rig', masonry: true })).toBeCloseTo(0.0001);
});

it('adds heat to what is built in, and hand to both', () => {
  const glass = MATERIALS['float-glass'];
  const bears = bearableStress(glass, true);
  expect(bears).toBeCloseTo(17.5);
  const still = { heatSd: 0, atRestMpa: 0, pressedMpa: 0, forceSd: 0 };
  const odds = crackOdds(glass, {
    ...still,
    thermalStressMpa: 2.908,
    byHand: 0.002,
    bearableMpa: bears,
  });
  expect(odds.stressMpa).toBeCloseTo(3.908);
  const byStress = 1 - Math.exp(Math.log(0.95) * (3.908 / 17.5) ** 7);
  expect(odds.byStress).toBeCloseTo(byStress, 10);
  expect(odds.total).toBeCloseTo(1 - (1 - byStress) * 0.998, 10);
  // Far below its strength, and with nothing built in, P goes as σ^m: log-normal mean exp((m·sd)²/2).
  const granite = MATERIALS.granite;
  const hot = { ...still, thermalStressMpa: 0.5, byHand: 0, bearableMpa: 20 };
  const even = crackOdds(granite, hot).byStress;
  const uneven = crackOdds(granite, { ...hot, heatSd: 0.2 }).byStress;
  expect(uneven / even).toBeCloseTo(Math.exp((granite.weibullModulus * 0.2) ** 2 / 2), 2);
  // Bending goes with the force as heat does; what is there at rest does not.
  const bent = { ...hot, thermalStressMpa: 0, pressedMpa: 0.5, forceSd: 0.2 };
  expect(crackOdds(granite, bent).byStress).toBeCloseTo(uneven, 12);
  const resting = { ...bent, pressedMpa: 0, atRestMpa: 0.5 };
  expect(crackOdds(granite, resting).byStress).toBeCloseTo(even, 12);
  expect(bearableStress(glass, true, 'mended')).toBeCloseTo(12.25);
  expect(builtInStress(MATERIALS['fused-glass'])).toBe(6);
  expect(builtInStress(MATERIALS.granite)).toBe(0);
});

it.each([
  [0.025, '1 in 40'],
  [0.0004, 'under 1 in 1000'],
  [0.0011, '1 in 1000'],
  [0.33, '1 in 3'],
  [0.7, '7 in 10'],
  [0.995, 'nearly all'],
  [0, 'under 1 in 1000'],
])('says a chance of %d as “%s”', (odds, words) => {
  expect(oddsInWords(odds)).toBe(words);
});
