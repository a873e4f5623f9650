import { isBuilding } from '../../data/pieceForms';
import { hasTrait } from '../../data/materials/traits';
import { defineHazard } from './hazard';

/** Banned nearly everywhere before this. */
const SAFE_FROM_YEAR = 2000;

/** Tile, adhesive, board and plaster from the years when asbestos was used in them. */
export const asbestosEra = defineHazard({
  code: 'asbestos-era',
  scope: 'piece',
  facts: ({ piece, materials }) => [
    piece.form,
    piece.yearMade,
    materials.map((one) => one.id).join(),
  ],
  judge: ({ piece, materials }) => {
    const builtIn = isBuilding(piece) || piece.assembled === true;
    if (!builtIn || !materials.some((one) => hasTrait(one, 'may-hold-asbestos'))) return null;
    if (piece.yearMade !== undefined && piece.yearMade >= SAFE_FROM_YEAR) return null;
    return {
      level: 'stop',
      found: 'may-hold-asbestos',
      safeFromYear: SAFE_FROM_YEAR,
      dated: piece.yearMade !== undefined,
      answers: [
        { code: 'survey-clear', inWriting: true },
        { code: 'newer', inWriting: true },
      ],
    };
  },
});
