import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';
import { formatSignificant } from '../../words/units/roundNumber';

/** A plug or core that drops on somebody, or on the pane below. */
export const fallingCore: Hazard<'falling-core'> = {
  code: 'falling-core',
  title: 'Where the core falls',
  scope: 'hole',
  facts: ({ piece, hole }) => [piece.form, piece.assembled, hole.depth.kind, hole.diameterMm],
  judge: ({ piece, hole, work }): Judged | null => {
    if (hole.depth.kind !== 'through' || work.solidBit) return null;
    const heavy = work.coreMassKg >= 0.5;
    const mass = heavy ? ` of about ${formatSignificant(work.coreMassKg, 2)} kg` : '';
    if (piece.form === 'floor') {
      return {
        level: 'confirm',
        message: `The core${mass} drops into the room below: catch it, tape it, bar the way, a second person there.`,
        answers: [{ code: 'below-barred', label: 'Catch in place, nobody below' }],
      };
    }
    if (piece.form !== 'wall' && piece.assembled !== true) return null;
    return {
      level: 'confirm',
      message:
        piece.form === 'wall'
          ? `The core${mass} can shoot out of the far face: look behind, bar the way, support the last of it.`
          : 'The plug drops inside and can break what is below: tape it, or hold something soft under it.',
      answers: [{ code: 'caught', label: 'It will be caught' }],
    };
  },
};
