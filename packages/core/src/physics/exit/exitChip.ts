import type { Hold } from '../../data/choices';
import type { Material } from '../../data/materials/material';

/** β in P = β·K·h^1.5, the edge-chipping law. */
const EDGE_CHIPPING_β = 9.3;
/** A chip shells about this many times wider than deep. */
const WIDTH_PER_DEPTH = 5;
/** Sheets of this thickness shell twice as wide: a correction from practice. */
const THIN_SHEET_MM = 3;

/** κ: how much of the feed force jumps on to the last web as it lets go. */
export const HOLD_CHIP_FACTOR = {
  freehand: 1,
  guided: 0.5,
  press: 0.3,
  rig: 0.3,
} as const satisfies Record<Hold, number>;

export interface ExitConditions {
  readonly hold: Hold;
  /** κ_b of what lies behind; 0 when the far face is cut from its own side. */
  readonly exitFactor: number;
  /** s, 0 to 1. */
  readonly sharpness: number;
  /** t, mm, where thin-sheet shelling applies; null for bulky pieces. */
  readonly sheetThicknessMm: number | null;
  /** D, mm. */
  readonly diameterMm: number;
  /** Run-out and play of the rim, mm. */
  readonly wobbleMm: number;
  /** So many times as wide as calculated, by the log. */
  readonly chipTimes: number;
}

/** The ring's diameter at which the law is taken as it stands, mm. */
const D0_MM = 25;
/** x of a force between a point's, F (x = 0), and a ring's, F/πD (x = 1): its middle and sd, evenly spread. */
const RING_EXPONENT = 0.5;
const RING_EXPONENT_SD = 1 / Math.sqrt(12);
/** A millimetre of wobble doubles what the edge feels. */
export const WOBBLE_PER_MM = 1;

/** sd of ln(force felt) from how far a ring's force acts as a point's: x·ln(D₀/D). */
export const ringForceSd = (diameterMm: number): number =>
  RING_EXPONENT_SD * Math.abs(Math.log(D0_MM / diameterMm));

/** κ·κ_b·(2 − s)·(D₀/D)^x·(1 + wobble): what share of the force the edge feels. */
const exitSeverity = (at: ExitConditions): number =>
  HOLD_CHIP_FACTOR[at.hold] *
  at.exitFactor *
  (2 - at.sharpness) *
  (D0_MM / at.diameterMm) ** RING_EXPONENT *
  (1 + WOBBLE_PER_MM * at.wobbleMm);

/** 1 + (3/t)² for sheets, × the factor of laminar or coarse bodies. */
export function widening(
  material: Pick<Material, 'exitChipFactor'>,
  sheetThicknessMm: number | null,
): number {
  const thin = sheetThicknessMm === null ? 1 : 1 + (THIN_SHEET_MM / sheetThicknessMm) ** 2;
  return thin * material.exitChipFactor;
}

/**
 * Depth of the chip at the exit face, mm.
 * Edge-chipping law P = β·K·h^1.5: h = (κ·κ_b·(2 − s)·(25/D)^½·F_exit/(9.3·K·10⁶))^⅔ × 1000 mm.
 */
export function exitChipDepth(
  material: Pick<Material, 'toughnessMpaSqrtM'>,
  exitForceN: number,
  at: ExitConditions,
): number {
  const K = material.toughnessMpaSqrtM * 1e6;
  return ((exitSeverity(at) * exitForceN) / (EDGE_CHIPPING_β * K)) ** (2 / 3) * 1000;
}

/** Width of the chip beyond the hole's edge, mm: about 5h, widened for thin sheets. */
export function exitChipWidth(
  material: Pick<Material, 'toughnessMpaSqrtM' | 'exitChipFactor'>,
  exitForceN: number,
  at: ExitConditions,
): number {
  return (
    WIDTH_PER_DEPTH *
    exitChipDepth(material, exitForceN, at) *
    widening(material, at.sheetThicknessMm) *
    at.chipTimes
  );
}

/**
 * The force that would chip just this width, N, not yet held to what the bit needs to cut:
 * F = 9.3·K·10⁶·(W/5000)^1.5/(κ·κ_b·(2 − s)·(25/D)^½), W divided by the widening and chipTimes first.
 */
export function forceForChipWidth(
  material: Pick<Material, 'toughnessMpaSqrtM' | 'exitChipFactor'>,
  widthMm: number,
  at: ExitConditions,
): number {
  const W = widthMm / (widening(material, at.sheetThicknessMm) * at.chipTimes);
  const K = material.toughnessMpaSqrtM * 1e6;
  return (EDGE_CHIPPING_β * K * (W / (WIDTH_PER_DEPTH * 1000)) ** 1.5) / exitSeverity(at);
}
