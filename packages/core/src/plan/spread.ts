import { Z_90 } from '../numeric/normal';
import type { Hold } from '../documents/choices';
import { provenance } from '../materials/provenance';
import type { MaterialCut } from './cutLayers';

/** sd of ln F: how evenly a person presses. */
export const FORCE_SD = {
  freehand: 0.25,
  guided: 0.15,
  press: 0.08,
  rig: 0.08,
} as const satisfies Record<Hold, number>;
export const RPM_SD = 0.05;
export const SHARPNESS_SD = 0.1;
export const TOUGHNESS_SD = 0.1;

/**
 * sd of ln(cutting time), by first-order propagation of independent spreads through Preston's
 * relation t ∝ e/(μ·(p − p_idle)·n·s): force (amplified by p/(p − p_idle) near the glaze), speed,
 * sharpness, and the material's own specific energy and friction.
 */
export function cuttingTimeSd(cut: MaterialCut, hold: Hold): number {
  const p = cut.force.contactPressureMpa;
  const idle = cut.window.pressureMpa.glaze / 2;
  const forceSd = (FORCE_SD[hold] * p) / Math.max(p - idle, 0.1 * p);
  return Math.hypot(
    forceSd,
    RPM_SD,
    SHARPNESS_SD / cut.sharpness,
    provenance(cut.material, 'specificEnergyJPerMm3').relativeSd,
    provenance(cut.material, 'friction').relativeSd,
  );
}

/** sd of ln(chip width): two thirds of that of F·(2 − s)/K, by the edge-chipping law. */
export function exitChipSd(hold: Hold, sharpness: number): number {
  return (2 / 3) * Math.hypot(FORCE_SD[hold], TOUGHNESS_SD, SHARPNESS_SD / (2 - sharpness));
}

/** The tenth (down) and ninetieth (up) percentile of a log-normal with this median. */
export const logNormalP10 = (median: number, sd: number): number => median * Math.exp(-Z_90 * sd);
export const logNormalP90 = (median: number, sd: number): number => median * Math.exp(Z_90 * sd);
