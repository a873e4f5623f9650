import { CAUSES, type Cause } from '../../data/signs/causes';
import { SIGNS } from '../../data/signs/signs';
import { input, type ReasonInput } from '../../documents/reason';
import type { RankedCause } from '../../run/diagnose';
import { formatDecimals } from '../units/roundNumber';

/** What may be the matter, as it is shown. */
export interface DescribedCause extends Omit<RankedCause, 'because'> {
  readonly title: string;
  readonly todo: string;
  readonly because: readonly ReasonInput[];
  readonly source: string;
}

export function causeInWords({ because, ...ranked }: RankedCause): DescribedCause {
  const { title, todo, source }: Cause = CAUSES[ranked.id];
  return {
    ...ranked,
    title,
    todo,
    source,
    because: [
      input('As the run stands', `${formatDecimals(100 * ranked.prior, 0)} % of what may be`),
      ...because.map(({ sign, shown }) =>
        input(SIGNS[sign].title, `shows ${formatDecimals(100 * shown, 0)} % of the time`),
      ),
    ],
  };
}
