import { formatRpm } from '../../words/units/formatQuantity';
import type { Hazard } from './gate';
import type { Judged } from '../../documents/gate';

/** A bit turned past its own limit may fly apart. */
export const overspeed: Hazard<'overspeed'> = {
  code: 'overspeed',
  title: 'Faster than the bit stands',
  scope: 'hole',
  facts: ({ work }) => [Math.round(work.rpm), work.bitMaxRpm],
  judge: ({ work }): Judged | null =>
    work.bitMaxRpm !== undefined && work.rpm > work.bitMaxRpm * (1 + 1e-9)
      ? {
          level: 'stop',
          message: `This machine turns no slower than ${formatRpm(work.rpm)}; the bit is made for ${formatRpm(work.bitMaxRpm)} at most and may fly apart. Use a slower machine or another bit.`,
          answers: [],
        }
      : null,
};
