import { defineHazard } from './hazard';

export const laminatedGlass = defineHazard({
  code: 'laminated-glass',
  scope: 'piece',
  facts: ({ piece, material }) => [material.id, piece.glassTreatment],
  judge: ({ piece, material }) =>
    material.class === 'glass' && piece.glassTreatment === 'laminated'
      ? { level: 'confirm', found: 'laminated', answers: [{ code: 'annealed-plies' }] }
      : null,
});
