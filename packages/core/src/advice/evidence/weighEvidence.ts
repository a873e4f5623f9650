import { contextOf } from '../../plan/contextOf';
import { planNumbers } from '../../plan/planNumbers';
import { assessHole } from '../risk/assessHole';
import { rememberingBend, type Bend } from '../../physics/plate/bender';
import type { EvidenceRow } from './evidenceRow';
import { FIGURES, PEOPLES_FIGURES, type Spread } from './figures';

/** A row with what the model says beside what happens. */
export interface WeighedRow {
  readonly id: string;
  readonly job: string;
  readonly figure: EvidenceRow['figure'];
  readonly unit: string;
  /** null where the model says nothing. */
  readonly model: Spread | number | null;
  readonly band: readonly [number, number];
  readonly source: string;
  /** The middle lies in the band, and the spread is not much narrower than it. */
  readonly ok: boolean;
  /** Why it misses, where that is known. */
  readonly misses: string | null;
}

/** A spread may be narrower than the band by this much: ln(p90/p10) over ln(high/low). */
export const MIN_SPREAD_SHARE = 0.6;
/** Enough for odds and percentiles to a few per cent. */
const DRAWS = 4000;

/** Sets the model against one row. */
export function weighRow(row: EvidenceRow, bend: Bend = rememberingBend()): WeighedRow {
  const { id, job, figure, band, source, misses = null } = row;
  const { unit, model } = modelOf(row, bend);
  return { id, job, figure, unit, model, band, source, misses, ok: lands(model, band) };
}

function modelOf(row: EvidenceRow, bend: Bend): Pick<WeighedRow, 'unit' | 'model'> {
  if (!('drillCase' in row)) {
    const { unit, of } = PEOPLES_FIGURES[row.figure];
    return { unit, model: of() };
  }
  const { unit, of } = FIGURES[row.figure];
  const worked = contextOf(row.drillCase, bend);
  const assessed = assessHole(row.drillCase, { draws: DRAWS, bend });
  const model =
    worked.kind === 'faulty' || assessed.kind === 'faulty'
      ? null
      : of({ plan: planNumbers(worked.context), risk: assessed.risk });
  return { unit, model };
}

function lands(model: WeighedRow['model'], [low, high]: WeighedRow['band']): boolean {
  if (model === null) return false;
  const middle = typeof model === 'number' ? model : model.p50;
  if (middle < low || middle > high) return false;
  // A band that begins at nothing has no width in logarithms.
  if (typeof model === 'number' || low === 0 || model.p10 <= 0) return true;
  return Math.log(model.p90 / model.p10) >= MIN_SPREAD_SHARE * Math.log(high / low);
}

/** The whole bench of facts; takes some seconds. */
export function weighEvidence(rows: readonly EvidenceRow[]): readonly WeighedRow[] {
  const bend = rememberingBend();
  return rows.map((row) => weighRow(row, bend));
}

/** Rows that miss though nothing says why: the model is wrong, or has changed. */
export const unexplained = (rows: readonly WeighedRow[]): readonly WeighedRow[] =>
  rows.filter(({ ok, misses }) => !ok && misses === null);
