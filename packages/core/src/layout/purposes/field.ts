import { formatLengthShort, parseLength } from '../../words/units/length';
import { formatDecimals } from '../../words/units/roundNumber';
import type { UnitSystem } from '../../data/unitSystem';
import type { Fault } from '../../documents/fault';

/** A length of the part, mm; typed lengths such as `1 1/2 in` are taken too. */
export interface LengthField {
  readonly kind: 'length';
  readonly label: string;
  readonly note?: string;
  /** Taken when nothing is said: mm, or the thickness of the piece. */
  readonly usual?: number | 'piece-thickness';
  /** May stay unknown. */
  readonly optional?: true;
  /** Zero is allowed only where said. */
  readonly least?: 0;
  readonly most: number;
}

export interface NumberField {
  readonly kind: 'number';
  readonly label: string;
  readonly unit: string;
  readonly note?: string;
  readonly usual?: number;
  readonly optional?: true;
  readonly whole?: true;
  /** Values must lie above this, or at it where `atLeast`. */
  readonly above?: number;
  readonly atLeast?: number;
  readonly most: number;
}

export interface ChoiceField {
  readonly kind: 'choice';
  readonly label: string;
  readonly options: Readonly<Record<string, string>>;
  readonly usual: string;
}

export type Field = LengthField | NumberField | ChoiceField;
export type Fields = Readonly<Record<string, Field>>;

type ValueOf<F extends Field> = F extends { readonly kind: 'choice'; readonly options: infer O }
  ? Extract<keyof O, string>
  : F extends { readonly optional: true }
    ? number | undefined
    : number;

/** What a purpose's fields hold once read. */
export type ValuesOf<Fs extends Fields> = { readonly [K in keyof Fs]: ValueOf<Fs[K]> };

/** The value taken for a field nobody has filled; undefined where it must be asked. */
export function usualValue(field: Field, thicknessMm: number): number | string | undefined {
  if (field.kind !== 'length' || field.usual !== 'piece-thickness') return field.usual;
  return Number.isFinite(thicknessMm) ? thicknessMm : undefined;
}

type Read =
  | { readonly value: number | string | undefined }
  | { readonly fault: string; readonly missing?: true };

/** Reads what was given for the fields; every fault names the value and what would be accepted. */
export function readFields<Fs extends Fields>(
  fields: Fs,
  given: Readonly<Record<string, unknown>>,
  thicknessMm: number,
  units: UnitSystem,
): { readonly values: ValuesOf<Fs>; readonly faults: readonly Fault[] } {
  const values: Record<string, number | string | undefined> = {};
  const faults: Fault[] = [];
  for (const [name, field] of Object.entries(fields)) {
    const said = given[name] ?? usualValue(field, thicknessMm);
    const read = readField(field, said, units);
    if ('fault' in read)
      faults.push({
        pointer: `/${name}`,
        message: read.fault,
        ...(read.missing ? { missing: true } : {}),
      });
    else values[name] = read.value;
  }
  return { values: values as ValuesOf<Fs>, faults };
}

function readField(field: Field, said: unknown, units: UnitSystem): Read {
  if (field.kind === 'choice') {
    const known = Object.keys(field.options);
    return typeof said === 'string' && known.includes(said)
      ? { value: said }
      : { fault: `${field.label} is ${shown(said)}; use one of ${known.join(', ')}.` };
  }
  if (said === undefined || said === null) {
    return field.optional
      ? { value: undefined }
      : { fault: `${field.label} is missing; give ${accepted(field, units)}.`, missing: true };
  }
  const value = numberOf(field, said, units);
  return value !== null && within(field, value)
    ? { value }
    : { fault: `${field.label} is ${shown(said)}; it must be ${accepted(field, units)}.` };
}

function numberOf(field: LengthField | NumberField, said: unknown, units: UnitSystem) {
  if (typeof said === 'number') return Number.isFinite(said) ? said : null;
  if (typeof said !== 'string' || field.kind !== 'length') return null;
  const parsed = parseLength(said, units);
  return parsed.kind === 'parsed' ? parsed.mm : null;
}

function within(field: LengthField | NumberField, value: number): boolean {
  if (value > field.most) return false;
  if (field.kind === 'length') return field.least === 0 ? value >= 0 : value > 0;
  if (field.whole && !Number.isInteger(value)) return false;
  if (field.above !== undefined && value <= field.above) return false;
  return field.atLeast === undefined || value >= field.atLeast;
}

function accepted(field: LengthField | NumberField, units: UnitSystem): string {
  if (field.kind === 'length') {
    const from = field.least === 0 ? 'from 0' : 'above 0';
    return `a length ${from}, at most ${formatLengthShort(field.most, units)}`;
  }
  const number = field.whole ? 'a whole number' : 'a number';
  const from =
    field.above !== undefined ? `above ${field.above}` : `from ${String(field.atLeast ?? 0)}`;
  const unit = field.unit ? ` ${field.unit}` : '';
  return `${number} ${from}, at most ${formatDecimals(field.most, 2)}${unit}`;
}

const shown = (said: unknown): string =>
  typeof said === 'string'
    ? `“${said.slice(0, 40)}”`
    : said === undefined
      ? 'missing'
      : JSON.stringify(said).slice(0, 40);
