import { bitGeometry } from '../cutting/bitGeometry';
import { MATERIAL_IDS, MATERIALS } from '../../data/materials/materials';
import { boilingExcess, burnOutFlux } from './boiling';
import { BURN_OUT_W_PER_M2 } from '../../data/coolants';
import { rimTemperature } from './rimTemperature';
import { thermalStress } from './thermalStress';

const glass = MATERIALS['float-glass'];
const cup = bitGeometry({ family: 'plated-cup-saw', diameterMm: 25, rimWidthMm: 1 });
const cut = {
  pressureMpa: 0.35,
  meanSpeedMPerS: 1.152,
  cutTimeS: 107.5,
  waterWPerM2K: 6000,
  burnOutWPerM2: BURN_OUT_W_PER_M2,
  dry: false,
};
const rise = (parts: object = {}): number =>
  rimTemperature(glass, cup, { ...cut, ...parts }).tempRiseK;

it('heats in proportion to pressure and speed', () => {
  expect(rise({ pressureMpa: 0.7 })).toBeCloseTo(2 * rise());
  expect(rise({ meanSpeedMPerS: 0.576 })).toBeCloseTo(rise() / 2);
});

it('is cooler the better the water, hotter the longer it cuts, up to two minutes', () => {
  const byWater = [15_000, 6000, 3000, 800, 50].map((waterWPerM2K) => rise({ waterWPerM2K }));
  expect(byWater).toEqual([...byWater].sort((a, b) => a - b));
  expect(rise({ cutTimeS: 60 })).toBeLessThan(rise());
  expect(rise({ cutTimeS: 600 })).toBe(rise({ cutTimeS: 120 }));
});

it('conducts from a solid bit at once, whatever the time', () => {
  const point = bitGeometry({ family: 'plated-point', diameterMm: 1.5 });
  const at = (cutTimeS: number) => rimTemperature(glass, point, { ...cut, cutTimeS });
  expect(at(1).tempRiseK).toBe(at(100).tempRiseK);
  expect(at(1).conductionWPerM2K).toBeCloseTo((3 * Math.PI * 1) / (4 * 0.0015));
});

it.each(MATERIAL_IDS)('%s is never cooler dry', (id) => {
  const at = (dry: boolean) =>
    rimTemperature(MATERIALS[id], cup, { ...cut, dry, waterWPerM2K: dry ? 50 : 6000 }).tempRiseK;
  expect(at(true)).toBeGreaterThan(at(false));
});

it('spreads the flux over the groove where segments leave gaps', () => {
  const half = rimTemperature(glass, { ...cup, coverage: 0.5 }, cut);
  expect(half.heatFluxWPerMm2).toBeCloseTo(rimTemperature(glass, cup, cut).heatFluxWPerMm2 / 2);
});

it('is held near boiling until the rim burns out', () => {
  // (4000 + 3000)·(80 + ΔT_e) + 70.4·ΔT_e³ = 0.8e6: ΔT_e = 12.38 K by hand.
  const nucleate = boilingExcess(0.8e6, 4000, 3000, BURN_OUT_W_PER_M2);
  expect(nucleate.boiling).toBe('nucleate');
  expect(7000 * nucleate.tempRiseK + 70.4 * (nucleate.tempRiseK - 80) ** 3).toBeCloseTo(0.8e6, -4);
  expect(boilingExcess(0.5e6, 4000, 3000, BURN_OUT_W_PER_M2)).toEqual({
    tempRiseK: 0.5e6 / 7000,
    boiling: 'none',
  });
  const max = burnOutFlux(4000, 3000, BURN_OUT_W_PER_M2);
  expect(max).toBeCloseTo(7000 * 105 + 1.1e6, -3);
  expect(boilingExcess(max * 1.01, 4000, 3000, BURN_OUT_W_PER_M2)).toMatchObject({
    boiling: 'film',
    tempRiseK: (max * 1.01) / 3300,
  });
  expect(boilingExcess(0.8e6, 4000, 3000, null).tempRiseK).toBeCloseTo(114.3, 1);
});

it('puts a wall under no heat stress, and glass under more than its steady neighbours', () => {
  expect(thermalStress(MATERIALS.concrete, 100)).toBe(0);
  expect(thermalStress(glass, 10)).toBeCloseTo((70_000 * 9e-6 * 10) / 2);
  // Granite feels a twentieth of full constraint, well under a hot spot's half.
  expect(thermalStress(MATERIALS.granite, 10)).toBeCloseTo((0.05 * 55_000 * 8e-6 * 10) / 0.75);
  expect(thermalStress(MATERIALS['borosilicate-glass'], 10)).toBeLessThan(thermalStress(glass, 10));
});
