import { bitGeometry } from '../cutting/bitGeometry';
import { MATERIALS } from '../../data/materials/materials';
import { rimHistory, semiInfiniteRise, type HeatedRim } from './rimHistory';
import { rimTemperature } from './rimTemperature';

const glass = MATERIALS['float-glass'];
const plane: HeatedRim = { ...glass, spread: 'plane', widthMm: 1, heatFluxWPerMm2: 0.05 };

it.each([1, 5, 30])('comes to the half-space’s closed form after %s s', (seconds) => {
  const cut = { seconds, cutting: true, waterWPerM2K: 6000 };
  const { riseK } = rimHistory(plane, [cut], seconds / 200);
  expect((riseK.at(-1) ?? 0) / semiInfiniteRise(plane, 6000, seconds)).toBeCloseTo(1, 2);
});

it('ends where the plan’s own ring does', () => {
  const cup = bitGeometry({ family: 'plated-cup-saw', diameterMm: 25, rimWidthMm: 1 });
  const steady = rimTemperature(glass, cup, {
    pressureMpa: 0.35,
    meanSpeedMPerS: 1.152,
    cutTimeS: 107.5,
    waterWPerM2K: 6000,
    burnOutWPerM2: null,
    dry: false,
  });
  const rim: HeatedRim = {
    ...glass,
    spread: 'half-cylinder',
    widthMm: 1,
    heatFluxWPerMm2: steady.heatFluxWPerMm2,
  };
  const { riseK } = rimHistory(rim, [{ seconds: 107.5, cutting: true, waterWPerM2K: 6000 }], 0.25);
  expect((riseK.at(-1) ?? 0) / steady.tempRiseK).toBeGreaterThan(0.93);
  expect((riseK.at(-1) ?? 0) / steady.tempRiseK).toBeLessThan(1.07);
});

it('cools in a lift, heats in a dry spell, and comes back', () => {
  const rim: HeatedRim = { ...plane, spread: 'half-cylinder' };
  const wet = { cutting: true, waterWPerM2K: 6000 };
  const { atS, riseK, maxK } = rimHistory(
    rim,
    [
      { ...wet, seconds: 20 },
      { seconds: 1.5, cutting: false, waterWPerM2K: 6000 },
      { seconds: 5, cutting: true, waterWPerM2K: 50, heatFactor: 2 },
      { ...wet, seconds: 20 },
    ],
    0.1,
  );
  const at = (s: number): number => riseK[atS.findIndex((t) => t >= s - 1e-6)] ?? NaN;
  expect(at(21.5)).toBeLessThan(at(20) / 2);
  expect(at(26.5)).toBeGreaterThan(3 * at(20));
  expect(maxK).toBeCloseTo(at(26.5), 6);
  expect(at(46.5) / at(20)).toBeLessThan(1.1);
});

it.each([
  ['half-cylinder', 1],
  ['half-sphere', 6],
] as const)('keeps all the heat of a %s that no water takes off', (spread, widthMm) => {
  // Without water, twice the time stores twice the heat: the rise at the face follows √t at first, then slower.
  const rim: HeatedRim = { ...plane, spread, widthMm };
  const riseAfter = (seconds: number): number =>
    rimHistory(rim, [{ seconds, cutting: true, waterWPerM2K: 1e-6 }], seconds / 400).riseK.at(-1) ??
    NaN;
  const ratio = riseAfter(2) / riseAfter(1);
  expect(ratio).toBeGreaterThan(1.02);
  expect(ratio).toBeLessThan(Math.SQRT2);
});

it('is the plane’s closed form at once, whatever it spreads into later', () => {
  // In a tenth of a second heat goes √(at) = 0.2 mm: far less than a disc of 40 mm.
  const disc: HeatedRim = { ...plane, spread: 'half-sphere', widthMm: 40 };
  const cut = { seconds: 0.1, cutting: true, waterWPerM2K: 6000 };
  const { riseK } = rimHistory(disc, [cut], 0.0005);
  const flat = rimHistory({ ...plane, widthMm: 40 }, [cut], 0.0005).riseK;
  // The disc's first cell is a shell of twice the foot's area.
  expect(riseK.at(-1)).toBeLessThan(flat.at(-1) ?? 0);
  expect(riseK.at(-1)).toBeGreaterThan(0.4 * (flat.at(-1) ?? 0));
});

it('ends where conduction from a hemisphere ends: q·A = 2π·k·r₀·ΔT', () => {
  const rim: HeatedRim = { ...plane, spread: 'half-sphere', widthMm: 2 };
  const { riseK } = rimHistory(rim, [{ seconds: 400, cutting: true, waterWPerM2K: 1e-6 }], 0.5);
  const foot = Math.PI * 0.001 ** 2;
  const steady = (0.05e6 * foot) / (2 * Math.PI * glass.conductivityWPerMK * 0.001);
  expect((riseK.at(-1) ?? 0) / steady).toBeGreaterThan(0.9);
  expect((riseK.at(-1) ?? 0) / steady).toBeLessThan(1.03);
});
