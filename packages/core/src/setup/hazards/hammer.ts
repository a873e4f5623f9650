import { defineHazard } from './hazard';
import { MACHINE_KINDS } from '../../data/machines/machineKinds';

/** A diamond rim is broken by one blow, and so is the piece. */
export const hammer = defineHazard({
  code: 'hammer',
  scope: 'hole',
  facts: ({ work }) => [work.machineKind],
  judge: ({ work }) =>
    MACHINE_KINDS[work.machineKind].hammer !== 'none'
      ? {
          level: 'stop',
          found: 'hammer',
          answers:
            MACHINE_KINDS[work.machineKind].hammer === 'always'
              ? [{ code: 'rotation-only' }]
              : [{ code: 'rotation-only' }, { code: 'no-hammer' }],
        }
      : null,
});
