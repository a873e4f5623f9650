import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';

/** A scan holds for a hole moved by less than about this. */
const NEAR_MM = 50;
const SCAN = 'With what, by whom, how deep';

/** Pipes and cables in anything built in. */
export const hiddenServices: Hazard<'hidden-services'> = {
  code: 'hidden-services',
  title: 'What runs in this wall or floor?',
  scope: 'hole',
  facts: ({ piece, hole }) => [
    piece.form,
    Math.round(hole.xMm / NEAR_MM),
    Math.round(hole.yMm / NEAR_MM),
  ],
  judge: ({ piece }): Judged | null =>
    piece.form === 'wall' || piece.form === 'floor'
      ? {
          level: 'stop',
          message:
            'Nobody has recorded a scan here. Pipes and cables hide in walls and floors, and at every depth. Gas and electricity belong to licensed people; check your local rules.',
          answers: [
            { code: 'scanned-clear', label: 'Scanned: nothing near', asks: SCAN },
            { code: 'scanned-marked', label: 'Scanned: marked, and clear of it', asks: SCAN },
            {
              code: 'isolated',
              label: 'Supplies isolated by a licensed person',
              asks: 'Which supplies, and who isolated them',
            },
          ],
        }
      : null,
};
