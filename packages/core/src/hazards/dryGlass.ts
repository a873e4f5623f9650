import type { Hazard, Judged } from './gate';

/** Dry is for masonry bits made for it; glass and glazed ware crack from the heat. */
export const dryGlass: Hazard<'dry-glass'> = {
  code: 'dry-glass',
  title: 'Glass or glaze run dry',
  scope: 'hole',
  facts: ({ work }) => [work.coolantId],
  judge: ({ work, material }): Judged | null =>
    work.coolantKind === 'dry' && (material.class === 'glass' || material.class === 'ceramic')
      ? {
          level: 'stop',
          message: `${material.name} is not drilled dry: the ring heats and cracks it, and the bit burns. Choose any means of water.`,
          answers: [],
        }
      : null,
};
