import { defineHazard } from './hazard';

/** Once a job, whatever the work. */
export const eyes = defineHazard({
  code: 'eyes',
  scope: 'job',
  facts: () => [],
  judge: () => ({ level: 'confirm', found: 'chips-fly', answers: [{ code: 'eyes-covered' }] }),
});
