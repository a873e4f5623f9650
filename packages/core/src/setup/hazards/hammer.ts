import { defineHazard } from './hazard';
import type { MachineKindId } from '../../data/machines/machineKinds';

const MAY_HAMMER: ReadonlySet<MachineKindId> = new Set([
  'rotary-hammer',
  'cordless-drill',
  'corded-drill',
]);

/** A diamond rim is broken by one blow, and so is the piece. */
export const hammer = defineHazard({
  code: 'hammer',
  scope: 'hole',
  facts: ({ work }) => [work.machineKind],
  judge: ({ work }) =>
    MAY_HAMMER.has(work.machineKind)
      ? {
          level: 'stop',
          found: 'hammer',
          answers:
            work.machineKind === 'rotary-hammer'
              ? [{ code: 'rotation-only' }]
              : [{ code: 'rotation-only' }, { code: 'no-hammer' }],
        }
      : null,
});
