import { bitGeometry } from '@nucleon/core/physics/cutting/bitGeometry';
import { BIT_FAMILIES } from '@nucleon/core/data/bits/bitFamilies';
import { checkKit } from '@nucleon/core/setup/checkKit';
import { clashText } from '@nucleon/core/words/faults';
import type { Bit } from '@nucleon/core/documents/kit';
import { formatDecimals } from '@nucleon/core/words/units/roundNumber';
import Papa from 'papaparse';
import { BIT_COLUMNS, INCH_SIZE, type BitColumn, type BitDraft } from './bitColumns';

/** A longer list is not a workshop's. */
export const MAX_BIT_ROWS = 2000;
const LARGEST_CSV_MB = 2;

/** What became of one row. */
export interface BitRow {
  /** As a spreadsheet counts, the header being 1. */
  readonly line: number;
  readonly outcome:
    | { readonly kind: 'good'; readonly bit: Bit }
    | { readonly kind: 'owned'; readonly name: string }
    | { readonly kind: 'refused'; readonly why: readonly string[] };
}

export type BitsCsvOutcome =
  | {
      readonly kind: 'read';
      readonly rows: readonly BitRow[];
      /** Headers that mean nothing here, and were left. */
      readonly left: readonly string[];
    }
  | { readonly kind: 'refused'; readonly message: string };

const tidy = (header: string): string =>
  header
    .trim()
    .toLowerCase()
    .replace(/[\s-]+/g, '_')
    .replace(/[()[\]]/g, '')
    .replace(/^\uFEFF/, '');

const COLUMNS = [...BIT_COLUMNS, INCH_SIZE];
const columnOf = (header: string): BitColumn | undefined =>
  COLUMNS.find((column) => [column.header, ...column.also].includes(tidy(header)));

/**
 * Reads a list of bits: comma, semicolon or tab between, decimal points or commas. Each row is good,
 * owned already, or refused with its own sentences; good rows do not suffer from bad ones.
 * @param owned what is in the kit now: the same name, family and size is not taken twice
 */
export function readBitsCsv(
  text: string,
  owned: readonly Pick<Bit, 'name' | 'family' | 'diameterMm'>[],
  newId: () => string,
): BitsCsvOutcome {
  if (text.length > LARGEST_CSV_MB * 1024 * 1024)
    return {
      kind: 'refused',
      message: `The file is larger than ${LARGEST_CSV_MB} MB: that is not a list of bits.`,
    };
  if (text.includes('\0'))
    return { kind: 'refused', message: 'This is a binary file; save the list as CSV text.' };
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [headers = [], ...cells] = parsed.data;
  const columns = headers.map(columnOf);
  if (!columns.some((column) => column?.header.startsWith('diameter')))
    return {
      kind: 'refused',
      message: `The first row must name the columns, “family” and “diameter_mm” among them; it reads “${headers.join(', ').slice(0, 80)}”. Others: ${BIT_COLUMNS.map(({ header }) => header).join(', ')}.`,
    };
  if (cells.length > MAX_BIT_ROWS)
    return {
      kind: 'refused',
      message: `${cells.length} rows; at most ${MAX_BIT_ROWS} are read at a time.`,
    };
  const seen = new Set(owned.map(keyOf));
  const rows = cells.map((row, index): BitRow => {
    const outcome = readRow(row, columns, newId);
    if (outcome.kind === 'good') {
      const key = keyOf(outcome.bit);
      if (seen.has(key))
        return { line: index + 2, outcome: { kind: 'owned', name: outcome.bit.name } };
      seen.add(key);
    }
    return { line: index + 2, outcome };
  });
  return {
    kind: 'read',
    rows,
    left: headers.filter((header, index) => header.trim() !== '' && !columns[index]),
  };
}

const keyOf = ({ name, family, diameterMm }: Pick<Bit, 'name' | 'family' | 'diameterMm'>): string =>
  `${name.toLowerCase()}|${family}|${diameterMm.toFixed(2)}`;

function readRow(
  row: readonly string[],
  columns: readonly (BitColumn | undefined)[],
  newId: () => string,
): BitRow['outcome'] {
  const draft: BitDraft = {};
  const why: string[] = [];
  columns.forEach((column, index) => {
    const cell = row[index]?.trim() ?? '';
    if (!column || cell === '') return;
    const outcome = column.read(cell);
    if (outcome.kind === 'read') column.put(draft, outcome.value);
    else why.push(`${column.header}: ${outcome.why}`);
  });
  const { family, diameterMm } = draft;
  if (family === undefined && !why.some((one) => one.startsWith('family')))
    why.push('family: missing; say for example plated-cup-saw.');
  if (diameterMm === undefined && !why.some((one) => one.startsWith('diameter')))
    why.push('diameter_mm: missing.');
  if (family === undefined || diameterMm === undefined || why.length > 0)
    return { kind: 'refused', why };
  const bit: Bit = {
    ...draft,
    id: newId(),
    family,
    diameterMm,
    name: draft.name ?? `${BIT_FAMILIES[family].name} ${formatDecimals(diameterMm, 2)}`,
  };
  const faults: string[] = [];
  checkKit({ bits: [bit] }, '', (_, clash) => faults.push(clashText(clash)));
  const [min, max] = BIT_FAMILIES[family].diameterMm;
  if (diameterMm > 3 * max || diameterMm < min / 3)
    faults.push(
      `diameter_mm: ${formatDecimals(diameterMm, 2)} mm is no size of a ${BIT_FAMILIES[family].name.toLowerCase()}, made from ${min} to ${max} mm.`,
    );
  if (bitGeometry(bit).rimWidthMm <= 0) faults.push('rim_mm: a rim needs some width.');
  return faults.length > 0 ? { kind: 'refused', why: faults } : { kind: 'good', bit };
}

/** The list as a spreadsheet takes it; cells that a spreadsheet would run are written as text. */
export const writeBitsCsv = (bits: readonly Bit[]): string =>
  Papa.unparse(
    {
      fields: BIT_COLUMNS.map(({ header }) => header),
      data: bits.map((bit) => BIT_COLUMNS.map((column) => column.write(bit))),
    },
    { escapeFormulae: true },
  ) + '\r\n';
