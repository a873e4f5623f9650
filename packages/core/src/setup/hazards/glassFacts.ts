import type { Piece } from '../../documents/piece';
import type { Material } from '../../data/materials/material';

/** What an answer about a glass piece’s treatment was given for. */
export const glassFacts = ({
  piece,
  material,
}: {
  readonly piece: Pick<Piece, 'form' | 'glassTreatment'>;
  readonly material: Pick<Material, 'id'>;
}): readonly (string | undefined)[] => [material.id, piece.form, piece.glassTreatment];

/** Facts as they are stored with an answer. */
export const factsKey = (facts: readonly (string | number | boolean | undefined)[]): string =>
  facts.map((fact) => fact ?? '').join('|');
