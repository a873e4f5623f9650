import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';

const LONG_RUN_MIN = 10;

/** Hearing, where it goes on. */
export const noise: Hazard<'noise'> = {
  code: 'noise',
  title: 'A long run',
  scope: 'hole',
  facts: () => [],
  judge: ({ work }): Judged | null =>
    work.cuttingMinutes >= LONG_RUN_MIN
      ? {
          level: 'note',
          message: `About ${Math.round(work.cuttingMinutes)} minutes of cutting: hearing protection, and a rest for the hands.`,
          answers: [],
        }
      : null,
};
