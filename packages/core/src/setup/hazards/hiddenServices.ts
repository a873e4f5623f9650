import { isBuilding } from '../../data/pieceForms';
import { defineHazard } from './hazard';

/** A scan holds for a hole moved by less than about this. */
const NEAR_MM = 50;

/** Pipes and cables in anything built in. */
export const hiddenServices = defineHazard({
  code: 'hidden-services',
  scope: 'hole',
  facts: ({ piece, hole }) => [
    piece.form,
    Math.round(hole.xMm / NEAR_MM),
    Math.round(hole.yMm / NEAR_MM),
  ],
  judge: ({ piece }) =>
    isBuilding(piece)
      ? {
          level: 'stop',
          found: 'not-scanned',
          answers: [
            { code: 'scanned-clear', inWriting: true },
            { code: 'scanned-marked', inWriting: true },
            { code: 'isolated', inWriting: true },
          ],
        }
      : null,
});
