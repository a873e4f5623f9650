import type { Kit } from '@nucleon/core/documents/kit';
import type { Setup } from '@nucleon/core/documents/setup';
import type { DrillCase } from '@nucleon/core/setup/drillCase';
import { PHASES } from '@nucleon/core/data/phases';
import { MATERIALS, type MaterialId } from '@nucleon/core/data/materials/materials';
import { makePlan } from '@nucleon/core/words/plan/makePlan';
import { replayRun } from '@nucleon/core/run/replay';
import type { RunAct, RunEvent } from '@nucleon/core/documents/runEvent';
import { outcomeOf } from '@nucleon/core/run/runOutcome';
import { OUTCOME_WORDS } from '@nucleon/core/words/run/outcomeWords';
import type { RunRecord } from '@nucleon/core/run/runRecord';
import type { RunResult } from '@nucleon/core/documents/runResult';
import type { Verdict } from '@nucleon/core/data/choices';
import { VERDICTS } from '@nucleon/core/data/choices';
import { formatDecimals } from '@nucleon/core/words/units/roundNumber';
import Papa from 'papaparse';

/** A longer list is not a notebook. */
export const MAX_RUN_ROWS = 2000;

const round = (value: number | null, digits: number): string =>
  value === null ? '' : String(Number(value.toFixed(digits)));

/** One line a run: what a spreadsheet wants to know, planned beside actual. */
export function writeRunsCsv(runs: readonly RunRecord[]): string {
  return Papa.unparse(
    runs.map((run) => ({
      run: run.runId,
      date: run.startedAt ?? run.openedAt,
      job: run.jobName,
      piece: run.pieceName,
      hole: run.holeName,
      material: run.material,
      thickness_mm: round(run.thicknessMm, 3),
      diameter_mm: round(run.diameterMm, 3),
      bit: run.bitName,
      machine: run.machineName,
      water: run.waterName,
      outcome: OUTCOME_WORDS[outcomeOf(run)],
      depth_mm: round(run.depthMm, 2),
      minutes: round(run.tookS / 60, 2),
      planned_minutes: round(run.plannedS === null ? null : run.plannedS.p50 / 60, 2),
      planned_minutes_9_in_10: round(run.plannedS === null ? null : run.plannedS.p90 / 60, 2),
      exit_chip_mm: round(run.exitChipMm, 2),
      planned_exit_chip_mm: round(run.plannedChipMm, 2),
      signs: run.signs.join(' '),
      to_look_at: String(run.flagCount),
    })),
    { escapeFormulae: true },
  );
}

export interface ReadRun {
  readonly runId: string;
  readonly events: readonly RunEvent[];
}

export interface RunRow {
  /** As a spreadsheet counts, the header being 1. */
  readonly line: number;
  readonly outcome:
    | { readonly kind: 'good'; readonly name: string; readonly run: ReadRun }
    | { readonly kind: 'refused'; readonly why: string };
}

export type RunsCsvOutcome =
  | { readonly kind: 'read'; readonly rows: readonly RunRow[] }
  | { readonly kind: 'refused'; readonly message: string };

/** What a row must say. */
const NEEDED = ['date', 'material', 'thickness_mm', 'diameter_mm', 'minutes', 'outcome'] as const;

/** A row of a notebook's list, read and found sound. */
export interface ListedHole {
  readonly row: Row;
  readonly atMs: number;
  readonly material: MaterialId;
  readonly thicknessMm: number;
  readonly diameterMm: number;
  readonly tookS: number;
  readonly result: RunResult;
}

export type ListedRow = {
  /** As a spreadsheet counts, the header being 1. */
  readonly line: number;
} & (
  | { readonly kind: 'listed'; readonly hole: ListedHole }
  | { readonly kind: 'refused'; readonly why: string }
);

export type ListOutcome =
  | { readonly kind: 'read'; readonly rows: readonly ListedRow[] }
  | { readonly kind: 'refused'; readonly message: string };

/** The rows of a notebook’s list, each read or refused by itself. */
export function readList(text: string, maxRows: number): ListOutcome {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) =>
      header
        .trim()
        .toLowerCase()
        .replace(/[\s-]+/g, '_'),
  });
  const missing = NEEDED.filter((name) => !parsed.meta.fields?.includes(name));
  if (missing.length > 0)
    return {
      kind: 'refused',
      message: `The list has no column ${missing.join(', ')}; it needs ${NEEDED.join(', ')}.`,
    };
  if (parsed.data.length > maxRows)
    return {
      kind: 'refused',
      message: `${parsed.data.length} rows are too many at once; at most ${maxRows}.`,
    };
  return {
    kind: 'read',
    rows: parsed.data.map((row, index) => ({ line: index + 2, ...readRow(row) })),
  };
}

/**
 * Reads past holes out of a notebook’s list: date, material, thickness_mm, diameter_mm, minutes and outcome
 * (fine, usable, spoiled or cracked), and as wished job, piece, hole and exit_chip_mm. Each good row becomes
 * a run set beside today’s plan for such a hole; good rows do not suffer from bad ones.
 * @param idOf an id that is always the same for the same text, so that a list read twice counts once
 */
export function readRunsCsv(text: string, idOf: (text: string) => string): RunsCsvOutcome {
  const list = readList(text, MAX_RUN_ROWS);
  return list.kind === 'refused'
    ? list
    : {
        kind: 'read',
        rows: list.rows.map((row) => ({ line: row.line, outcome: runOf(row, idOf) })),
      };
}

type Row = Readonly<Record<string, string | undefined>>;

type RowOutcome =
  | { readonly kind: 'listed'; readonly hole: ListedHole }
  | { readonly kind: 'refused'; readonly why: string };

/** A number of a row, with a decimal comma too; NaN where there is none. */
export const numberIn = (row: Row, name: string): number =>
  (row[name] ?? '').trim() === '' ? NaN : Number((row[name] ?? '').trim().replace(',', '.'));

function readRow(row: Row): RowOutcome {
  const refused = (why: string): RowOutcome => ({ kind: 'refused', why });
  const atMs = Date.parse(row.date ?? '');
  if (Number.isNaN(atMs))
    return refused(`date is “${row.date ?? ''}”; write it as 2026-05-02 or 2026-05-02T09:00:00Z.`);
  const material = (row.material ?? '').trim().toLowerCase().replace(/\s+/g, '-');
  if (!Object.hasOwn(MATERIALS, material))
    return refused(
      `material is “${row.material ?? ''}”; it may be one of ${Object.keys(MATERIALS).join(', ')}.`,
    );
  for (const [name, max] of [
    ['thickness_mm', 5000],
    ['diameter_mm', 1000],
    ['minutes', 100_000],
  ] as const) {
    const value = numberIn(row, name);
    if (!(value > 0 && value <= max))
      return refused(`${name} is “${row[name] ?? ''}”; it must be above 0, at most ${max}.`);
  }
  const outcome = (row.outcome ?? '').trim().toLowerCase();
  const cracked = outcome === 'cracked';
  if (!cracked && !VERDICTS.some((one) => one === outcome))
    return refused(
      `outcome is “${row.outcome ?? ''}”; it may be ${VERDICTS.join(', ')} or cracked.`,
    );
  const chip = (row.exit_chip_mm ?? '').trim() === '' ? null : numberIn(row, 'exit_chip_mm');
  if (chip !== null && !(chip >= 0 && chip <= 1000))
    return refused(`exit_chip_mm is “${row.exit_chip_mm ?? ''}”; it must be from 0, at most 1000.`);
  return {
    kind: 'listed',
    hole: {
      row,
      atMs,
      material: material as MaterialId,
      thicknessMm: numberIn(row, 'thickness_mm'),
      diameterMm: numberIn(row, 'diameter_mm'),
      tookS: numberIn(row, 'minutes') * 60,
      result: {
        verdict: cracked ? 'spoiled' : (outcome as Verdict),
        crack: cracked ? 'hairline' : 'none',
        ...(chip === null ? {} : { exitChipMm: chip }),
      },
    },
  };
}

function runOf(listed: ListedRow, idOf: (text: string) => string): RunRow['outcome'] {
  if (listed.kind === 'refused') return { kind: 'refused', why: listed.why };
  const { row, material, diameterMm } = listed.hole;
  const run = pastRun(listed.hole, idOf);
  return run
    ? {
        kind: 'good',
        name: `${row.hole?.trim() ? row.hole : 'A hole'} of ${formatDecimals(diameterMm, 1)} mm in ${MATERIALS[material].name.toLowerCase()}`,
        run,
      }
    : { kind: 'refused', why: 'No plan can be made of a hole like this to set it beside.' };
}

/** Such a hole in the middle of a plate with room about it. */
export function listedCase(
  {
    material,
    thicknessMm,
    diameterMm,
  }: Pick<ListedHole, 'material' | 'thicknessMm' | 'diameterMm'>,
  id: string,
  { kit = {}, setup }: { readonly kit?: Kit; readonly setup?: Setup } = {},
): DrillCase {
  const sideMm = 8 * diameterMm;
  return {
    job: {},
    piece: {
      id,
      name: 'Piece',
      form: 'sheet',
      material,
      thicknessMm,
      outline: { kind: 'rectangle', widthMm: sideMm, heightMm: sideMm },
      glassTreatment: 'annealed',
    },
    hole: {
      id,
      xMm: sideMm / 2,
      yMm: sideMm / 2,
      diameterMm,
      depth: { kind: 'through' },
      ...(setup ? { setup } : {}),
    },
    kit,
    materials: [],
    habits: {},
  };
}

/** The record such a hole would have left: opened with today’s plan for it, cut, through, told. */
function pastRun(hole: ListedHole, idOf: (text: string) => string): ReadRun | null {
  const { row, atMs, material, thicknessMm, diameterMm, tookS, result } = hole;
  const key = idOf(JSON.stringify(row));
  const planned = makePlan(listedCase(hole, key));
  if (planned.kind === 'faulty') return null;
  const { reasons: _reasons, ...plan } = planned.plan;
  const events: RunEvent[] = [];
  const add = (seconds: number, act: RunAct): void => {
    events.push({
      id: `${key}-${events.length}`,
      n: events.length + 1,
      at: new Date(atMs + seconds * 1000).toISOString(),
      tickMs: seconds * 1000,
      session: key,
      device: 'list',
      act,
    });
  };
  add(0, {
    kind: 'open',
    plan,
    ready: ['from-a-list'],
    subject: {
      jobId: key,
      jobName: row.job?.trim() ? row.job : 'From a list',
      pieceId: key,
      pieceName: row.piece?.trim() ? row.piece : 'Piece',
      holeId: key,
      holeName: row.hole?.trim() ? row.hole : 'Hole',
      material,
      thicknessMm,
      diameterMm,
    },
  });
  add(0, { kind: 'start' });
  add(tookS, result.crack === 'none' ? { kind: 'through' } : { kind: 'crack' });
  while (result.crack === 'none' && stillToDo(events)) add(tookS, { kind: 'next' });
  add(tookS, { kind: 'result', result });
  return { runId: key, events };
}

/** Withdrawn, freed, cleaned: whatever such a hole asks for after it is through. */
const stillToDo = (events: readonly RunEvent[]): boolean => {
  const phase = replayRun(events)?.state.phase;
  return (
    phase !== undefined && !PHASES[phase].over && (PHASES[phase].after === true || phase === 'cool')
  );
};
