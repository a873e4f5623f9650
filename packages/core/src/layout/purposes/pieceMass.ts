import { isBuilding } from '../../data/pieceForms';
import { outlineArea } from '../outline';
import type { Piece } from '../../documents/piece';

/** Mass of a flat piece, kg, from outline, thickness and density; null for walls and floors. */
export function pieceMass(
  piece: Pick<Piece, 'thicknessMm' | 'outline' | 'form'>,
  densityKgPerM3: number,
): number | null {
  if (isBuilding(piece)) return null;
  return (outlineArea(piece.outline) * piece.thicknessMm * densityKgPerM3) / 1e9;
}
