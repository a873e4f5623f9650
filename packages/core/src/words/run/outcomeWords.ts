import { outcomeOf, type RunOutcome } from '../../run/runOutcome';

export const OUTCOME_WORDS = {
  'under-way': 'Under way',
  'no-result': 'No result yet',
  fine: 'Fine',
  usable: 'Usable',
  spoiled: 'Spoiled',
  cracked: 'Cracked',
  'given-up': 'Given up',
} as const satisfies Record<RunOutcome, string>;

/** What a list says of a hole’s latest run. */
export function drilledWords(run: Parameters<typeof outcomeOf>[0]): string {
  const outcome = outcomeOf(run);
  if (outcome === 'under-way') return 'Run under way';
  return outcome === 'no-result'
    ? 'Drilled, no result yet'
    : `Drilled: ${OUTCOME_WORDS[outcome].toLowerCase()}`;
}
