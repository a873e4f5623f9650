import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';

/** Always with glass. */
export const glassHandling: Hazard<'glass-handling'> = {
  code: 'glass-handling',
  title: 'Handling glass',
  scope: 'piece',
  facts: () => [],
  judge: ({ materials }): Judged | null =>
    materials.some((one) => one.class === 'glass')
      ? {
          level: 'note',
          message: 'Cut-resistant gloves to carry it; none near the spinning bit.',
          answers: [],
        }
      : null,
};
