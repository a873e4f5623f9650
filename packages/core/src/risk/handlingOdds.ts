import type { Hold } from '../documents/choices';

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

/** thin = max(1, (4/t)²) for sheets and vessels, 1 for bulky pieces (null). */
export const thinFactor = (sheetThicknessMm: number | null): number =>
  sheetThicknessMm === null ? 1 : Math.max(1, (THIN_MM / sheetThicknessMm) ** 2);

/** dull = (2 − s)²; over a spread of s its mean is (2 − s)² + sd². */
export const dullFactor = (sharpness: number, sd = 0): number => (2 - sharpness) ** 2 + sd ** 2;

/** What hold and material make of it, before thin and dull. */
export const handlingBase = ({ hold, masonry }: Pick<HandlingCase, 'hold' | 'masonry'>): number =>
  BASE[hold] * (masonry ? MASONRY : 1);

/** P_hand = base × thin × dull; a tenth of it in masonry. */
export function handlingOdds(at: HandlingCase): number {
  return Math.min(
    1,
    handlingBase(at) * thinFactor(at.sheetThicknessMm) * dullFactor(at.sharpness, at.sharpnessSd),
  );
}
