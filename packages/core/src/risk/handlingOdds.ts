import type { Hold } from '../job/choices';

/** Base odds that handling and breaking through spoil a hole. */
const BASE = { freehand: 0.01, guided: 0.004, press: 0.002, rig: 0.001 } as const satisfies Record<
  Hold,
  number
>;
/** Sheets thinner than this feel every slip more. */
const THIN_MM = 4;
const MASONRY = 0.1;

export interface HandlingCase {
  readonly hold: Hold;
  /** null for bulky pieces. */
  readonly sheetThicknessMm: number | null;
  readonly sharpness: number;
  readonly masonry: boolean;
  /** sd of s; (2 − s)² then has the mean (2 − s)² + sd². */
  readonly sharpnessSd?: number;
}

/**
 * P_hand = base × thin × dull: thin = max(1, (4/t)²) for sheets and vessels, dull = (2 − s)²;
 * a tenth of it in masonry.
 */
export function handlingOdds(at: HandlingCase): number {
  const thin = at.sheetThicknessMm === null ? 1 : Math.max(1, (THIN_MM / at.sheetThicknessMm) ** 2);
  const dull = (2 - at.sharpness) ** 2 + (at.sharpnessSd ?? 0) ** 2;
  return Math.min(1, BASE[at.hold] * thin * dull * (at.masonry ? MASONRY : 1));
}
