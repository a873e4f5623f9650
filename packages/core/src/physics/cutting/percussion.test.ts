import { MACHINE_KINDS } from '../../data/machines/machineKinds';
import { findMaterial } from '../../data/materials/materials';
import { hammerRate } from './percussion';

const of = (
  id: string,
  diameterMm: number,
  kind: 'rotary-hammer' | 'cordless-drill' = 'rotary-hammer',
) => {
  const { blows } = MACHINE_KINDS[kind];
  const material = findMaterial(id);
  if (!material) throw new Error('test setup');
  return hammerRate(material, blows, (Math.PI * diameterMm ** 2) / 4);
};

it('spends the power of the blows on the volume that is broken', () => {
  // 2.4 J × 75/s × 0.7 = 126 W; concrete at 35 MPa takes 0.245 J/mm³, over 50.27 mm².
  expect(of('concrete', 8)).toBeCloseTo(126 / (7 * 35e-3 * Math.PI * 16), 9);
  expect(hammerRate({}, { energyJ: 1, perS: 10 }, 100)).toBeCloseTo(7 / (0.14 * 100), 9);
});

it('goes through 60 mm of concrete in 4 to 12 s with an 8 mm bit, as people see it', () => {
  const seconds = 60 / of('concrete', 8);
  expect(seconds).toBeGreaterThan(4);
  expect(seconds).toBeLessThan(12);
});

it('goes slower in what is stronger, with a wider bit, and with a weaker hammer', () => {
  expect(of('engineering-brick', 8)).toBeLessThan(of('concrete', 8));
  expect(of('concrete', 12)).toBeLessThan(of('concrete', 8));
  expect(of('concrete', 8, 'cordless-drill')).toBeLessThan(of('concrete', 8));
});

it('sinks no deeper at a blow than a tip does', () => {
  expect(of('lightweight-block', 5)).toBe(0.2 * 75);
});
