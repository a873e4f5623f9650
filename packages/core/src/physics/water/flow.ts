import { finesMass, SLURRY_LOAD_G_PER_L } from './turbidity';

const WATER_DENSITY_KG_PER_M3 = 1000;
const WATER_HEAT_J_PER_KG_K = 4186;
/** Warming the slurry may show, K. */
const WATER_WARMING_K = 15;
const MIN_FLOW_L_PER_MIN = 0.5;
const FLOW_PER_DIAMETER_L_PER_MIN_MM = 0.01;
/** A kitchen cup to time the flow with, L. */
export const CUP_L = 0.25;

/** Water that rises this fast beside the rim takes the cuttings along, m/s. */
const RISING_M_PER_S = 0.4;

export interface WaterFlow {
  readonly flowLPerMin: number;
  readonly forHeatLPerMin: number;
  readonly forFinesLPerMin: number;
  /** To carry cuttings up the annulus: π·D·c at 0.4 m/s. */
  readonly forRisingLPerMin: number;
  readonly minLPerMin: number;
  readonly secondsPerCup: number;
}

/**
 * Q = max(P/(ρ_w·c_w·15 K), ρ·A_k·u/60 g·L⁻¹, π·D·c·0.4 m/s), at least max(0.5, D/100) L/min: enough to
 * carry the heat off with 15 K of warming, the fines as a slurry of 60 g/L, and the cuttings up the gap c
 * beside the rim (0.3 to 0.5 m/s lift them).
 */
export function waterFlow(cut: {
  readonly powerW: number;
  readonly densityKgPerM3: number;
  readonly kerfAreaMm2: number;
  readonly rateMmPerS: number;
  readonly diameterMm: number;
  readonly clearancePerSideMm: number;
}): WaterFlow {
  const { diameterMm: D, clearancePerSideMm: c } = cut;
  const m3PerS = cut.powerW / (WATER_DENSITY_KG_PER_M3 * WATER_HEAT_J_PER_KG_K * WATER_WARMING_K);
  const forHeatLPerMin = m3PerS * 60_000;
  const finesGPerS = finesMass(cut.densityKgPerM3, cut.kerfAreaMm2, cut.rateMmPerS);
  const forFinesLPerMin = (finesGPerS / SLURRY_LOAD_G_PER_L) * 60;
  // mm²·m/s = mL/s.
  const forRisingLPerMin = (Math.PI * D * c * RISING_M_PER_S * 60) / 1000;
  const minLPerMin = Math.max(MIN_FLOW_L_PER_MIN, FLOW_PER_DIAMETER_L_PER_MIN_MM * D);
  const flowLPerMin = Math.max(forHeatLPerMin, forFinesLPerMin, forRisingLPerMin, minLPerMin);
  return {
    flowLPerMin,
    forHeatLPerMin,
    forFinesLPerMin,
    forRisingLPerMin,
    minLPerMin,
    secondsPerCup: (CUP_L / flowLPerMin) * 60,
  };
}
