import { defineHazard } from './hazard';

/** A bit turned past its own limit may fly apart. */
export const overspeed = defineHazard({
  code: 'overspeed',
  scope: 'hole',
  facts: ({ work }) => [Math.round(work.rpm), work.bitMaxRpm],
  judge: ({ work: { rpm, bitMaxRpm } }) =>
    bitMaxRpm !== undefined && rpm > bitMaxRpm * (1 + 1e-9)
      ? { level: 'stop', found: 'over-its-limit', rpm, bitMaxRpm, answers: [] }
      : null,
});
