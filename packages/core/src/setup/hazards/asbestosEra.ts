import { defineHazard } from './hazard';

/** Banned nearly everywhere before this. */
const SAFE_FROM_YEAR = 2000;
const SUSPECT = new Set(['glazed-wall-tile', 'porcelain-tile', 'mortar']);

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
    const builtIn = piece.form === 'wall' || piece.form === 'floor' || piece.assembled === true;
    if (!builtIn || !materials.some((one) => SUSPECT.has(one.id))) return null;
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
