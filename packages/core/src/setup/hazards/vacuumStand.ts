import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';

/** A stand held by suction falls when the pump stops. */
export const vacuumStand: Hazard<'vacuum-stand'> = {
  code: 'vacuum-stand',
  title: 'What holds the stand',
  scope: 'hole',
  facts: ({ work, piece }) => [work.machineKind, work.standFixing, piece.form],
  judge: ({ work, piece }): Judged | null => {
    if (work.standFixing !== 'vacuum') return null;
    return piece.form === 'wall'
      ? {
          level: 'stop',
          message:
            'On a wall or ceiling a stand is never held by vacuum alone: a power cut drops it. Anchor it.',
          answers: [],
        }
      : {
          level: 'confirm',
          message:
            'Vacuum holds only on a sound smooth face. Watch the gauge; think what happens when the power fails.',
          answers: [{ code: 'gauge-watched', label: 'Face sound, gauge in sight' }],
        };
  },
};
