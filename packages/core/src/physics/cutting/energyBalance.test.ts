import { specificEnergy } from '../../data/bits/abrasives';
import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import { bitGeometry } from './bitGeometry';
import { MATERIALS } from '../../data/materials/materials';
import { contactOf, meanSpeedAt, rimSpeedAt, rpmForRimSpeed } from './contact';
import { feedForceFor } from './feedForce';
import { cuttingWindow, paceTarget } from './pace';
import { penetrationRate, sizeEffect } from './penetrationRate';

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
  const u = penetrationRate(granite, bit, { p, v_m, v: 2, s: 1, dry: false });
  // Power of the force beyond the idle half of the glaze pressure, W; mm³/s · J/mm³ = W.
  const idle = (bit.pressureFactor * granite.pressureMpa.glaze) / 2;
  const power = granite.friction * (p - idle) * contact.contactAreaMm2 * v_m;
  const e = specificEnergy(granite, BIT_FAMILIES[bit.family].abrasive);
  expect(contact.kerfAreaMm2 * u * e).toBeCloseTo(power, 6);
});

it('never cuts below half the glaze pressure, and less when dull or dry', () => {
  const at = (parts: object) =>
    penetrationRate(granite, core, { p: 1, v_m: 2, v: 2, s: 1, dry: false, ...parts });
  expect(at({ p: 0.2 })).toBe(0);
  expect(at({ s: 0.5 })).toBeCloseTo(at({}) / 2);
  expect(at({ dry: true })).toBeCloseTo(at({}) * 0.6);
  const segments = { p: 1, v_m: 2, v: 2, s: 1 };
  // Segments are made to run dry: air carries the dust out.
  expect(penetrationRate(granite, segmented, { ...segments, dry: true })).toBe(
    penetrationRate(granite, segmented, { ...segments, dry: false }),
  );
});

it('turns rim speed into rpm and back', () => {
  expect(rimSpeedAt(rpmForRimSpeed(1.7, 33), 33)).toBeCloseTo(1.7);
});

it('needs less energy with coarse rims than with fine ones, and more past the speed window', () => {
  // 1.6 J/mm³ of float glass, sintered × 1.2, plated × 0.75, brazed × 0.5.
  const glass = MATERIALS['float-glass'];
  expect(specificEnergy(glass, 'sintered')).toBeCloseTo(1.92);
  expect(specificEnergy(glass, 'plated')).toBeCloseTo(1.2);
  expect(specificEnergy(glass, 'brazed')).toBeCloseTo(0.8);
  expect(sizeEffect(2, 3.5)).toBe(1);
  expect(sizeEffect(14, 3.5)).toBe(2);
  const at = (v: number) => penetrationRate(granite, core, { p: 1, v_m: v, v, s: 1, dry: false });
  // Twice as fast within the window is twice the rate; past it, √2.
  expect(at(3) / at(1.5)).toBeCloseTo(2);
  expect(at(14) / at(7)).toBeCloseTo(Math.SQRT2);
});

describe('the force', () => {
  const contact = contactOf(core);
  const drive = {
    rpm: 1000,
    freeRpm: 2000,
    stallTorqueNm: 1000,
    ratedPowerW: 10_000,
    sags: false,
    armsN: 10_000,
  };
  const held = (parts: object) =>
    feedForceFor(1, granite.friction, contact, { ...drive, ...parts });

  it('is what the material wants where nothing holds it back', () => {
    expect(held({})).toMatchObject({ limitedBy: null, contactPressureMpa: 1, speedShare: 1 });
  });

  it('stays at half of what stalls the machine', () => {
    const by = held({ stallTorqueNm: 1 });
    expect(by.limitedBy).toBe('torque');
    expect(by.torqueNm).toBeCloseTo(0.5);
    expect(by.powerW).toBeCloseTo((by.torqueNm * 2 * Math.PI * 1000) / 60);
  });

  it('stays within rated power and what the arms give', () => {
    expect(held({ ratedPowerW: 30 })).toMatchObject({ limitedBy: 'power' });
    expect(held({ ratedPowerW: 30 }).powerW).toBeCloseTo(30);
    expect(held({ armsN: 20 })).toMatchObject({ limitedBy: 'arms', feedForceN: 20 });
  });

  it('sags along T₀(1 − n/n₀): at half of stall to half of n₀', () => {
    const by = held({ stallTorqueNm: 1, sags: true, rpm: 2000 });
    expect(by.speedShare).toBeCloseTo(0.5);
    // Set low, a trigger still holds its speed.
    expect(held({ stallTorqueNm: 1, sags: true, rpm: 900 }).speedShare).toBe(1);
  });
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

it('feels the material’s windows by the family’s factors, one by one', () => {
  const { pressureMpa: p, rimSpeedMPerS: v } = MATERIALS.granite;
  const window = cuttingWindow(MATERIALS.granite, { pressureFactor: 1.5, speedFactor: 2 });
  expect(window).toEqual({
    pressureMpa: { glaze: 1.5 * p.glaze, low: 1.5 * p.low, best: 1.5 * p.best, high: 1.5 * p.high },
    rimSpeedMPerS: { low: 2 * v.low, best: 2 * v.best, high: 2 * v.high },
  });
  expect(paceTarget(window, 'brisk').rimSpeedMPerS).toBeCloseTo(
    2 * (v.best + 0.5 * (v.high - v.best)),
    12,
  );
});

it('thins its chip past the speed window of its own family', () => {
  const at = (speedFactor: number, v: number) =>
    penetrationRate(granite, { ...core, speedFactor }, { p: 1, v_m: 1, v, s: 1, dry: false });
  const { high } = granite.rimSpeedMPerS;
  // A family made for twice the speed is within its window there.
  expect(at(2, 2 * high)).toBeCloseTo(at(1, high), 12);
  expect(at(1, 2 * high)).toBeCloseTo(at(1, high) / Math.SQRT2, 12);
});

it('runs a sagging motor at min(n, n₀(1 − T/T₀)), and its power with it', () => {
  const contact = contactOf(core);
  const by = feedForceFor(1, granite.friction, contact, {
    rpm: 1900,
    freeRpm: 2000,
    stallTorqueNm: 2,
    ratedPowerW: 10_000,
    sags: true,
    armsN: 30,
  });
  const torque = (granite.friction * 30 * contact.meanRadiusMm) / 1000;
  const rpm = 2000 * (1 - torque / 2);
  expect(rpm).toBeLessThan(1900);
  expect(by.torqueNm).toBeCloseTo(torque, 12);
  expect(by.speedShare).toBeCloseTo(rpm / 1900, 12);
  expect(by.meanSpeedMPerS).toBeCloseTo(meanSpeedAt(rpm, contact.meanRadiusMm), 12);
  expect(by.powerW).toBeCloseTo((torque * 2 * Math.PI * rpm) / 60, 9);
  expect(by.maxN).toBe(30);
});
