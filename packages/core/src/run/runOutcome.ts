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
