import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';
import type { CoolantId } from '../../data/coolants';

const RUNS_DRY: ReadonlySet<CoolantId> = new Set(['bottle', 'sponge', 'mist', 'puddle', 'none']);

/** A hot ring and cold water. */
export const hotPiece: Hazard<'hot-piece'> = {
  code: 'hot-piece',
  title: 'After a dry spell',
  scope: 'hole',
  facts: () => [],
  judge: ({ material, work }): Judged | null =>
    (material.class === 'glass' || material.class === 'ceramic') && RUNS_DRY.has(work.coolantId)
      ? {
          level: 'note',
          message:
            'If the groove has run dry and hot, stop and let it cool by itself: cold water on it cracks the piece.',
          answers: [],
        }
      : null,
};
