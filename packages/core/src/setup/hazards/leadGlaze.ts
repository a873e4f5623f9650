import { hasTrait } from '../../data/materials/traits';
import { defineHazard } from './hazard';

/** Lead went out of most table glazes before this. */
const SAFE_FROM_YEAR = 1980;

/** Old and folk earthenware glazes hold lead. */
export const leadGlaze = defineHazard({
  code: 'lead-glaze',
  scope: 'piece',
  facts: ({ piece, work, materials }) => [
    piece.yearMade,
    work.coolantKind === 'dry',
    materials.some((one) => hasTrait(one, 'lead-glaze')),
  ],
  judge: ({ piece, work, materials }) => {
    if (!materials.some((one) => hasTrait(one, 'lead-glaze'))) return null;
    if (piece.yearMade !== undefined && piece.yearMade >= SAFE_FROM_YEAR) return null;
    return {
      level: 'confirm',
      found: work.coolantKind === 'dry' ? 'dry' : 'wet',
      answers: [{ code: 'no-food-after' }],
    };
  },
});
