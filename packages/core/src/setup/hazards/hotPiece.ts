import { defineHazard } from './hazard';
import { COOLANTS, type CoolantId } from '../../data/coolants';

const runsDry = (id: CoolantId): boolean => COOLANTS[id].nowAndThen || COOLANTS[id].kind === 'dry';

/** A hot ring and cold water. */
export const hotPiece = defineHazard({
  code: 'hot-piece',
  scope: 'hole',
  facts: () => [],
  judge: ({ material, work }) =>
    (material.class === 'glass' || material.class === 'ceramic') && runsDry(work.coolantId)
      ? { level: 'note', found: 'hot', answers: [] }
      : null,
});
