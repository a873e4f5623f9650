import type { UnitSystem } from '../../data/unitSystem';
import type { MarkNote } from '../../layout/markSheet';
import { formatLengthShort } from '../units/length';

const NOTES = {
  'from-the-seam':
    'Make a seam mark first, upright from base to rim, and measure every hole from it: one error is not carried to the next.',
  'from-two-edges':
    'Measure every hole from the same two edges or points, not from hole to hole: one error is not carried to the next.',
  degrease: 'Dry and degrease the face first. Where you tape, measure again on the tape.',
  'strike-a-level':
    'Strike the level line with a spirit level, not from floor or ceiling: they seldom are level.',
} as const satisfies Record<Exclude<MarkNote['code'], 'check-the-third'>, string>;

/** How to go about marking a piece, a sentence each. */
export const markNoteText = (note: MarkNote, units: UnitSystem): string =>
  note.code === 'check-the-third'
    ? `Check the third distance of each before you drill: the smallest hole is ${formatLengthShort(note.smallestMm, units)}.`
    : NOTES[note.code];
