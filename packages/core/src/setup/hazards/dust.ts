import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';
import type { CoolantId } from '../../data/coolants';

/** Water that leaves the groove dry between times. */
const NOW_AND_THEN: ReadonlySet<CoolantId> = new Set(['bottle', 'sponge', 'mist', 'puddle']);

/** Dust that harms lungs, where anything runs dry or is wetted only now and then. */
export const dust: Hazard<'dust'> = {
  code: 'dust',
  title: 'Dust',
  scope: 'hole',
  facts: ({ work, materials }) => [work.coolantId, materials.map((one) => one.dust).join()],
  judge: ({ work, materials }): Judged | null => {
    const dry = work.coolantKind === 'dry';
    if (!dry && !NOW_AND_THEN.has(work.coolantId)) return null;
    if (dry && materials.some((one) => one.id === 'engineered-quartz')) {
      return {
        level: 'stop',
        message:
          'Engineered quartz is nearly all silica: its dry dust scars lungs quickly. It is not drilled dry.',
        answers: [],
      };
    }
    const silica = materials.find((one) => one.dust === 'silica');
    const harmful = silica ?? materials.find((one) => one.dust === 'shell');
    if (!harmful) return null;
    return {
      level: 'confirm',
      message: `${harmful.name} ${silica ? 'holds silica' : 'dust harms lungs'}. Respirator for fine dust (class P3 or N100), extraction where it runs dry, wet clean-up, children and others away.`,
      answers: [{ code: 'mask-and-extraction', label: 'Respirator on, extraction or water ready' }],
    };
  },
};
