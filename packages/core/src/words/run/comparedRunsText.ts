import type { ComparedRuns } from '../../run/compareRuns';
import { formatDecimals } from '../units/roundNumber';

/** Nearer to one than this a ratio is as planned. */
const AS_PLANNED = 0.05;

const OF = {
  time: {
    what: 'finished run',
    did: 'took',
    asPlanned: 'as long as planned',
    past: 'longer than 9 in 10 should',
  },
  chip: {
    what: 'measured chip',
    did: 'came out',
    asPlanned: 'as wide as planned',
    past: 'wider than 9 in 10 should',
  },
} as const satisfies Record<ComparedRuns['of'], Record<string, string>>;

/** How runs came out beside their plans, in a sentence. */
export function comparedRunsText({ of, points, middleRatio, past90 }: ComparedRuns): string {
  const { what, did, asPlanned, past } = OF[of];
  if (middleRatio === null) return `No ${what} yet.`;
  const count = points.length === 1 ? `One ${what}` : `${points.length} ${what}s`;
  const beside =
    Math.abs(middleRatio - 1) < AS_PLANNED
      ? asPlanned
      : `${formatDecimals(middleRatio, 1)} times ${asPlanned}`;
  const median = points.length > 1 ? ' (median)' : '';
  return `${count} ${did} ${beside}${median}; ${past90 === 0 ? 'none' : past90} ${did} ${past}.`;
}
