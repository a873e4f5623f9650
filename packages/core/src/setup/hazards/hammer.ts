import { defineHazard } from './hazard';
import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import { MACHINE_KINDS } from '../../data/machines/machineKinds';

/** A diamond rim is broken by one blow, and so is the piece; a masonry bit is made for it. */
export const hammer = defineHazard({
  code: 'hammer',
  scope: 'hole',
  facts: ({ work }) => [work.machineKind],
  judge: ({ work }) =>
    MACHINE_KINDS[work.machineKind].hammer !== 'none' && !BIT_FAMILIES[work.bitFamily].takesHammer
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
