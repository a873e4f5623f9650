import { defineHazard } from './hazard';

const LONG_RUN_MIN = 10;

/** Hearing, where it goes on. */
export const noise = defineHazard({
  code: 'noise',
  scope: 'hole',
  facts: () => [],
  judge: ({ work: { cuttingMinutes } }) =>
    cuttingMinutes >= LONG_RUN_MIN
      ? { level: 'note', found: 'long', minutes: cuttingMinutes, answers: [] }
      : null,
});
