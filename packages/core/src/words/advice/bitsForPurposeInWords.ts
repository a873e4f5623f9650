import type { BitForPurpose, BitsForPurpose } from '../../advice/choice/bitsForPurpose';
import type { UnitSystem } from '../../data/unitSystem';
import type { Fit } from '../../documents/fit';
import type { OwnedBit } from '../../layout/purposes/ownedFit';
import { formatLength, formatLengthAbout } from '../units/length';
import { missText } from './rankingInWords';

/** Owned bits for a purpose, as they are shown. */
export interface DescribedBitsForPurpose {
  readonly fitting: readonly (BitForPurpose & { readonly text: string })[];
  /** Bits that miss the range, the nearest first, with by how much. */
  readonly misses: readonly (OwnedBit & { readonly text: string })[];
}

export function bitsForPurposeInWords(
  { fitting, misses }: BitsForPurpose,
  fit: Fit,
  units: UnitSystem,
): DescribedBitsForPurpose {
  return {
    fitting: fitting.map((one) => ({ ...one, text: fittingText(one, fit, units) })),
    misses: misses.map((one) => ({ ...one, text: missText(one.missMm, units) })),
  };
}

/** Why a bit within the range stands where it stands. */
function fittingText(
  { offTargetMm: off, verdict, chip }: BitForPurpose,
  fit: Fit,
  units: UnitSystem,
): string {
  const size =
    Math.abs(off) < 0.02
      ? 'Just the size'
      : `${formatLength(Math.abs(off), units)} ${off < 0 ? 'under' : 'over'} the target, within the range`;
  const about = (mm: number): string => formatLengthAbout(mm, units);
  if (chip === null) return `${size}; no far face to chip.`;
  if (fit.coverMm === null) return `${size}; chips of about ${about(chip.p50)} show.`;
  const hides = `the part hides ${about(fit.coverMm)}`;
  switch (verdict) {
    case 'covered':
      return `${size}; chips of about ${about(chip.p50)}, nine in ten under ${about(chip.p90)}: ${hides}.`;
    case 'tight':
      return `${size}; chips of about ${about(chip.p50)}, but one in ten is over ${about(chip.p90)}: ${hides}.`;
    default:
      return `Rejected: chips of about ${about(chip.p50)} at best, but ${hides}. Something hard behind it, or both sides, makes them smaller.`;
  }
}
