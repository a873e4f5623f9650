import { isFlat } from '../../data/pieceForms';
import { hasTrait } from '../../data/materials/traits';
import { defineHazard } from './hazard';
import { glassFacts } from './glassFacts';

/** Flat glass nobody has vouched for. */
export const unknownTreatment = defineHazard({
  code: 'unknown-treatment',
  scope: 'piece',
  facts: glassFacts,
  judge: ({ piece, material }) => {
    const flat = isFlat(piece);
    const isUnknown = (piece.glassTreatment ?? 'unknown') === 'unknown';
    if (material.class !== 'glass' || hasTrait(material, 'studio-fired') || !flat || !isUnknown)
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
