import type { NominalSizeId } from '../../data/nominalSizes';
import { readLength } from '../../data/readLength';
import { METRIC, type UnitSystem } from '../../data/unitSystem';

/** A length of the part, mm; typed lengths such as `1 1/2 in` are taken too. */
export interface LengthField {
  readonly kind: 'length';
  readonly label: string;
  readonly note?: string;
  /** Taken when nothing is said: mm, or the thickness of the piece. */
  readonly usual?: number | 'piece-thickness';
  /** May stay unknown. */
  readonly optional?: true;
  /** Sold by these sizes. */
  readonly sold?: NominalSizeId;
  /** Zero is allowed only where said. */
  readonly min?: 0;
  readonly max: number;
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
  readonly max: number;
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

/** A value of a field that will not do, or none where one is wanted. */
export interface FieldFault {
  readonly name: string;
  readonly field: Field;
  /** undefined where nothing was given. */
  readonly given: unknown;
}

/** The value taken for a field nobody has filled; undefined where it must be asked. */
export function usualValue(field: Field, thicknessMm: number): number | string | undefined {
  if (field.kind !== 'length' || field.usual !== 'piece-thickness') return field.usual;
  return Number.isFinite(thicknessMm) ? thicknessMm : undefined;
}

/** Reads what was given for the fields; a fault names what was given. */
export function readFields<Fs extends Fields>(
  fields: Fs,
  given: Readonly<Record<string, unknown>>,
  thicknessMm: number,
  units: UnitSystem = METRIC,
): { readonly values: ValuesOf<Fs>; readonly faults: readonly FieldFault[] } {
  const values: Record<string, number | string | undefined> = {};
  const faults: FieldFault[] = [];
  for (const [name, field] of Object.entries(fields)) {
    const said = given[name] ?? usualValue(field, thicknessMm);
    const value = readField(field, said, units);
    if (value === null) faults.push({ name, field, given: said });
    else values[name] = value;
  }
  return { values: values as ValuesOf<Fs>, faults };
}

/** null where it will not do. */
function readField(
  field: Field,
  said: unknown,
  units: UnitSystem,
): number | string | undefined | null {
  if (field.kind === 'choice')
    return typeof said === 'string' && Object.hasOwn(field.options, said) ? said : null;
  if (said === undefined || said === null) return field.optional ? undefined : null;
  const value = numberOf(field, said, units);
  return value !== null && within(field, value) ? value : null;
}

function numberOf(
  field: LengthField | NumberField,
  said: unknown,
  units: UnitSystem,
): number | null {
  if (typeof said === 'number') return Number.isFinite(said) ? said : null;
  if (typeof said !== 'string' || field.kind !== 'length') return null;
  const read = readLength(said, units);
  return read.kind === 'read' ? read.mm : null;
}

function within(field: LengthField | NumberField, value: number): boolean {
  if (value > field.max) return false;
  if (field.kind === 'length') return field.min === 0 ? value >= 0 : value > 0;
  if (field.whole && !Number.isInteger(value)) return false;
  if (field.above !== undefined && value <= field.above) return false;
  return field.atLeast === undefined || value >= field.atLeast;
}
