import { defineHazard } from './hazard';
import { glassFacts } from './glassFacts';

/** Flat glass nobody has vouched for. */
export const unknownTreatment = defineHazard({
  code: 'unknown-treatment',
  scope: 'piece',
  facts: glassFacts,
  judge: ({ piece, material }) => {
    const isFlat = piece.form === 'sheet' || piece.form === 'slab';
    const isUnknown = (piece.glassTreatment ?? 'unknown') === 'unknown';
    if (material.class !== 'glass' || material.id === 'fused-glass' || !isFlat || !isUnknown)
      return null;
    return {
      level: 'stop',
      found: 'not-said',
      helpedByKnowing: true,
      answers: [
        { code: 'label-annealed' },
        { code: 'maker-annealed' },
        { code: 'polariser-clear' },
      ],
    };
  },
});
