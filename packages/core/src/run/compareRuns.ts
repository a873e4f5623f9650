import type { RunRecord } from './runRecord';

/** One run’s place on the chart; in minutes or millimetres. */
export interface ComparedPoint {
  readonly run: number;
  readonly actual: number;
  readonly planned: number;
  readonly planned90: number;
}

export interface ComparedRuns {
  readonly of: 'time' | 'chip';
  readonly unit: 'min' | 'mm';
  /** Oldest first. */
  readonly points: readonly ComparedPoint[];
  /** Actual over planned, the middle one, which one odd run does not move; null where there is none. */
  readonly middleRatio: number | null;
  /** How many went past their ninetieth. */
  readonly past90: number;
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
  return { of: 'time', unit: 'min', points, ...beside(points) };
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
  return { of: 'chip', unit: 'mm', points, ...beside(points) };
}

function beside(points: readonly ComparedPoint[]): Pick<ComparedRuns, 'middleRatio' | 'past90'> {
  const ratios = points
    .map(({ actual, planned }) => actual / Math.max(planned, 1e-9))
    .sort((a, b) => a - b);
  const half = Math.floor(ratios.length / 2);
  const middle =
    ratios.length % 2 === 1
      ? (ratios[half] ?? null)
      : ratios.length === 0
        ? null
        : ((ratios[half - 1] ?? 1) + (ratios[half] ?? 1)) / 2;
  const past90 = points.filter(({ actual, planned90 }) => actual > planned90).length;
  return { middleRatio: middle, past90 };
}
