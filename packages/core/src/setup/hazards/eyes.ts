import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';

/** Once a job, whatever the work. */
export const eyes: Hazard<'eyes'> = {
  code: 'eyes',
  title: 'Eyes',
  scope: 'job',
  facts: () => [],
  judge: (): Judged => ({
    level: 'confirm',
    message: 'Chips and spray fly without warning. Glasses or goggles on before the motor.',
    answers: [{ code: 'eyes-covered', label: 'Eye protection is on' }],
  }),
};
