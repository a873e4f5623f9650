import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';

/** Some jade and its look-alikes are bundles of fine mineral fibres. */
export const fibrousStone: Hazard<'fibrous-stone'> = {
  code: 'fibrous-stone',
  title: 'Fibrous stone',
  scope: 'piece',
  facts: ({ materials, work }) => [
    materials.some((one) => one.id === 'jade'),
    work.coolantKind === 'dry',
  ],
  judge: ({ materials, work }): Judged | null => {
    if (!materials.some((one) => one.id === 'jade')) return null;
    return work.coolantKind === 'dry'
      ? {
          level: 'stop',
          message: 'Jade and serpentine can hold mineral fibres: wet only.',
          answers: [],
        }
      : {
          level: 'confirm',
          message:
            'Jade and the serpentine sold as it can hold mineral fibres. Keep it wet to the end, rinse and wipe the slurry up wet.',
          answers: [{ code: 'wet-to-the-end', label: 'Kept wet, cleaned up wet' }],
        };
  },
};
