import { MATERIALS } from '../../data/materials/materials';
import { rimTemperature } from './rimTemperature';

const glass = MATERIALS['float-glass'];
const ring = { solid: false, diameterMm: 25, rimWidthMm: 1, coverage: 0.8 };
const disc = { ...ring, solid: true, diameterMm: 6 };
const cut = {
  pressureMpa: 0.4,
  meanSpeedMPerS: 1.2,
  cutTimeS: 60,
  waterWPerM2K: 5000,
  burnOutWPerM2: null,
  dry: false,
};

it('puts q = β·μ·φ·p·v into the piece', () => {
  expect(rimTemperature(glass, ring, cut).heatFluxWPerMm2).toBeCloseTo(
    glass.heatShare * glass.friction * 0.8 * 0.4 * 1.2,
    12,
  );
});

it('dry, rubs half as much again and keeps 1.4 times the share, seven tenths at most', () => {
  const wet = rimTemperature(glass, ring, cut).heatFluxWPerMm2;
  const dry = (heatShare: number): number =>
    rimTemperature({ ...glass, heatShare }, ring, { ...cut, dry: true }).heatFluxWPerMm2;
  expect(dry(0.3) / (wet * (0.3 / glass.heatShare))).toBeCloseTo(1.5 * 1.4, 9);
  // 1.4·0.6 = 0.84 is more than a piece can keep.
  expect(dry(0.6) / (wet * (0.7 / glass.heatShare))).toBeCloseTo(1.5, 9);
});

it('carries off by a line source under a core, a disc source under a solid bit', () => {
  const a = glass.conductivityWPerMK / (glass.densityKgPerM3 * glass.specificHeatJPerKgK);
  const line = (t: number): number =>
    (2 * Math.PI * glass.conductivityWPerMK) /
    (0.001 * Math.max(Math.log((16 * a * t) / 0.001 ** 2) - 0.5772, 1));
  const carried = (cutTimeS: number): number =>
    rimTemperature(glass, ring, { ...cut, cutTimeS }).conductionWPerM2K;
  expect(carried(60)).toBeCloseTo(line(60), 6);
  // No further than two minutes reach, and never less than one width of it.
  expect(carried(500)).toBeCloseTo(line(120), 6);
  expect(carried(0.01)).toBeCloseTo((2 * Math.PI * glass.conductivityWPerMK) / 0.001, 6);
  expect(rimTemperature(glass, disc, cut).conductionWPerM2K).toBeCloseTo(
    (3 * Math.PI * glass.conductivityWPerMK) / (4 * 0.006),
    6,
  );
});

it('is ΔT = q/(h + h_c) where nothing boils', () => {
  const { heatFluxWPerMm2, conductionWPerM2K, tempRiseK, boiling } = rimTemperature(
    glass,
    ring,
    cut,
  );
  expect(tempRiseK).toBeCloseTo((heatFluxWPerMm2 * 1e6) / (5000 + conductionWPerM2K), 9);
  expect(boiling).toBe('none');
});
