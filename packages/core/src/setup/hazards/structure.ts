import { isBuilding } from '../../data/pieceForms';
import { defineHazard } from './hazard';
import { isConcrete } from './postTension';

/** From here on a hole in a wall is more than a fixing. */
const BIG_HOLE_MM = 75;

/** Reinforcement, and holes big enough to weaken what they pass through. */
export const structure = defineHazard({
  code: 'structure',
  scope: 'hole',
  facts: ({ piece, hole, materials }) => [
    piece.form,
    materials.map((one) => one.id).join(),
    hole.diameterMm,
  ],
  judge: ({ piece, hole, materials }) => {
    if (!isBuilding(piece)) return null;
    const concrete = materials.some(isConcrete);
    if (!concrete && hole.diameterMm < BIG_HOLE_MM) return null;
    return {
      level: 'confirm',
      found: concrete ? 'concrete' : 'masonry',
      answers: [{ code: 'bars-missed' }, { code: 'engineer-agreed', inWriting: true }],
    };
  },
});
