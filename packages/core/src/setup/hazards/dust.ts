import { hasTrait } from '../../data/materials/traits';
import { defineHazard } from './hazard';
import { COOLANTS, type CoolantId } from '../../data/coolants';

/** Water that leaves the groove dry between times. */
const nowAndThen = (id: CoolantId): boolean => COOLANTS[id].nowAndThen;

/** Dust that harms lungs, where anything runs dry or is wetted only now and then. */
export const dust = defineHazard({
  code: 'dust',
  scope: 'hole',
  facts: ({ work, materials }) => [work.coolantId, materials.map((one) => one.dust).join()],
  judge: ({ work, materials }) => {
    const dry = work.coolantKind === 'dry';
    if (!dry && !nowAndThen(work.coolantId)) return null;
    if (dry && materials.some((one) => hasTrait(one, 'all-silica')))
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
