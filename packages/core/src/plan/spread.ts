import { Z_90 } from '../numeric/normal';
import type { Hold } from '../documents/choices';
import { ringForceSd } from '../breakthrough/exitChip';
import type { Material } from '../documents/material';
import { provenance } from '../materials/provenance';
import type { StressSpread } from '../risk/crackOdds';
import { PRESSED_FOR_DULL } from '../risk/monteCarlo';
import type { MaterialCut } from './cutLayers';

/** sd of ln F: how evenly a person presses. */
export const FORCE_SD = {
  freehand: 0.25,
  guided: 0.15,
  press: 0.08,
  rig: 0.08,
} as const satisfies Record<Hold, number>;
export const RPM_SD = 0.05;
/** sd of ln s. */
export const SHARPNESS_SD = 0.12;
export const TOUGHNESS_SD = 0.1;
/** sd of ln(width) of chips at one force and toughness: hold and backing differ from hole to hole. */
export const SHELLING_SD = 0.4;
/** sd of ln of lifts, water changes, core breaks and swaps. */
export const PAUSES_SD = 0.3;
/** sd of ln of setting up and taking down: benches differ more than hands. */
export const AROUND_SD = 0.5;

/**
 * sd of ln(cutting time), by first-order propagation of independent spreads through Preston's
 * relation t ∝ e/(μ·(p − p_idle)·n·s): force (amplified by a = p/(p − p_idle) near the glaze), speed,
 * sharpness (a duller rim is pressed harder, F ∝ s^−0.3), and the material's own specific energy and
 * friction.
 */
export function cuttingTimeSd(cut: MaterialCut, hold: Hold): number {
  const p = cut.force.contactPressureMpa;
  const idle = cut.window.pressureMpa.glaze / 2;
  const amplified = p / Math.max(p - idle, 0.1 * p);
  return Math.hypot(
    FORCE_SD[hold] * amplified,
    RPM_SD,
    SHARPNESS_SD * (1 - PRESSED_FOR_DULL * amplified),
    rateSd(cut.material),
  );
}

/** sd of ln(rate) from the material itself. */
export const rateSd = (material: Pick<Material, 'class'>): number =>
  Math.hypot(
    provenance(material, 'specificEnergyJPerMm3').relativeSd,
    provenance(material, 'friction').relativeSd,
  );

/**
 * sd of ln(chip width): two thirds of that of F·(2 − s)/K by the edge-chipping law, with how far a
 * ring's force acts as a point's, and the scatter of shelling itself.
 */
export function exitChipSd(hold: Hold, sharpness: number, diameterMm: number): number {
  const dull = (sharpness / (2 - sharpness) + PRESSED_FOR_DULL) * SHARPNESS_SD;
  return Math.hypot(
    (2 / 3) * Math.hypot(FORCE_SD[hold], TOUGHNESS_SD, dull),
    shellingSd(diameterMm),
  );
}

/** The part of it that neither force, toughness nor sharpness makes. */
export const shellingSd = (diameterMm: number): number =>
  Math.hypot((2 / 3) * ringForceSd(diameterMm), SHELLING_SD);

/** The spreads of what breaks a piece. */
export const stressSpread = (material: Pick<Material, 'class'>, hold: Hold): StressSpread => ({
  force: FORCE_SD[hold],
  speed: RPM_SD,
  heatShare: provenance(material, 'heatShare').relativeSd,
  constraint: provenance(material, 'heatConstraint').relativeSd,
  strength: provenance(material, 'edgeStrengthMpa').relativeSd,
  weibull: provenance(material, 'weibullModulus').relativeSd,
});

/** The tenth (down) and ninetieth (up) percentile of a log-normal with this median. */
export const logNormalP10 = (median: number, sd: number): number => median * Math.exp(-Z_90 * sd);
export const logNormalP90 = (median: number, sd: number): number => median * Math.exp(Z_90 * sd);

/**
 * Tenth, middle and ninetieth of a sum of independent log-normal times: deviations from the middle
 * add up by their squares (exact for normal ones, to a few per cent for these).
 */
export function sumSpread(
  parts: readonly { readonly p10: number; readonly p50: number; readonly p90: number }[],
): { readonly p10: number; readonly p50: number; readonly p90: number } {
  const p50 = parts.reduce((sum, part) => sum + part.p50, 0);
  const off = (of: 'p10' | 'p90'): number => Math.hypot(...parts.map((part) => part[of] - part.p50));
  return { p10: p50 - off('p10'), p50, p90: p50 + off('p90') };
}

/** A log-normal's tenth, middle and ninetieth. */
export const logNormalSpan = (p50: number, sd: number) => ({
  p10: logNormalP10(p50, sd),
  p50,
  p90: logNormalP90(p50, sd),
});
