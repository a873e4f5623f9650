import type { Unknown } from '../risk/riskModel';

/** Where the answer to an unknown is found in the application. */
export type AnswerPlace = 'bit-check' | 'know-the-piece' | 'press-trainer' | 'trial' | 'thickness';

export interface UnknownWords {
  readonly title: string;
  /** What is not known. */
  readonly what: string;
  /** What to do about it; null where only a log of holes will tell. */
  readonly ask: { readonly place: AnswerPlace; readonly text: string } | null;
}

/** How each unknown is spoken of, and how it may be settled. */
export const UNKNOWN_WORDS = {
  force: {
    title: 'How evenly you press',
    what: 'By hand the force wanders by a quarter, in a guide by a seventh, in a press by a twelfth.',
    ask: {
      place: 'press-trainer',
      text: 'Practise against a scale, or put it in a guide or a press.',
    },
  },
  speed: {
    title: 'How fast it really turns',
    what: 'A motor slows under load, and a dial is off by a twentieth.',
    ask: null,
  },
  sharpness: {
    title: 'How sharp the bit is',
    what: 'Worn, a rim cuts slower and shells the exit wider.',
    ask: { place: 'bit-check', text: 'Look at the bit: four looks, a minute.' },
  },
  rate: {
    title: 'How hard this very piece grinds',
    what: 'Two pieces of one kind differ by a quarter or more.',
    ask: { place: 'trial', text: 'Drill a trial hole in a spare and time it.' },
  },
  toughness: {
    title: 'How easily its edge shells',
    what: 'Toughness of one kind of material differs by a tenth.',
    ask: { place: 'trial', text: 'Drill through a spare and look at its far face.' },
  },
  thickness: {
    title: 'How thick it is under the bit',
    what: 'Sheets and stones are not of one thickness.',
    ask: { place: 'thickness', text: 'Measure the thickness in two or three places.' },
  },
  mix: {
    title: 'What the bit meets inside',
    what: 'Aggregate, mortar and bars come by turns.',
    ask: null,
  },
  identity: {
    title: 'What the piece is',
    what: 'It may be one of several things, and they grind differently.',
    ask: { place: 'know-the-piece', text: 'Find out what it is: a scratch, a drop, a look.' },
  },
} as const satisfies Record<Unknown, UnknownWords>;
