import { mixtureQuantile, type LogNormalPart } from '../math/logNormalMixture';
import { Z_90 } from '../math/normal';
import type { Hold } from '../data/choices';
import { FORCE_SD, RPM_SD } from '../data/steadiness';
import { ringForceSd } from './exit/exitChip';
import { pressedTime, type PressedCut } from './cutting/pressedTime';
import type { Material } from '../data/materials/material';
import { provenance } from '../data/materials/provenance';
import type { StressSpread } from './strength/crackOdds';
import { PRESSED_FOR_DULL } from './strength/monteCarlo';

/** sd of ln s. */
export const SHARPNESS_SD = 0.12;
export const TOUGHNESS_SD = 0.1;
/** sd of ln(width) of chips at one force and toughness: hold and backing differ from hole to hole. */
export const SHELLING_SD = 0.4;
/** sd of ln of lifts, water changes, core breaks and swaps. */
export const PAUSES_SD = 0.3;
/** sd of ln of setting up and taking down: benches differ more than hands. */
export const AROUND_SD = 0.6;

/** Nodes and weights of seven-point Gauss–Hermite for a standard normal. */
const GAUSS_HERMITE = [
  [0, 0.457143],
  [1.154405, 0.240123],
  [-1.154405, 0.240123],
  [2.36676, 0.030757],
  [-2.36676, 0.030757],
  [3.75044, 0.000548],
  [-3.75044, 0.000548],
] as const;

/**
 * Spread of the cutting time, of independent spreads through Preston's relation
 * t ∝ e/(μ·(p − p_idle)·n·s): speed, sharpness (a duller rim is pressed harder, F ∝ s^−0.3) and the
 * material's own specific energy and friction are log-normal; the force is taken through the stages
 * at seven nodes, for near the glaze it acts far from evenly.
 * @returns log-normal parts by their factor on the time at the middle
 */
export function cuttingTimeParts(
  cuts: readonly PressedCut[],
  material: Pick<Material, 'class'>,
  hold: Hold,
  piece: { readonly thickness: number; readonly mix: number },
): readonly LogNormalPart[] {
  const middle = pressedTime(cuts, 1);
  if (!Number.isFinite(middle)) return [];
  const at = (z: number): number => pressedTime(cuts, Math.exp(z * FORCE_SD[hold])) / middle;
  const amplified = Math.log(at(-Z_90) / at(Z_90)) / (2 * Z_90 * FORCE_SD[hold]);
  const sd = Math.hypot(
    RPM_SD,
    SHARPNESS_SD * (1 - PRESSED_FOR_DULL * amplified),
    rateSd(material),
    piece.thickness,
    piece.mix,
  );
  return GAUSS_HERMITE.map(([z, share]) => ({ median: at(z), sd, share }));
}

/** sd of the logarithm from tenth and ninetieth. */
export const spanSd = ({ p10, p90 }: { readonly p10: number; readonly p90: number }): number =>
  Math.log(p90 / p10) / (2 * Z_90);

/** The same of such a mixture. */
export const partsSd = (parts: readonly LogNormalPart[]): number =>
  parts.length === 0
    ? 0
    : spanSd({ p10: mixtureQuantile(parts, 0.1), p90: mixtureQuantile(parts, 0.9) });

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
  const off = (of: 'p10' | 'p90'): number =>
    Math.hypot(...parts.map((part) => part[of] - part.p50));
  return { p10: p50 - off('p10'), p50, p90: p50 + off('p90') };
}

/** A log-normal's tenth, middle and ninetieth. */
export const logNormalSpan = (p50: number, sd: number) => ({
  p10: logNormalP10(p50, sd),
  p50,
  p90: logNormalP90(p50, sd),
});
