import type { Bit, SharpnessNote } from '../documents/kit';
import type { BitEnd, BitState } from '../data/choices';
import { formatSignificant } from './units/roundNumber';

const STATES: Readonly<Record<BitState, string>> = {
  new: 'New',
  good: 'Good',
  tired: 'Tired',
  bald: 'Bald',
  'out-of-true': 'Out of true',
};

export const BIT_END_WORDS = {
  worn: 'Worn out',
  broken: 'Broken',
  lost: 'Lost',
  'not-needed': 'Not needed',
} as const satisfies Record<BitEnd, string>;

export const stateWords = (state: BitState): string => STATES[state];

const HOWS: Readonly<Record<SharpnessNote['how'], string>> = {
  checked: 'looked at',
  dressed: 'dressed',
  set: 'set by hand',
  drilled: 'worn by a hole',
};

/** `0.93, looked at`: one line of a bit's history. */
export const noteWords = ({ sharpness, how }: SharpnessNote): string =>
  `${formatSignificant(sharpness, 2)}, ${HOWS[how]}`;

/** When it was last dressed; null where it never was. */
export const lastDressed = ({ sharpnessLog = [] }: Pick<Bit, 'sharpnessLog'>): string | null =>
  sharpnessLog.findLast(({ how }) => how === 'dressed')?.at ?? null;
