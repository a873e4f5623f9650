import type { Hazard } from './gate';

/** Bottles, blown and fused glass: the tests for panes mean little here. */
export const hollowGlass: Hazard<'hollow-glass'> = {
  code: 'hollow-glass',
  title: 'Bottle, blown or fused glass',
  judge: ({ piece, material }) => {
    const isFlat = piece.form === 'sheet' || piece.form === 'slab';
    const isUnknown = (piece.glassTreatment ?? 'unknown') === 'unknown';
    if (material.class !== 'glass' || isFlat || !isUnknown) return null;
    return {
      level: 'confirm',
      message:
        'A bottle or jar is presumed annealed. Tableware that may be toughened must not be drilled. Fused or blown work that was not slowly annealed breaks more often.',
      answers: [
        { code: 'bottle-or-jar', label: 'It is a bottle or jar' },
        { code: 'annealing-known', label: 'It was annealed in a kiln' },
      ],
    };
  },
};
