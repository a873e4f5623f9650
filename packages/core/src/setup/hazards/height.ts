import { defineHazard } from './hazard';

/** Shoulder height above the foot of the wall, mm. */
const SHOULDER_MM = 1400;

/** Work from a platform, not from a ladder. */
export const height = defineHazard({
  code: 'height',
  scope: 'hole',
  facts: ({ piece, hole }) => [piece.form, hole.yMm],
  judge: ({ piece, hole }) =>
    piece.form === 'wall' && hole.yMm > SHOULDER_MM
      ? {
          level: 'confirm',
          found: 'above-shoulder',
          answers: [{ code: 'platform' }, { code: 'below-shoulder' }],
        }
      : null,
});
