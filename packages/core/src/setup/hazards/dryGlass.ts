import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import { isTile } from '../../data/materials/materials';
import { defineHazard } from './hazard';

/** Dry is for bits made for it; glass and glazed ware crack from the heat of a diamond rim. */
export const dryGlass = defineHazard({
  code: 'dry-glass',
  scope: 'hole',
  facts: ({ work }) => [work.coolantId, work.bitFamily],
  judge: ({ work, material, piece }) => {
    if (work.coolantKind !== 'dry') return null;
    const tile = isTile(material);
    if (material.class !== 'glass' && material.class !== 'ceramic') return null;
    if (tile && piece.form !== 'vessel' && BIT_FAMILIES[work.bitFamily].dryInTile) return null;
    return {
      level: 'stop',
      found: tile ? 'dry-tile' : 'dry',
      material: material.name,
      answers: [],
    };
  },
});
