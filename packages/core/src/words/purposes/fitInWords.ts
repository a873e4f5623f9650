import { METRIC, type UnitSystem } from '../../data/unitSystem';
import type { Fault } from '../../documents/fault';
import type { Fit } from '../../documents/fit';
import type { Purpose } from '../../layout/purposes/definePurpose';
import type { Field, FieldFault, LengthField, NumberField } from '../../layout/purposes/field';
import {
  isMissing,
  type FitScene,
  type Say,
  type Sizing,
  type SizingFault,
} from '../../layout/purposes/fit';
import type { Drawing } from '../../math/primitives';
import { formatForce, formatVolume } from '../units/formatQuantity';
import { formatLengthShort } from '../units/length';
import { formatDecimals, formatSignificant } from '../units/roundNumber';

export const sayIn = (units: UnitSystem): Say => ({
  L: (mm) => formatLengthShort(mm, units),
  volume: (litres) => formatVolume(litres, units),
  force: (newtons) => formatForce(newtons, units),
  decimals: formatDecimals,
  significant: formatSignificant,
});

export type FitOutcome =
  | { readonly kind: 'fits'; readonly fit: Fit; readonly drawing: Drawing }
  /** Values that cannot be, or that clash with each other: each fault names them. */
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/** A part as it was entered, and the hole it asks for, as they are shown. */
export function fitInWords(
  purpose: Purpose,
  given: Readonly<Record<string, unknown>>,
  scene: FitScene,
  units: UnitSystem = METRIC,
): FitOutcome {
  const sizing = purpose.size(given, scene, units);
  return sizing.kind === 'faulty'
    ? { kind: 'faulty', faults: sizing.faults.map((fault) => faultOf(fault, units)) }
    : {
        kind: 'fits',
        fit: fitOf(sizing, units),
        drawing: sizing.draws(sayIn(units)),
      };
}

/** The numbers of a fit with their words. */
export function fitOf(
  { numbers, says }: Pick<Extract<Sizing, { kind: 'sized' }>, 'numbers' | 'says'>,
  units: UnitSystem,
): Fit {
  const { why, working, source, ...words } = says(sayIn(units));
  return { ...numbers, ...words, reason: { text: why, inputs: working, source } };
}

export function faultOf(fault: SizingFault, units: UnitSystem): Fault {
  if (fault.kind === 'clash')
    return { pointer: `/${fault.field}`, message: fault.says(sayIn(units)) };
  return {
    pointer: `/${fault.name}`,
    message: fieldText(fault, units),
    ...(isMissing(fault) ? { missing: true } : {}),
  };
}

function fieldText({ field, given }: FieldFault, units: UnitSystem): string {
  if (field.kind === 'choice')
    return `${field.label} is ${shown(given)}; use one of ${Object.keys(field.options).join(', ')}.`;
  return (given ?? null) === null
    ? `${field.label} is missing; give ${accepted(field, units)}.`
    : `${field.label} is ${shown(given)}; it must be ${accepted(field, units)}.`;
}

function accepted(field: Exclude<Field, { readonly kind: 'choice' }>, units: UnitSystem): string {
  return field.kind === 'length' ? acceptedLength(field, units) : acceptedNumber(field);
}

const acceptedLength = ({ min, max }: LengthField, units: UnitSystem): string =>
  `a length ${min === 0 ? 'from 0' : 'above 0'}, at most ${formatLengthShort(max, units)}`;

function acceptedNumber({ whole, above, atLeast = 0, unit, max }: NumberField): string {
  const from = above !== undefined ? `above ${above}` : `from ${atLeast}`;
  return `${whole ? 'a whole number' : 'a number'} ${from}, at most ${formatDecimals(max, 2)}${unit ? ` ${unit}` : ''}`;
}

const shown = (said: unknown): string =>
  typeof said === 'string'
    ? `“${said.slice(0, 40)}”`
    : said === undefined
      ? 'missing'
      : JSON.stringify(said).slice(0, 40);
