import { faultyInWords } from '@nucleon/core/words/faults';
import type { Fault } from '@nucleon/core/documents/fault';
import { contextOf } from '@nucleon/core/plan/contextOf';
import { oddsRow, oddsSurface, type SurfaceOutcome } from '@nucleon/core/advice/risk/oddsMap';
import type { Bend } from '@nucleon/core/physics/plate/bender';
import type { AskedHole } from './askedHole';

/** One row of the map of odds, cell by cell from the left; NaN where the hole cannot be. */
export type OddsRowOutcome =
  | {
      readonly kind: 'row';
      readonly rows: number;
      readonly odds: readonly number[];
      readonly stressMpa: readonly number[];
    }
  | { readonly kind: 'none' }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

export interface AskedRow extends AskedHole {
  readonly columns: number;
  readonly row: number;
}

/** Answers row after row, keeping the piece it was last asked about ready. */
export function oddsRows(bend: Bend): (asked: AskedRow) => OddsRowOutcome {
  let last: { readonly key: string; readonly outcome: SurfaceOutcome } | null = null;
  return ({ drillCase, columns, row }) => {
    const worked = contextOf(drillCase, bend);
    if (worked.kind === 'faulty') return faultyInWords(worked);
    const key = JSON.stringify(drillCase);
    if (last?.key !== key) last = { key, outcome: oddsSurface(worked.context, bend) };
    const { outcome } = last;
    if (outcome.kind === 'none') return { kind: 'none' };
    const { rows, odds, stressMpa } = oddsRow(outcome.surface, columns, row);
    return { kind: 'row', rows, odds: Array.from(odds), stressMpa: Array.from(stressMpa) };
  };
}
