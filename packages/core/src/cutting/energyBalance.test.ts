import { bitGeometry } from '../bits/bitGeometry';
import { MATERIALS } from '../materials/materials';
import { contactOf, meanSpeedAt, rimSpeedAt, rpmForRimSpeed } from './contact';
import { feedForceFor } from './feedForce';
import { cuttingWindow, paceTarget } from './pace';
import { penetrationRate } from './penetrationRate';

const granite = MATERIALS.granite;
const core = bitGeometry({ family: 'sintered-core', diameterMm: 35 });
const segmented = bitGeometry({ family: 'segmented-core', diameterMm: 100 });

it.each([
  ['full ring', core],
  ['segments', segmented],
] as const)('volume ground times its energy is the cutting power, %s', (_, bit) => {
  const contact = contactOf(bit);
  const p = 1.2;
  const v_m = meanSpeedAt(900, contact.meanRadiusMm);
  const u = penetrationRate(granite, bit, { p, v_m, s: 1, dry: false });
  // Power of the force beyond the idle half of the glaze pressure, W; mm³/s · J/mm³ = W.
  const idle = (bit.pressureFactor * granite.pressureMpa.glaze) / 2;
  const power = granite.friction * (p - idle) * contact.contactAreaMm2 * v_m;
  expect(contact.kerfAreaMm2 * u * granite.specificEnergyJPerMm3).toBeCloseTo(power, 6);
});

it('never cuts below half the glaze pressure, and less when dull or dry', () => {
  const at = (parts: object) =>
    penetrationRate(granite, core, { p: 1, v_m: 2, s: 1, dry: false, ...parts });
  expect(at({ p: 0.2 })).toBe(0);
  expect(at({ s: 0.5 })).toBeCloseTo(at({}) / 2);
  expect(at({ dry: true })).toBeCloseTo(at({}) * 0.6);
  const segments = { p: 1, v_m: 2, s: 1 };
  // Segments are made to run dry: air carries the dust out.
  expect(penetrationRate(granite, segmented, { ...segments, dry: true })).toBe(
    penetrationRate(granite, segmented, { ...segments, dry: false }),
  );
});

it('turns rim speed into rpm and back', () => {
  expect(rimSpeedAt(rpmForRimSpeed(1.7, 33), 33)).toBeCloseTo(1.7);
});

it('holds force where the machine would stall', () => {
  const contact = contactOf(core);
  const free = feedForceFor(1, granite.friction, contact, 1000, 1000);
  expect(free).toMatchObject({ torqueLimited: false, contactPressureMpa: 1 });
  const held = feedForceFor(1, granite.friction, contact, 1000, 1);
  expect(held.torqueLimited).toBe(true);
  expect(held.torqueNm).toBeCloseTo(0.5);
  expect(held.powerW).toBeCloseTo((held.torqueNm * 2 * Math.PI * 1000) / 60);
});

it('sets the three paces on the family’s own window', () => {
  const window = cuttingWindow(
    MATERIALS['porcelain-tile'],
    bitGeometry({ family: 'brazed-tile-core', diameterMm: 10 }),
  );
  expect(window.rimSpeedMPerS.best).toBeCloseTo(1.3 * 1.8);
  expect(paceTarget(window, 'steady')).toEqual({
    rimSpeedMPerS: window.rimSpeedMPerS.best,
    pressureMpa: window.pressureMpa.best,
  });
  const [gentle, brisk] = [paceTarget(window, 'gentle'), paceTarget(window, 'brisk')];
  expect(gentle.pressureMpa).toBe(window.pressureMpa.low);
  expect(gentle.rimSpeedMPerS).toBeCloseTo(
    window.rimSpeedMPerS.low + 0.4 * (window.rimSpeedMPerS.best - window.rimSpeedMPerS.low),
  );
  expect(brisk.pressureMpa).toBeCloseTo((window.pressureMpa.best + window.pressureMpa.high) / 2);
  expect(brisk.rimSpeedMPerS).toBeLessThan(window.rimSpeedMPerS.high);
});
