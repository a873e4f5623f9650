import type { GlassTreatment } from '../../data/choices';
import type { Hazard } from './gate';

const WHY: Partial<Record<GlassTreatment, string>> = {
  tempered: 'Tempered glass bursts into crumbs the moment the rim reaches its inner tension.',
  'heat-strengthened': 'Heat-strengthened glass runs to pieces when its skin is cut through.',
  'chemically-strengthened':
    'Chemically strengthened glass breaks when its thin skin is cut; it can look clear in a polariser test.',
  'toughened-tableware': 'Toughened tableware shatters violently when its skin is cut.',
  'glass-ceramic': 'Glass-ceramic of a cooking top is held in stress and shatters when drilled.',
};

/** Glass whose strength is a locked-in stress: drilling lets it go. No way round. */
export const strengthenedGlass: Hazard<'strengthened-glass'> = {
  code: 'strengthened-glass',
  title: 'Strengthened glass',
  scope: 'piece',
  facts: ({ piece }) => [piece.glassTreatment],
  judge: ({ piece, material }) => {
    const why = material.class === 'glass' ? WHY[piece.glassTreatment ?? 'unknown'] : undefined;
    if (why === undefined) return null;
    return {
      level: 'stop',
      message: `${why} It cannot be drilled. Order the pane with the hole in it before it is treated, or use annealed glass.`,
      answers: [],
    };
  },
};
