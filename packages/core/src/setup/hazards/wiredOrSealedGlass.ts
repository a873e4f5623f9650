import { defineHazard } from './hazard';

/** Wired glass and sealed double units: no way round. */
export const wiredOrSealedGlass = defineHazard({
  code: 'wired-or-sealed-glass',
  scope: 'piece',
  facts: ({ piece }) => [piece.glassTreatment],
  judge: ({ piece: { glassTreatment: found }, material }) =>
    material.class === 'glass' && (found === 'wired' || found === 'sealed-unit')
      ? { level: 'stop', found, answers: [] }
      : null,
});
