import { defineHazard } from './hazard';
import { glassFacts } from './glassFacts';

/** Bottles, blown and fused glass: the tests for panes mean little here. */
export const hollowGlass = defineHazard({
  code: 'hollow-glass',
  scope: 'piece',
  facts: glassFacts,
  judge: ({ piece, material }) => {
    const isFlat = piece.form === 'sheet' || piece.form === 'slab';
    const isUnknown = (piece.glassTreatment ?? 'unknown') === 'unknown';
    if (material.class !== 'glass' || !isUnknown) return null;
    if (material.id === 'fused-glass')
      return {
        level: 'confirm',
        found: 'fused',
        answers: [{ code: 'annealing-known' }, { code: 'annealing-not-known' }],
      };
    if (isFlat) return null;
    if (material.id === 'container-glass')
      return { level: 'confirm', found: 'bottle', answers: [{ code: 'bottle-or-jar' }] };
    return {
      level: 'stop',
      found: 'tableware',
      helpedByKnowing: true,
      answers: [{ code: 'bottle-or-jar' }, { code: 'maker-not-toughened', inWriting: true }],
    };
  },
});
