import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';

/** Lead went out of most table glazes before this. */
const SAFE_FROM_YEAR = 1980;

/** Old and folk earthenware glazes hold lead. */
export const leadGlaze: Hazard<'lead-glaze'> = {
  code: 'lead-glaze',
  title: 'Lead in the glaze?',
  scope: 'piece',
  facts: ({ piece, work, materials }) => [
    piece.yearMade,
    work.coolantKind === 'dry',
    materials.some((one) => one.id === 'glazed-earthenware'),
  ],
  judge: ({ piece, work, materials }): Judged | null => {
    if (!materials.some((one) => one.id === 'glazed-earthenware')) return null;
    if (piece.yearMade !== undefined && piece.yearMade >= SAFE_FROM_YEAR) return null;
    return {
      level: 'confirm',
      message: `Old or folk earthenware may be lead-glazed: ${work.coolantKind === 'dry' ? 'not dry, ' : ''}wet only, wipe up wet, wash hands, and no food from it afterwards.`,
      answers: [{ code: 'no-food-after', label: 'Wet only, and no food from it after' }],
    };
  },
};
