import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';

/** A tool on the mains beside water. */
export const mainsAndWater: Hazard<'mains-and-water'> = {
  code: 'mains-and-water',
  title: 'Mains power and water',
  scope: 'hole',
  facts: ({ work }) => [work.machineKind, work.power, work.coolantId],
  judge: ({ work }): Judged | null => {
    if (work.coolantKind === 'dry') return null;
    if (work.power === 'mains') {
      const bath = work.coolantKind === 'standing';
      return {
        level: 'confirm',
        message: `Test the residual-current device, leave a drip loop in the lead, keep the tool from under the water.${bath ? ' No hand in the bath: hold the piece by a fixture.' : ''} A battery or water-rated tool is better.`,
        answers: [{ code: 'rcd-tested', label: 'Tested, and the lead loops below the socket' }],
      };
    }
    return work.power === 'mains-protected'
      ? {
          level: 'confirm',
          message: 'Press the test button of the protective plug before each day’s work.',
          answers: [{ code: 'plug-tested', label: 'Plug tested today' }],
        }
      : null;
  },
};
