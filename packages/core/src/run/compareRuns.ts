import { formatDecimals } from '../words/units/roundNumber';
import type { RunRecord } from './runRecord';

/** One run’s place on the chart; in minutes or millimetres. */
export interface ComparedPoint {
  readonly run: number;
  readonly actual: number;
  readonly planned: number;
  readonly planned90: number;
}

export interface ComparedRuns {
  readonly unit: string;
  /** Oldest first. */
  readonly points: readonly ComparedPoint[];
  readonly text: string;
}

type Compared = Pick<
  RunRecord,
  'openedAt' | 'phase' | 'tookS' | 'plannedS' | 'exitChipMm' | 'plannedChipMm' | 'plannedChipP90Mm'
>;

const oldestFirst = (runs: readonly Compared[]): readonly Compared[] =>
  [...runs].sort((a, b) => a.openedAt.localeCompare(b.openedAt));

/** How long finished runs took beside their plans, min. */
export function timeComparison(runs: readonly Compared[]): ComparedRuns {
  const MIN_S = 60;
  const points = oldestFirst(runs)
    .filter(({ phase, plannedS, tookS }) => phase === 'done' && plannedS !== null && tookS > 0)
    .map(({ plannedS, tookS }, index) => ({
      run: index + 1,
      actual: tookS / MIN_S,
      planned: (plannedS?.p50 ?? 0) / MIN_S,
      planned90: (plannedS?.p90 ?? 0) / MIN_S,
    }));
  return {
    unit: 'min',
    points,
    text: verdict(
      points,
      'finished run',
      'took',
      'times as long as planned',
      'longer than nine in ten should',
    ),
  };
}

/** How wide the exit chips came out beside their plans, mm. */
export function chipComparison(runs: readonly Compared[]): ComparedRuns {
  const points = oldestFirst(runs)
    .filter(({ exitChipMm, plannedChipMm }) => exitChipMm !== null && plannedChipMm !== null)
    .map(({ exitChipMm, plannedChipMm, plannedChipP90Mm }, index) => ({
      run: index + 1,
      actual: exitChipMm ?? 0,
      planned: plannedChipMm ?? 0,
      planned90: plannedChipP90Mm ?? 0,
    }));
  return {
    unit: 'mm',
    points,
    text: verdict(
      points,
      'run with its chip measured',
      'chipped',
      'times as wide as planned',
      'wider than nine in ten should',
    ),
  };
}

/** Nearer to one than this a ratio is as planned. */
const AS_PLANNED = 0.05;

/** The middle ratio, which one odd run does not move, and how many went past their ninetieth. */
function verdict(
  points: readonly ComparedPoint[],
  what: string,
  did: string,
  ratio: string,
  past: string,
): string {
  if (points.length === 0) return `No ${what} yet.`;
  const ratios = points
    .map(({ actual, planned }) => actual / Math.max(planned, 1e-9))
    .sort((a, b) => a - b);
  const middle =
    ratios.length % 2 === 1
      ? (ratios[(ratios.length - 1) / 2] ?? 1)
      : ((ratios[ratios.length / 2 - 1] ?? 1) + (ratios[ratios.length / 2] ?? 1)) / 2;
  const over = points.filter(({ actual, planned90 }) => actual > planned90).length;
  const count = points.length === 1 ? `One ${what}` : `${points.length} such runs`;
  const beside =
    Math.abs(middle - 1) < AS_PLANNED
      ? `as ${ratio.slice(ratio.indexOf('as ') + 3)}`
      : `${formatDecimals(middle, 1)} ${ratio}`;
  return `${count} ${did} ${beside}, taking the middle one; ${over === 0 ? 'none' : over} went ${past}.`;
}
