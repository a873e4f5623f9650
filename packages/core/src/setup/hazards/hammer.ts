import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';
import type { MachineKindId } from '../../data/machines/machineKinds';

const MAY_HAMMER: ReadonlySet<MachineKindId> = new Set([
  'rotary-hammer',
  'cordless-drill',
  'corded-drill',
]);

/** A diamond rim is broken by one blow, and so is the piece. */
export const hammer: Hazard<'hammer'> = {
  code: 'hammer',
  title: 'Is the hammer off?',
  scope: 'hole',
  facts: ({ work }) => [work.machineKind],
  judge: ({ work }): Judged | null =>
    MAY_HAMMER.has(work.machineKind)
      ? {
          level: 'stop',
          message:
            'Rotation only: one blow of the hammer breaks the rim and the piece. Look again after the hammer was used to break out a core.',
          answers: [
            { code: 'rotation-only', label: 'Set to rotation only' },
            ...(work.machineKind === 'rotary-hammer'
              ? []
              : [{ code: 'no-hammer', label: 'This drill has no hammer' }]),
          ],
        }
      : null,
};
