import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';

/** Shoulder height above the foot of the wall, mm. */
const SHOULDER_MM = 1400;

/** Work from a platform, not from a ladder. */
export const height: Hazard<'height'> = {
  code: 'height',
  title: 'Above the shoulder',
  scope: 'hole',
  facts: ({ piece, hole }) => [piece.form, hole.yMm],
  judge: ({ piece, hole }): Judged | null =>
    piece.form === 'wall' && hole.yMm > SHOULDER_MM
      ? {
          level: 'confirm',
          message:
            'If this is above your shoulder, stand on a platform with both hands free. A core drill is never used on a ladder.',
          answers: [
            { code: 'platform', label: 'On a platform' },
            { code: 'below-shoulder', label: 'It is below my shoulder' },
          ],
        }
      : null,
};
