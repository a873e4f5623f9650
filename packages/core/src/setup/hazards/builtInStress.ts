import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';

/** A piece that is damaged already: stress finds the old crack first. */
export const builtInStress: Hazard<'built-in-stress'> = {
  code: 'built-in-stress',
  title: 'Cracked, chipped or mended',
  scope: 'piece',
  facts: ({ piece }) => [piece.damage],
  judge: ({ piece }): Judged | null => {
    if (piece.damage === undefined || piece.damage === 'none') return null;
    if (piece.damage === 'crack') {
      return {
        level: 'stop',
        message:
          'A crack runs on as soon as the rim shakes it. Nothing is drilled into it or beside it.',
        answers: [
          {
            code: 'crack-away',
            label: 'It ends far away: five hole diameters or more',
            asks: 'Where it runs, and how far off',
          },
        ],
      };
    }
    return {
      level: 'confirm',
      message:
        piece.damage === 'mended'
          ? 'A mended piece lets go at the join. Expect it to break more often; keep the join out of the water for long.'
          : 'A chip at the edge is where the next crack starts. Ease it with wet abrasive first, and expect more breakage.',
      answers: [{ code: 'seen-and-accepted', label: 'Looked at, and I accept the odds' }],
    };
  },
};
