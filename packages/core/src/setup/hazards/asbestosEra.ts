import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';

/** Banned nearly everywhere before this. */
const SAFE_FROM_YEAR = 2000;
const SUSPECT = new Set(['glazed-wall-tile', 'porcelain-tile', 'mortar']);

/** Tile, adhesive, board and plaster from the years when asbestos was used in them. */
export const asbestosEra: Hazard<'asbestos-era'> = {
  code: 'asbestos-era',
  title: 'Put up in the years of asbestos?',
  scope: 'piece',
  facts: ({ piece, materials }) => [
    piece.form,
    piece.yearMade,
    materials.map((one) => one.id).join(),
  ],
  judge: ({ piece, materials }): Judged | null => {
    const builtIn = piece.form === 'wall' || piece.form === 'floor' || piece.assembled === true;
    if (!builtIn || !materials.some((one) => SUSPECT.has(one.id))) return null;
    if (piece.yearMade !== undefined && piece.yearMade >= SAFE_FROM_YEAR) return null;
    return {
      level: 'stop',
      message: `Tiles, adhesives, boards and plasters put up before about ${SAFE_FROM_YEAR} may hold asbestos${piece.yearMade === undefined ? ', and nobody has said when this was' : ''}. A test or survey comes first; check your local rules.`,
      answers: [
        { code: 'survey-clear', label: 'Tested: none in it', asks: 'Which test or survey, when' },
        { code: 'newer', label: `It is newer than ${SAFE_FROM_YEAR}`, asks: 'How you know' },
      ],
    };
  },
};
