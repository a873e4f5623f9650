import type { Hazard } from './gate';
import { glassFacts } from './glassFacts';

/** Flat glass nobody has vouched for. */
export const unknownTreatment: Hazard<'unknown-treatment'> = {
  code: 'unknown-treatment',
  title: 'Is this glass tempered?',
  scope: 'piece',
  facts: glassFacts,
  judge: ({ piece, material }) => {
    const isFlat = piece.form === 'sheet' || piece.form === 'slab';
    const isUnknown = (piece.glassTreatment ?? 'unknown') === 'unknown';
    if (material.class !== 'glass' || material.id === 'fused-glass' || !isFlat || !isUnknown)
      return null;
    return {
      level: 'stop',
      helpedByKnowing: true,
      message:
        'Nobody has said how this pane was treated. Tempered glass bursts when drilled. Presume it is tempered if it came from a car, a shower, a door, an oven or a table top, or has a stamp in a corner.',
      answers: [
        { code: 'label-annealed', label: 'A label says annealed' },
        { code: 'maker-annealed', label: 'Its maker says annealed' },
        { code: 'polariser-clear', label: 'Polariser test clear, after it showed a tempered pane' },
      ],
    };
  },
};
