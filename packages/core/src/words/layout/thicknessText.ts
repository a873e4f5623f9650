import type { UnitSystem } from '../../data/unitSystem';
import type { Piece } from '../../documents/piece';
import { thicknessSpread } from '../../layout/thickness';
import { formatLengthShort } from '../units/length';

/** The thickness with its spread, in words. */
export function thicknessText(
  piece: Pick<Piece, 'thicknessMm' | 'thicknessReadingsMm'>,
  units: UnitSystem,
): string {
  const { thinnestMm, thickestMm, readings } = thicknessSpread(piece);
  const L = (mm: number): string => formatLengthShort(mm, units);
  return readings < 2
    ? L(piece.thicknessMm)
    : `${L(piece.thicknessMm)}, from ${L(thinnestMm)} to ${L(thickestMm)} in ${readings} places`;
}
