import { MATERIALS } from '../../data/materials/materials';
import { normalMean } from '../../math/normalMean';
import { allowableStress, bearableStress, builtInStress, crackOdds } from './crackOdds';
import type { StressSite } from './stressSites';
import { weibullHazard } from './weibull';

const granite = MATERIALS.granite;
const rim: StressSite = {
  kind: 'rim',
  thermalMpa: 6,
  pressedMpa: 3,
  atRestMpa: 1,
  lengthShare: 1,
};
const web: StressSite = {
  kind: 'web',
  thermalMpa: 1,
  pressedMpa: 12,
  atRestMpa: 0,
  lengthShare: 0.4,
};
const STILL = { force: 0, speed: 0, heatShare: 0, constraint: 0, strength: 0, weibull: 0 };
const stresses = {
  sites: [rim, web],
  sd: STILL,
  heatGain: 1,
  handHazard: 0.02,
  handSd: 0,
  treatmentOdds: 0.1,
  bearableMpa: 20,
};

it('bears 0.7 wet in glass alone, 0.7 damaged, and what a seen crack leaves', () => {
  const glass = MATERIALS['float-glass'];
  const sound = bearableStress(glass, false);
  expect(sound).toBe(glass.edgeStrengthMpa);
  expect(bearableStress(glass, true)).toBeCloseTo(0.7 * sound, 12);
  expect(bearableStress(granite, true)).toBe(granite.edgeStrengthMpa);
  expect(bearableStress(granite, false, 'mended')).toBeCloseTo(0.7 * granite.edgeStrengthMpa, 12);
  const cracked = glass.toughnessMpaSqrtM / (1.12 * Math.sqrt(Math.PI * 0.005));
  expect(bearableStress(glass, false, 'crack')).toBeCloseTo(Math.min(0.7 * sound, cracked), 12);
  expect(allowableStress(20)).toBe(10);
});

it('carries stress of its own by material, else by class', () => {
  expect(builtInStress(MATERIALS['container-glass'])).toBe(4);
  expect(builtInStress(MATERIALS['fused-glass'])).toBe(6);
  expect(builtInStress(MATERIALS['porcelain-tile'])).toBe(2);
  expect(builtInStress(MATERIALS['float-glass'])).toBe(1);
  expect(builtInStress(granite)).toBe(0);
});

it('sums the hazards of all sites, and names the greatest stress', () => {
  const m = granite.weibullModulus;
  const hazard = weibullHazard(10, 20, m) + 0.4 * weibullHazard(13, 20, m);
  const odds = crackOdds(granite, stresses);
  expect(odds.byStress).toBeCloseTo(1 - Math.exp(-hazard), 12);
  expect(odds.byHand).toBeCloseTo(1 - Math.exp(-0.02), 12);
  expect(odds.byTreatment).toBe(0.1);
  expect(odds.total).toBeCloseTo(1 - (1 - odds.byStress) * (1 - odds.byHand) * 0.9, 12);
  expect(odds).toMatchObject({ site: 'web', stressMpa: 13, bearableMpa: 20, limitMpa: 10 });
  expect(crackOdds(granite, { ...stresses, sites: [web, rim] })).toMatchObject({ site: 'web' });
  expect(crackOdds(granite, { ...stresses, sites: [rim] })).toMatchObject({
    site: 'rim',
    stressMpa: 10,
  });
});

it('has what is built in without any other stress', () => {
  const tile = MATERIALS['porcelain-tile'];
  expect(crackOdds(tile, { ...stresses, sites: [] })).toMatchObject({
    site: 'rim',
    stressMpa: 2,
    byStress: 0,
  });
  expect(crackOdds(tile, { ...stresses, sites: [rim] }).stressMpa).toBe(12);
});

it('takes the mean over force, heat and weakness going together', () => {
  const sd = { ...STILL, force: 0.3, speed: 0.1, heatShare: 0.2, constraint: 0.15, strength: 0.12 };
  const m = granite.weibullModulus;
  const heatSd = Math.hypot(0.8 * Math.hypot(0.3, 0.1, 0.2), 0.15, 0.12);
  const forceSd = Math.hypot(0.3, 0.12);
  const closed = normalMean((z) => {
    const stress = 6 * Math.exp(heatSd * z) + 3 * Math.exp(forceSd * z) + Math.exp(0.12 * z);
    return 1 - Math.exp(-weibullHazard(stress, 20, m));
  });
  const odds = crackOdds(granite, { ...stresses, sites: [rim], sd, heatGain: 0.8 });
  expect(odds.byStress).toBeCloseTo(closed, 9);
});

it('takes m at its middle and √3 sd to either side', () => {
  const m = granite.weibullModulus;
  const at = (modulus: number): number => 1 - Math.exp(-weibullHazard(10, 20, modulus));
  const off = Math.sqrt(3) * 0.1;
  const odds = crackOdds(granite, { ...stresses, sites: [rim], sd: { ...STILL, weibull: 0.1 } });
  expect(odds.byStress).toBeCloseTo((at(m * (1 - off)) + 4 * at(m) + at(m * (1 + off))) / 6, 12);
});

it('keeps the mean of the handling’s hazard, whatever its spread', () => {
  const odds = crackOdds(granite, { ...stresses, handSd: 0.6 });
  const closed = normalMean((z) => 1 - Math.exp(-0.02 * Math.exp(0.6 * z - 0.18)));
  expect(odds.byHand).toBeCloseTo(closed, 9);
  expect(odds.byHand).toBeCloseTo(0.02, 3);
});
