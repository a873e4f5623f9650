import { finesMass, SLURRY_LOAD_G_PER_L } from './murk';

const WATER_DENSITY_KG_PER_M3 = 1000;
const WATER_HEAT_J_PER_KG_K = 4186;
/** Warming the slurry may show, K. */
const WATER_WARMING_K = 15;
const LEAST_FLOW_L_PER_MIN = 0.5;
const FLOW_PER_DIAMETER_L_PER_MIN_MM = 0.01;
/** A kitchen cup to time the flow with, L. */
export const CUP_L = 0.25;

export interface WaterFlow {
  readonly flowLPerMin: number;
  readonly forHeatLPerMin: number;
  readonly forFinesLPerMin: number;
  readonly leastLPerMin: number;
  readonly secondsPerCup: number;
}

/**
 * Q = max(P/(ρ_w·c_w·15 K), ρ·A_k·u/60 g·L⁻¹), at least max(0.5, D/100) L/min: enough to carry
 * the heat off with 15 K of warming and the fines as a slurry of 60 g/L.
 */
export function waterFlow(
  powerW: number,
  densityKgPerM3: number,
  kerfAreaMm2: number,
  rateMmPerS: number,
  diameterMm: number,
): WaterFlow {
  const m3PerS = powerW / (WATER_DENSITY_KG_PER_M3 * WATER_HEAT_J_PER_KG_K * WATER_WARMING_K);
  const forHeatLPerMin = m3PerS * 60_000;
  const finesGPerS = finesMass(densityKgPerM3, kerfAreaMm2, rateMmPerS);
  const forFinesLPerMin = (finesGPerS / SLURRY_LOAD_G_PER_L) * 60;
  const leastLPerMin = Math.max(LEAST_FLOW_L_PER_MIN, FLOW_PER_DIAMETER_L_PER_MIN_MM * diameterMm);
  const flowLPerMin = Math.max(forHeatLPerMin, forFinesLPerMin, leastLPerMin);
  return {
    flowLPerMin,
    forHeatLPerMin,
    forFinesLPerMin,
    leastLPerMin,
    secondsPerCup: (CUP_L / flowLPerMin) * 60,
  };
}
