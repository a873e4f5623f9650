import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';

/** Wet masonry. */
export const slurry: Hazard<'slurry'> = {
  code: 'slurry',
  title: 'Slurry',
  scope: 'hole',
  facts: () => [],
  judge: ({ materials, work }): Judged | null =>
    work.coolantKind !== 'dry' && materials.some((one) => one.class === 'masonry')
      ? {
          level: 'note',
          message:
            'Masonry slurry is alkaline on skin, slippery and stains. Not down the drain: let it settle, bag the solids.',
          answers: [],
        }
      : null,
};
