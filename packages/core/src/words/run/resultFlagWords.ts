import type { ResultFlag, ResultFlagCode } from '../../run/judgeResult';
import type { UnitSystem } from '../../data/unitSystem';
import { formatLengthShort } from '../units/length';

type Of<Code extends ResultFlagCode> = Extract<ResultFlag, { readonly code: Code }>;

const FLAG_WORDS: {
  readonly [Code in ResultFlagCode]: (flag: Of<Code>, L: (mm: number) => string) => string;
} = {
  'crack-not-seen': () => 'The run ended with a crack; the result says there is none.',
  'fine-but-cracked': () => 'Called fine, with a crack.',
  'fine-but-given-up': () => 'The run was given up; the result says fine.',
  'exit-of-blind': () => 'A hole that does not go through has no exit to measure.',
  'narrower-than-bit': ({ entryDiameterMm, bitDiameterMm }, L) =>
    `${L(entryDiameterMm)} across is less than the bit, ${L(bitDiameterMm)}.`,
  'far-wider-than-bit': ({ entryDiameterMm, bitDiameterMm }, L) =>
    `${L(entryDiameterMm)} across is far more than the bit, ${L(bitDiameterMm)}: was it this bit?`,
  'chip-wider-than-hole': ({ chipMm }, L) =>
    `A chip of ${L(chipMm)} is wider than the hole: that is a break.`,
  'fits-but-not-through': () => 'The part fits, yet the run did not reach its depth.',
  'chip-beyond-plan': ({ exitChipMm, p90Mm }, L) =>
    `An exit chip of ${L(exitChipMm)}: ${p90Mm > 0 ? `nine in ten were expected under ${L(p90Mm)}` : 'none was expected'}.`,
};

/** What a result says that the run does not bear out, in a sentence. */
export const resultFlagText = (flag: ResultFlag, units: UnitSystem): string =>
  (FLAG_WORDS[flag.code] as (flag: ResultFlag, L: (mm: number) => string) => string)(flag, (mm) =>
    formatLengthShort(mm, units),
  );
