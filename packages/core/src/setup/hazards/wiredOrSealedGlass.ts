import type { Hazard } from './gate';

/** Wired glass and sealed double units: no way round. */
export const wiredOrSealedGlass: Hazard<'wired-or-sealed-glass'> = {
  code: 'wired-or-sealed-glass',
  title: 'Wired glass or sealed unit',
  scope: 'piece',
  facts: ({ piece }) => [piece.glassTreatment],
  judge: ({ piece, material }) => {
    if (material.class !== 'glass') return null;
    const wired = piece.glassTreatment === 'wired';
    if (!wired && piece.glassTreatment !== 'sealed-unit') return null;
    return {
      level: 'stop',
      message: wired
        ? 'Wired glass cracks from the mesh as the rim cuts it. It cannot be drilled: have a new pane made with the hole.'
        : 'A sealed double unit loses its seal and its gas when either pane is pierced. Have a unit made with the opening in it.',
      answers: [],
    };
  },
};
