import { defineHazard } from './hazard';
import type { CoolantId } from '../../data/coolants';

const RUNS_DRY: ReadonlySet<CoolantId> = new Set(['bottle', 'sponge', 'mist', 'puddle', 'none']);

/** A hot ring and cold water. */
export const hotPiece = defineHazard({
  code: 'hot-piece',
  scope: 'hole',
  facts: () => [],
  judge: ({ material, work }) =>
    (material.class === 'glass' || material.class === 'ceramic') && RUNS_DRY.has(work.coolantId)
      ? { level: 'note', found: 'hot', answers: [] }
      : null,
});
