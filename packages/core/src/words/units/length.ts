import { MM_PER_INCH } from '../../math/constants';
import { formatDecimals, formatSignificant } from './roundNumber';
import { readLength, type Unreadable } from '../../data/readLength';
import type { UnitSystem } from '../../data/unitSystem';

/** Workshop rules for inch fractions: nothing finer than a sixty-fourth is marked on a rule. */
const FINEST_INCH_DENOMINATOR = 64;
/** A fraction is shown only when it stands within this of the length; else decimals of an inch. */
const FRACTION_TOLERANCE_MM = 0.06;

export interface InchFraction {
  readonly whole: number;
  readonly numerator: number;
  readonly denominator: number;
  /** Length minus the fraction, mm. */
  readonly missMm: number;
}

/** Nearest inch fraction down to 1/64, reduced. */
export function nearestInchFraction(lengthMm: number): InchFraction {
  const sixtyFourths = Math.round((lengthMm / MM_PER_INCH) * FINEST_INCH_DENOMINATOR);
  const whole = Math.floor(sixtyFourths / FINEST_INCH_DENOMINATOR);
  let numerator = sixtyFourths - whole * FINEST_INCH_DENOMINATOR;
  let denominator = FINEST_INCH_DENOMINATOR;
  while (numerator > 0 && numerator % 2 === 0) {
    numerator /= 2;
    denominator /= 2;
  }
  if (numerator === 0) denominator = 1;
  const missMm = lengthMm - (sixtyFourths / FINEST_INCH_DENOMINATOR) * MM_PER_INCH;
  return { whole, numerator, denominator, missMm };
}

/** Millimetres as read on the bench: `6 mm`, or `1/4 in (6.35 mm)` for inch people. */
export function formatLength(lengthMm: number, units: UnitSystem): string {
  const mm = `${formatLengthNumber(lengthMm)} mm`;
  return units.length === 'mm' ? mm : `${formatInches(lengthMm)} (${mm})`;
}

/** Short form for drawings and chips: one unit only. */
export function formatLengthShort(lengthMm: number, units: UnitSystem): string {
  return units.length === 'mm' ? `${formatLengthNumber(lengthMm)} mm` : formatInches(lengthMm);
}

/** As a tape reads it: whole and fraction of an inch to its finest mark, or millimetres. */
export function formatTape(lengthMm: number, units: UnitSystem): string {
  if (units.length === 'mm') return formatLengthShort(lengthMm, units);
  const marks = units.tape ?? 16;
  const onMark = (Math.round((lengthMm / MM_PER_INCH) * marks) / marks) * MM_PER_INCH;
  return onMark === 0 ? '0 in' : formatInches(onMark);
}

/** Finer than this nobody types, decimals of a unit. */
const TYPED_DECIMALS = [2, 3, 4] as const;
/** Closer than this two lengths are the same, mm. */
const SAME_MM = 1e-6;

const inDecimals = (lengthMm: number, { length }: UnitSystem, digits: number): string =>
  length === 'mm'
    ? `${formatDecimals(lengthMm, digits)} mm`
    : `${formatDecimals(lengthMm / MM_PER_INCH, digits)} in`;

/**
 * As it was typed: with as many figures as it has, or in the other unit where it is round in that. One that was
 * calculated has no end of figures, and is rounded as everywhere.
 */
export function formatLengthExact(lengthMm: number, units: UnitSystem): string {
  const isSame = (text: string): boolean => {
    const read = readLength(text.replace(/^[-−]/, ''), units);
    return read.kind === 'read' && Math.abs(read.mm - Math.abs(lengthMm)) < SAME_MM;
  };
  const short = formatLengthShort(lengthMm, units);
  const other: UnitSystem = { ...units, length: units.length === 'mm' ? 'inch' : 'mm' };
  const typed = [units, other].flatMap((one) => [
    formatLengthShort(lengthMm, one),
    ...TYPED_DECIMALS.map((digits) => inDecimals(lengthMm, one, digits)),
  ]);
  return typed.find(isSame) ?? short;
}

/** An estimate in short form: no more than two digits that mean something. */
export function formatLengthAbout(lengthMm: number, units: UnitSystem): string {
  return units.length === 'mm'
    ? `${formatSignificant(lengthMm, 2)} mm`
    : `${formatSignificant(lengthMm / MM_PER_INCH, 2)} in`;
}

function formatLengthNumber(lengthMm: number): string {
  const decimals = Math.abs(lengthMm) >= 10 ? 1 : 2;
  return formatDecimals(lengthMm, decimals);
}

function formatInches(lengthMm: number): string {
  const fraction = nearestInchFraction(lengthMm);
  const isFraction = Math.abs(fraction.missMm) <= FRACTION_TOLERANCE_MM;
  if (!isFraction || (fraction.whole === 0 && fraction.numerator === 0)) {
    return `${formatDecimals(lengthMm / MM_PER_INCH, 3)} in`;
  }
  const part = fraction.numerator > 0 ? `${fraction.numerator}/${fraction.denominator}` : '';
  const whole = fraction.whole > 0 ? String(fraction.whole) : '';
  return `${[whole, part].filter(Boolean).join(' ')} in`;
}

export type ParsedLength =
  | { readonly kind: 'parsed'; readonly mm: number }
  | { readonly kind: 'fault'; readonly message: string };

const UNREADABLE = {
  'not-a-length': 'is not a length',
  'divides-by-zero': 'divides by zero',
  'not-above-zero': 'is not above zero',
  'comma-unclear': 'may be one length or a thousand times as much',
} as const satisfies Record<Unreadable, string>;

/** Reads a typed length, or says in a sentence why it is none and what would be accepted. */
export function parseLength(text: string, units: UnitSystem): ParsedLength {
  const read = readLength(text, units);
  return read.kind === 'read'
    ? { kind: 'parsed', mm: read.mm }
    : {
        kind: 'fault',
        message: `“${text.trim()}” ${UNREADABLE[read.why]}. Type a length such as 6, 6.5 mm, 1200 mm, 1/4 in, 1 1/2 in or 1'6".`,
      };
}
