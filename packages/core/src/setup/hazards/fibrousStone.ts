import { hasTrait } from '../../data/materials/traits';
import { defineHazard } from './hazard';

/** Some jade and its look-alikes are bundles of fine mineral fibres. */
export const fibrousStone = defineHazard({
  code: 'fibrous-stone',
  scope: 'piece',
  facts: ({ materials, work }) => [
    materials.some((one) => hasTrait(one, 'fibrous')),
    work.coolantKind === 'dry',
  ],
  judge: ({ materials, work }) => {
    if (!materials.some((one) => hasTrait(one, 'fibrous'))) return null;
    return work.coolantKind === 'dry'
      ? { level: 'stop', found: 'dry', answers: [] }
      : { level: 'confirm', found: 'wet', answers: [{ code: 'wet-to-the-end' }] };
  },
});
