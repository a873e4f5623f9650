import type { Hazard } from './gate';

export const laminatedGlass: Hazard<'laminated-glass'> = {
  code: 'laminated-glass',
  title: 'Laminated glass',
  scope: 'piece',
  facts: ({ piece, material }) => [material.id, piece.glassTreatment],
  judge: ({ piece, material }) =>
    material.class === 'glass' && piece.glassTreatment === 'laminated'
      ? {
          level: 'confirm',
          message:
            'Only laminated glass of annealed plies can be drilled: each ply from its own side, water only, no solvent. If the plies may be strengthened, stop.',
          answers: [{ code: 'annealed-plies', label: 'Its plies are annealed' }],
        }
      : null,
};
