import { MM_PER_INCH } from '../math/constants';
import type { UnitSystem } from './unitSystem';

export type Unreadable = 'not-a-length' | 'divides-by-zero' | 'not-above-zero';

export type ReadLength =
  | { readonly kind: 'read'; readonly mm: number }
  | { readonly kind: 'unreadable'; readonly why: Unreadable };

const LENGTH_PATTERN =
  /^(?:(\d+)\s+)?(?:(\d+)\s*\/\s*(\d+)|(\d*[.,]?\d+))\s*(mm|cm|m|inch|inches|in|"|″)?$/i;

const MM_PER_UNIT: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  '″': MM_PER_INCH,
};

/**
 * Reads a typed length. A bare number takes the person's own unit, a bare fraction is inches.
 * Accepts `6`, `6,5 mm`, `2.4 cm`, `1/4"`, `1 1/2 in`. Zero and negatives are not read.
 */
export function readLength(text: string, units: UnitSystem): ReadLength {
  const match = LENGTH_PATTERN.exec(text.trim());
  const unreadable = (why: Unreadable): ReadLength => ({ kind: 'unreadable', why });
  if (!match) return unreadable('not-a-length');
  const [, whole, numerator, denominator, decimal, unitText] = match;
  const isFraction = numerator !== undefined && denominator !== undefined;
  if (whole !== undefined && !isFraction) return unreadable('not-a-length');
  if (isFraction && Number(denominator) === 0) return unreadable('divides-by-zero');
  const value = isFraction
    ? Number(whole ?? 0) + Number(numerator) / Number(denominator)
    : Number((decimal ?? '').replace(',', '.'));
  const ownUnit = isFraction || units.length === 'inch' ? 'in' : 'mm';
  const mm = value * (MM_PER_UNIT[(unitText ?? ownUnit).toLowerCase()] ?? 1);
  return mm > 0 ? { kind: 'read', mm } : unreadable('not-above-zero');
}
