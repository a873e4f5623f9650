import type { Unknown } from '../../physics/strength/riskModel';

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
    what: 'Grain, bond and piece move the specific energy by a factor of two either way.',
    ask: { place: 'trial', text: 'Drill a trial hole in a spare and time it.' },
  },
  pauses: {
    title: 'How long the pauses are',
    what: 'Lifts, water, cores and bits take one person half as long again as another.',
    ask: null,
  },
  toughness: {
    title: 'How easily its edge shells',
    what: 'Toughness of one kind of material differs by a tenth.',
    ask: { place: 'trial', text: 'Drill through a spare and look at its far face.' },
  },
  shelling: {
    title: 'How it shells this time',
    what: 'Backing, hold and the ring’s own force act differently from hole to hole.',
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
  heat: {
    title: 'How much heat goes into it',
    what: 'The share that enters the piece is known to a quarter.',
    ask: null,
  },
  constraint: {
    title: 'How far the cold piece holds the hot ring',
    what: 'The strain from heat is known to a third.',
    ask: null,
  },
  strength: {
    title: 'How strong its drilled edge is',
    what: 'Pieces of one kind differ by a fifth and more.',
    ask: null,
  },
  weibull: {
    title: 'How its strength scatters',
    what: 'The Weibull modulus is known to a fifth.',
    ask: null,
  },
  handling: {
    title: 'Handling',
    what: 'People and days differ, and how steeply thin pieces break more is known roughly.',
    ask: null,
  },
  identity: {
    title: 'What the piece is',
    what: 'It may be one of several things, and they grind differently.',
    ask: { place: 'know-the-piece', text: 'Find out what it is: a scratch, a drop, a look.' },
  },
} as const satisfies Record<Unknown, UnknownWords>;
