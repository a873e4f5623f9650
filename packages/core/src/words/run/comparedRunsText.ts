import type { ComparedRuns } from '../../run/compareRuns';
import { formatDecimals } from '../units/roundNumber';

/** Nearer to one than this a ratio is as planned. */
const AS_PLANNED = 0.05;

const OF = {
  time: {
    what: 'finished run',
    did: 'took',
    asPlanned: 'as long as planned',
    past: 'longer than nine in ten should',
  },
  chip: {
    what: 'run with its chip measured',
    did: 'chipped',
    asPlanned: 'as wide as planned',
    past: 'wider than nine in ten should',
  },
} as const satisfies Record<ComparedRuns['of'], Record<string, string>>;

/** How runs came out beside their plans, in a sentence. */
export function comparedRunsText({ of, points, middleRatio, past90 }: ComparedRuns): string {
  const { what, did, asPlanned, past } = OF[of];
  if (middleRatio === null) return `No ${what} yet.`;
  const count = points.length === 1 ? `One ${what}` : `${points.length} such runs`;
  const beside =
    Math.abs(middleRatio - 1) < AS_PLANNED
      ? asPlanned
      : `${formatDecimals(middleRatio, 1)} times ${asPlanned}`;
  return `${count} ${did} ${beside}, taking the middle one; ${past90 === 0 ? 'none' : past90} went ${past}.`;
}
