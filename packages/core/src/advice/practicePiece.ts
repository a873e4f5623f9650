import type { Hole } from '../documents/hole';
import type { Piece } from '../documents/piece';
import { outlineCentre } from '../layout/outline';
import { presumeOutline } from './presumePiece';

/**
 * A spare of the same kind and thickness to try the same hole on: an ordinary outline with the hole
 * in its middle, worth nothing, the same setup. What was answered about the real piece is not
 * known of the spare, except how it was treated.
 */
export function practicePiece(
  piece: Piece,
  hole: Hole,
): { readonly piece: Omit<Piece, 'id'>; readonly hole: Omit<Hole, 'id'> } {
  const { name, form, material, thicknessMm, glassTreatment, couldBe, layers, checks } = piece;
  const outline = presumeOutline(form, hole.diameterMm);
  const { id: _id, checks: _checks, ...same } = hole;
  return {
    piece: {
      name: `Practice: ${name}`.slice(0, 120),
      form,
      material,
      thicknessMm,
      outline,
      practice: true,
      valueMoney: 0,
      ...(glassTreatment ? { glassTreatment } : {}),
      ...(couldBe ? { couldBe } : {}),
      ...(layers ? { layers } : {}),
      ...(checks ? { checks } : {}),
    },
    hole: {
      ...same,
      label: `${hole.label?.trim() || 'Hole'}, for practice`.slice(0, 120),
      ...(hole.face === 'base' ? { xMm: 0, yMm: 0 } : outlineCentre(outline)),
    },
  };
}
