import type { Piece } from '../documents/piece';

/** sd of ln(thickness) where nobody measured it in several places. */
export const UNMEASURED_THICKNESS_SD = 0.02;

/** Where a hole comes no piece is so many times as thick in one place as in another: one of them is misread. */
export const MAX_APART = 3;

export interface ThicknessSpread {
  readonly thinnestMm: number;
  readonly thickestMm: number;
  /** sd over the mean. */
  readonly relativeSd: number;
  /** Places measured; 1 where only one figure is known. */
  readonly readings: number;
}

/** How even the piece is: sample sd of two or more readings, else 2 % as usual. */
export function thicknessSpread(
  piece: Pick<Piece, 'thicknessMm' | 'thicknessReadingsMm'>,
): ThicknessSpread {
  const readings = piece.thicknessReadingsMm ?? [];
  if (readings.length < 2) {
    return {
      thinnestMm: piece.thicknessMm,
      thickestMm: piece.thicknessMm,
      relativeSd: UNMEASURED_THICKNESS_SD,
      readings: 1,
    };
  }
  const mean = readings.reduce((sum, one) => sum + one, 0) / readings.length;
  const variance =
    readings.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (readings.length - 1);
  return {
    thinnestMm: Math.min(...readings, piece.thicknessMm),
    thickestMm: Math.max(...readings, piece.thicknessMm),
    relativeSd: Math.sqrt(variance) / mean,
    readings: readings.length,
  };
}

/** The thickness that several readings stand for: their mean, to a hundredth. */
export const meanThickness = (readingsMm: readonly number[]): number =>
  Math.round((readingsMm.reduce((sum, one) => sum + one, 0) / readingsMm.length) * 100) / 100;
