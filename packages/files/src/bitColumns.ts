import { BIT_FAMILIES, BIT_FAMILY_IDS } from '@nucleon/core/data/bits/bitFamilies';
import { CONNECTION_IDS, CONNECTIONS } from '@nucleon/core/data/couplings/connections';
import { BIT_STATES } from '@nucleon/core/data/choices';
import type { Bit } from '@nucleon/core/documents/kit';
import { MM_PER_INCH } from '@nucleon/core/math/constants';

/** A bit as far as a row has told. */
export type BitDraft = { -readonly [K in keyof Bit]?: Bit[K] };

/** What a cell says, or the sentence of why it will not do. */
export type CellOutcome =
  | { readonly kind: 'read'; readonly value: unknown }
  | { readonly kind: 'refused'; readonly why: string };

/** One column of a bit list, by the names it may go under. */
export interface BitColumn {
  readonly header: string;
  readonly also: readonly string[];
  readonly read: (cell: string) => CellOutcome;
  readonly put: (bit: BitDraft, value: unknown) => void;
  readonly write: (bit: Bit) => string | number;
}

const read = (value: unknown): CellOutcome => ({ kind: 'read', value });
const refused = (why: string): CellOutcome => ({ kind: 'refused', why });

/** `1.5`, `1,5`, `1 200`; a thousands point or comma is not guessed at. */
export function readNumber(cell: string): number | null {
  const plain = cell.replace(/[\s\u00A0\u2009]/g, '').replace(',', '.');
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : null;
}

const number =
  (min: number, max: number, unit: string, aboveMin = false) =>
  (cell: string): CellOutcome => {
    const value = readNumber(cell);
    const range = `${aboveMin ? `above ${min}` : `from ${min}`} to ${max}${unit ? ` ${unit}` : ''}`;
    if (value === null) return refused(`“${cell}” is not a number; ${range} is.`);
    return value > max || value < min || (aboveMin && value === min)
      ? refused(`${cell} will not do: ${range}.`)
      : read(value);
  };

const words =
  (max: number) =>
  (cell: string): CellOutcome =>
    cell.length > max
      ? refused(`“${cell.slice(0, 20)}…” has ${cell.length} letters; at most ${max}.`)
      : read(cell);

const oneOf =
  (values: Readonly<Record<string, string>>) =>
  (cell: string): CellOutcome => {
    const plain = cell.toLowerCase();
    const found = Object.entries(values).find(
      ([id, name]) => id === plain.replace(/\s+/g, '-') || name.toLowerCase() === plain,
    );
    return found
      ? read(found[0])
      : refused(`“${cell}” is not one of ${Object.keys(values).join(', ')}.`);
  };

const yesNo = (cell: string): CellOutcome => {
  const plain = cell.toLowerCase();
  if (['yes', 'y', 'true', '1', 'x'].includes(plain)) return read(true);
  if (['no', 'n', 'false', '0'].includes(plain)) return read(false);
  return refused(`“${cell}” is neither yes nor no.`);
};

type Field = Exclude<keyof Bit, 'shank' | 'sharpnessLog' | 'id'>;
const field = (
  name: Field,
  header: string,
  reads: BitColumn['read'],
  also: readonly string[] = [],
): BitColumn => ({
  header,
  also,
  read: reads,
  put: (bit, value) => Object.assign(bit, { [name]: value }),
  write: (bit) => {
    const value = bit[name];
    return typeof value === 'boolean' ? (value ? 'yes' : 'no') : (value ?? '');
  },
});

const length = (name: Field, header: string, max: number, also: readonly string[] = []) =>
  field(name, `${header}_mm`, number(0, max, 'mm', true), [header, ...also]);

const family = Object.fromEntries(BIT_FAMILY_IDS.map((id) => [id, BIT_FAMILIES[id].name]));
const connections = Object.fromEntries(CONNECTION_IDS.map((id) => [id, CONNECTIONS[id].name]));
const states = Object.fromEntries(BIT_STATES.map((id) => [id, id.replaceAll('-', ' ')]));

/** Every column there is, in the order they are written. */
export const BIT_COLUMNS: readonly BitColumn[] = [
  field('name', 'name', words(120)),
  field('family', 'family', oneOf(family), ['kind', 'type']),
  length('diameterMm', 'diameter', 1000, ['size', 'size_mm']),
  length('rimWidthMm', 'rim', 500, ['rim_width', 'rim_width_mm']),
  length('usableDepthMm', 'depth', 5000, ['usable_depth', 'usable_depth_mm']),
  length('barrelDiameterMm', 'barrel', 1000),
  length('freeLengthMm', 'free_length', 5000),
  length('boreDepthMm', 'bore_depth', 5000),
  {
    header: 'shank',
    also: ['connection'],
    read: oneOf(connections),
    put: (bit, value) => {
      bit.shank = { ...bit.shank, kind: value as NonNullable<Bit['shank']>['kind'] };
    },
    write: ({ shank }) => shank?.kind ?? '',
  },
  {
    header: 'shank_mm',
    also: ['shank_size'],
    read: number(0, 100, 'mm', true),
    put: (bit, value) => {
      bit.shank = { kind: bit.shank?.kind ?? 'round', sizeMm: value as number };
    },
    write: ({ shank }) => shank?.sizeMm ?? '',
  },
  field('slotted', 'slotted', yesNo),
  field('price', 'price', number(0, 1e9, '')),
  field('maxRpm', 'max_rpm', number(0, 100_000, 'rpm', true)),
  field('runOutMm', 'run_out_mm', number(0, 1000, 'mm'), ['run_out']),
  field('sharpness', 'sharpness', number(0, 1, '', true)),
  field('state', 'state', oneOf(states)),
  field('holesCut', 'holes_cut', number(0, 1e6, ''), ['holes']),
  field('depthCutMm', 'depth_cut_mm', number(0, 1e7, 'mm'), ['depth_cut']),
  field('supplier', 'supplier', words(120), ['from']),
  field('batch', 'batch', words(120)),
  field('retired', 'retired', yesNo),
];

/** A size given in inches under its own header. */
export const INCH_SIZE: BitColumn = {
  header: 'diameter_in',
  also: ['size_in', 'inch'],
  read: (cell) => {
    const fraction = /^(?:(\d+)[\s-]+)?(\d+)\s*\/\s*(\d+)$/.exec(cell);
    const inches = fraction
      ? Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3])
      : readNumber(cell);
    return inches === null || !(inches > 0 && inches <= 40)
      ? refused(`“${cell}” is not a size in inches such as 3/8 or 1 1/2, up to 40.`)
      : read(Math.round(inches * MM_PER_INCH * 1000) / 1000);
  },
  put: (bit, value) => {
    bit.diameterMm = value as number;
  },
  write: () => '',
};
