import { defineHazard } from './hazard';

/** Always with glass. */
export const glassHandling = defineHazard({
  code: 'glass-handling',
  scope: 'piece',
  facts: () => [],
  judge: ({ materials }) =>
    materials.some((one) => one.class === 'glass')
      ? { level: 'note', found: 'gloves', answers: [] }
      : null,
});
