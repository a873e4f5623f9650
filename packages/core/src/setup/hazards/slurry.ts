import { defineHazard } from './hazard';

/** Wet masonry. */
export const slurry = defineHazard({
  code: 'slurry',
  scope: 'hole',
  facts: () => [],
  judge: ({ materials, work }) =>
    work.coolantKind !== 'dry' && materials.some((one) => one.class === 'masonry')
      ? { level: 'note', found: 'alkaline', answers: [] }
      : null,
});
