import { MM_PER_INCH } from '../math/constants';
import type { UnitSystem } from './unitSystem';

export type Unreadable = 'not-a-length' | 'divides-by-zero' | 'not-above-zero' | 'comma-unclear';

export type ReadLength =
  | { readonly kind: 'read'; readonly mm: number }
  | { readonly kind: 'unreadable'; readonly why: Unreadable };

const MM_PER_FOOT = 12 * MM_PER_INCH;

/** Every way a unit is written, once quotes are straight. */
const MM_PER_UNIT: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  ft: MM_PER_FOOT,
  foot: MM_PER_FOOT,
  feet: MM_PER_FOOT,
  "'": MM_PER_FOOT,
};

/** `1 1/2`, `1-1/2`, `1/2`, `1.5`, `.5`, `5.` */
const AMOUNT = String.raw`(?:(\d+)(?:\s+|\s*[-–]\s*))?(\d+)\s*\/\s*(\d+)|(\d+[.,]?\d*|[.,]\d+)`;
const PLAIN = new RegExp(String.raw`^(?:${AMOUNT})\s*([a-z"']*)\.?$`);
const FEET_AND_INCHES = new RegExp(
  String.raw`^(\d+)\s*(?:'|ft|foot|feet)\.?\s*[-–]?\s*(?:${AMOUNT})\s*(?:"|in|inch|inches)?\.?$`,
);
/** A comma before just three figures may part thousands, or be a decimal comma. */
const UNCLEAR_COMMA = /(^|\D)[1-9]\d{0,2},\d{3}(\D|$)/;

/** What phones and keyboards make of quotes, fractions and spaces, as one plain spelling. */
const plain = (text: string): string =>
  text
    // ½ after a whole number is “1½”: apart, so that it does not become 11/2.
    .replace(/[¼-¾⅐-⅞↉]/g, ' $&')
    .normalize('NFKC')
    .replace(/[⁄∕]/g, '/')
    .replace(/[“”„‟″]|''|′′|’’/g, '"')
    .replace(/[‘’‚‛′´`]/g, "'")
    .replace(/\s+/g, ' ')
    .trim()
    .toLowerCase();

/** The parts of an amount; null where it divides by nothing. */
function amountOf([whole, numerator, denominator, decimal]: readonly (string | undefined)[]):
  number | null {
  if (numerator === undefined || denominator === undefined)
    return Number((decimal ?? '').replace(',', '.'));
  return Number(denominator) === 0
    ? null
    : Number(whole ?? 0) + Number(numerator) / Number(denominator);
}

/**
 * Reads a typed length, however a phone writes it. A bare number takes the person's own unit, a bare fraction is
 * inches. Accepts `6`, `6,5 mm`, `5.`, `2.4 cm`, `1/4"`, `1 1/2 in`, `1-1/2`, `1½”`, `3⁄4`, `1'6"`, `2 ft 3 1/2`.
 * Zero and negatives are not read, nor `1,200`, which may be either of two lengths.
 */
export function readLength(text: string, units: UnitSystem): ReadLength {
  const said = plain(text);
  const unreadable = (why: Unreadable): ReadLength => ({ kind: 'unreadable', why });
  if (UNCLEAR_COMMA.test(said)) return unreadable('comma-unclear');
  const long = FEET_AND_INCHES.exec(said);
  const match = long ?? PLAIN.exec(said);
  if (!match) return unreadable('not-a-length');
  const [feet, parts, unitText] = long
    ? [Number(long[1]), long.slice(2, 6), 'in']
    : [0, match.slice(1, 5), match[5] ?? ''];
  const isFraction = parts[1] !== undefined;
  const own = isFraction || units.length === 'inch' ? 'in' : 'mm';
  const perUnit = MM_PER_UNIT[unitText === '' ? own : unitText];
  if (perUnit === undefined) return unreadable('not-a-length');
  const amount = amountOf(parts);
  if (amount === null) return unreadable('divides-by-zero');
  const mm = feet * MM_PER_FOOT + amount * perUnit;
  return mm > 0 ? { kind: 'read', mm } : unreadable('not-above-zero');
}
