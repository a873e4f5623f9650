import { useEffect, useState } from 'react';
import type { AskedHole } from '../../workers/askedHole';
import type { OddsRowOutcome } from '../../workers/oddsRows';
import { usePlanner } from '../../workers/PlannerProvider';

/** Coarse first, then finer: cells across. */
const PASSES = [8, 16, 28] as const;

/** The map as far as it has come; rows from the lowest up. */
export interface OddsSoFar {
  readonly columns: number;
  readonly rows: number;
  /** NaN where the hole cannot be, or is not worked out yet. */
  readonly odds: readonly number[];
  readonly stressMpa: readonly number[];
}

export interface OddsMapState {
  /** The last whole pass; null before the first. */
  readonly map: OddsSoFar | null;
  /** 0 to 1 over all passes. */
  readonly progress: number;
}

/**
 * The odds all over the piece, asked row by row so that a drag is never kept waiting; what is under
 * way is dropped as soon as anything changes.
 * @param asked null asks nothing
 */
export function useOddsMap(asked: AskedHole | null): OddsMapState {
  const planner = usePlanner();
  const [state, setState] = useState<OddsMapState>({ map: null, progress: 0 });
  useEffect(() => {
    if (!asked) return undefined;
    let cancel = (): void => undefined;
    const fail = (): void => {
      setState({ map: null, progress: 1 });
    };
    const ask = (pass: number, row: number, odds: number[], stressMpa: number[]): void => {
      const columns = PASSES[pass];
      if (columns === undefined) {
        setState((last) => ({ ...last, progress: 1 }));
        return;
      }
      const drawn = (outcome: OddsRowOutcome): void => {
        if (outcome.kind !== 'row') {
          fail();
          return;
        }
        const { rows } = outcome;
        odds.push(...outcome.odds);
        stressMpa.push(...outcome.stressMpa);
        const progress = (pass + (row + 1) / rows) / PASSES.length;
        if (row + 1 < rows) {
          setState((last) => ({ ...last, progress }));
          ask(pass, row + 1, odds, stressMpa);
        } else {
          setState({ map: { columns, rows, odds, stressMpa }, progress });
          ask(pass + 1, 0, [], []);
        }
      };
      cancel = planner.ask('oddsRow', { ...asked, columns, row }, drawn, fail);
    };
    ask(0, 0, [], []);
    return () => {
      cancel();
    };
  }, [planner, asked]);
  return state;
}
