import type { RunRecord } from './runRecord';

/** How a run came out, in one word: what the logbook filters by. */
export const RUN_OUTCOMES = [
  'under-way',
  'no-result',
  'fine',
  'usable',
  'spoiled',
  'cracked',
  'given-up',
] as const;
export type RunOutcome = (typeof RUN_OUTCOMES)[number];

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

/** A crack outweighs what else was said; a run given up stays so unless its hole was called fine or usable. */
export function outcomeOf({
  cracked,
  verdict,
  phase,
  over,
}: Pick<RunRecord, 'cracked' | 'verdict' | 'phase' | 'over'>): RunOutcome {
  if (cracked) return 'cracked';
  if (verdict) return verdict;
  if (phase === 'aborted') return 'given-up';
  return over ? 'no-result' : 'under-way';
}
