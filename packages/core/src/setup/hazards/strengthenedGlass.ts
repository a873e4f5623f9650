import { STRENGTHENED_TREATMENTS } from '../../data/choices';
import { defineHazard } from './hazard';

/** Glass whose strength is a locked-in stress: drilling lets it go. No way round. */
export const strengthenedGlass = defineHazard({
  code: 'strengthened-glass',
  scope: 'piece',
  facts: ({ piece }) => [piece.glassTreatment],
  judge: ({ piece, material }) => {
    const found = STRENGTHENED_TREATMENTS.find((one) => one === piece.glassTreatment);
    return material.class === 'glass' && found ? { level: 'stop', found, answers: [] } : null;
  },
});
