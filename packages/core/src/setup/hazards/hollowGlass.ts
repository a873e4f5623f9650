import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';
import { glassFacts } from './glassFacts';

const BOTTLE = { code: 'bottle-or-jar', label: 'It is a bottle or jar' } as const;

/** Bottles, blown and fused glass: the tests for panes mean little here. */
export const hollowGlass: Hazard<'hollow-glass'> = {
  code: 'hollow-glass',
  title: 'Bottle, blown or fused glass',
  scope: 'piece',
  facts: glassFacts,
  judge: ({ piece, material }): Judged | null => {
    const isFlat = piece.form === 'sheet' || piece.form === 'slab';
    const isUnknown = (piece.glassTreatment ?? 'unknown') === 'unknown';
    if (material.class !== 'glass' || !isUnknown) return null;
    if (material.id === 'fused-glass') {
      return {
        level: 'confirm',
        message:
          'Fused or blown work that was not slowly annealed carries stress of its own and breaks more often.',
        answers: [
          { code: 'annealing-known', label: 'It was annealed in a kiln' },
          { code: 'annealing-not-known', label: 'Not known: I accept the higher odds' },
        ],
      };
    }
    if (isFlat) return null;
    if (material.id === 'container-glass') {
      return {
        level: 'confirm',
        message: 'A bottle or jar is presumed annealed. Tumblers and tableware may be toughened.',
        answers: [BOTTLE],
      };
    }
    return {
      level: 'stop',
      helpedByKnowing: true,
      message:
        'Tableware and oven ware may be toughened all over: it then bursts when its skin is cut. No home test tells for certain.',
      answers: [
        BOTTLE,
        {
          code: 'maker-not-toughened',
          label: 'Its maker says it is not toughened',
          asks: 'Who says so, and where',
        },
      ],
    };
  },
};
