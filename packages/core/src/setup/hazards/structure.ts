import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';
import { isConcrete } from './postTension';

/** From here on a hole in a wall is more than a fixing. */
const BIG_HOLE_MM = 75;

/** Reinforcement, and holes big enough to weaken what they pass through. */
export const structure: Hazard<'structure'> = {
  code: 'structure',
  title: 'Bars, lintels and what it carries',
  scope: 'hole',
  facts: ({ piece, hole, materials }) => [
    piece.form,
    materials.map((one) => one.id).join(),
    hole.diameterMm,
  ],
  judge: ({ piece, hole, materials }): Judged | null => {
    if (piece.form !== 'wall' && piece.form !== 'floor') return null;
    const concrete = materials.some(isConcrete);
    if (!concrete && hole.diameterMm < BIG_HOLE_MM) return null;
    return {
      level: 'confirm',
      message: concrete
        ? 'Locate the bars and miss them; cutting one, or a big hole near a support, is an engineer’s decision. If steel shows, stop.'
        : 'A hole this size is not cut near a lintel, a bearing, a chimney or in a party wall without an engineer’s word.',
      answers: [
        {
          code: 'bars-missed',
          label: concrete ? 'Bars located and missed' : 'Clear of all of these',
        },
        {
          code: 'engineer-agreed',
          label: 'An engineer agreed',
          asks: 'Who, and to what',
        },
      ],
    };
  },
};
