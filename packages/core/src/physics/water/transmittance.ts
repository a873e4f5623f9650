import { CLEAR_ENOUGH, turbidityLimit } from './turbidity';

export interface Clearness {
  /** Share of the light that comes up from the mark, 0 to 1. */
  readonly light: number;
  readonly isClear: boolean;
}

/** What is seen through a bath with fines in it: Beer–Lambert, as turbidityLimit has it. */
export function clearness(
  finesG: number,
  volumeL: number,
  coverMm: number,
  grainSizeUm?: number,
): Clearness {
  const share = finesG / volumeL / turbidityLimit(coverMm, grainSizeUm);
  const light = CLEAR_ENOUGH ** share;
  return { light, isClear: share <= 1 + 1e-9 };
}

const WATER_VISCOSITY_PA_S = 1e-3;
const WATER_DENSITY_KG_PER_M3 = 1000;

/**
 * How long fines of this grain sink through a depth of still water, s: Stokes' law,
 * v = g·(ρ − ρ_w)·d²/(18·η).
 */
export function settlingTime(depthMm: number, densityKgPerM3: number, grainSizeUm: number): number {
  const d = grainSizeUm * 1e-6;
  const v =
    (9.81 * (densityKgPerM3 - WATER_DENSITY_KG_PER_M3) * d * d) / (18 * WATER_VISCOSITY_PA_S);
  return depthMm / 1000 / v;
}
