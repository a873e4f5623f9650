import { isFlat } from '../../data/pieceForms';
import { hasTrait } from '../../data/materials/traits';
import { defineHazard } from './hazard';
import { glassFacts } from './glassFacts';

/** Bottles, blown and fused glass: the tests for panes mean little here. */
export const hollowGlass = defineHazard({
  code: 'hollow-glass',
  scope: 'piece',
  facts: glassFacts,
  judge: ({ piece, material }) => {
    const flat = isFlat(piece);
    const isUnknown = (piece.glassTreatment ?? 'unknown') === 'unknown';
    if (material.class !== 'glass' || !isUnknown) return null;
    if (hasTrait(material, 'studio-fired'))
      return {
        level: 'confirm',
        found: 'fused',
        answers: [{ code: 'annealing-known' }, { code: 'annealing-not-known' }],
      };
    if (flat) return null;
    if (hasTrait(material, 'bottle'))
      return { level: 'confirm', found: 'bottle', answers: [{ code: 'bottle-or-jar' }] };
    return {
      level: 'stop',
      found: 'tableware',
      helpedByKnowing: true,
      answers: [{ code: 'bottle-or-jar' }, { code: 'maker-not-toughened', inWriting: true }],
    };
  },
});
