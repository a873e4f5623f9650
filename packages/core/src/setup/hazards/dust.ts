import { defineHazard } from './hazard';
import type { CoolantId } from '../../data/coolants';

/** Water that leaves the groove dry between times. */
const NOW_AND_THEN: ReadonlySet<CoolantId> = new Set(['bottle', 'sponge', 'mist', 'puddle']);

/** Dust that harms lungs, where anything runs dry or is wetted only now and then. */
export const dust = defineHazard({
  code: 'dust',
  scope: 'hole',
  facts: ({ work, materials }) => [work.coolantId, materials.map((one) => one.dust).join()],
  judge: ({ work, materials }) => {
    const dry = work.coolantKind === 'dry';
    if (!dry && !NOW_AND_THEN.has(work.coolantId)) return null;
    if (dry && materials.some((one) => one.id === 'engineered-quartz'))
      return { level: 'stop', found: 'quartz-dry', answers: [] };
    const silica = materials.find((one) => one.dust === 'silica');
    const harmful = silica ?? materials.find((one) => one.dust === 'shell');
    return harmful
      ? {
          level: 'confirm',
          found: silica ? 'silica' : 'harmful',
          material: harmful.name,
          answers: [{ code: 'mask-and-extraction' }],
        }
      : null;
  },
});
