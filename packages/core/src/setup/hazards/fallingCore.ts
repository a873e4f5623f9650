import { defineHazard } from './hazard';

/** A lighter core is not worth weighing, kg. */
const WORTH_SAYING_KG = 0.5;

/** A plug or core that drops on somebody, or on the pane below. */
export const fallingCore = defineHazard({
  code: 'falling-core',
  scope: 'hole',
  facts: ({ piece, hole }) => [piece.form, piece.assembled, hole.depth.kind, hole.diameterMm],
  judge: ({ piece, hole, work }) => {
    if (hole.depth.kind !== 'through' || work.solidBit) return null;
    const massKg = work.coreMassKg >= WORTH_SAYING_KG ? work.coreMassKg : null;
    if (piece.form === 'floor')
      return {
        level: 'confirm',
        found: 'through-floor',
        massKg,
        answers: [{ code: 'below-barred' }],
      };
    if (piece.form !== 'wall' && piece.assembled !== true) return null;
    return {
      level: 'confirm',
      found: piece.form === 'wall' ? 'through-wall' : 'into-assembly',
      massKg,
      answers: [{ code: 'caught' }],
    };
  },
});
