import type { BitFinding, BitLook, BitLooks, BitTodo, BitVerdict } from '../../advice/bitCheck';
import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import type { UnitSystem } from '../../data/unitSystem';
import type { Bit } from '../../documents/kit';
import { formatLength } from '../units/length';

/** The four looks at a bit before it meets a piece that matters. */
export const BIT_LOOK_WORDS = {
  spin: {
    title: 'Spin it',
    ask: 'In the chuck it will run in, slowly. Watch the rim against something fixed.',
    answers: {
      true: 'Runs true',
      little: 'Wobbles a little',
      much: 'Wobbles clearly',
    },
  },
  rim: {
    title: 'The rim',
    ask: 'Draw a fingernail across it, or look through a loupe.',
    answers: {
      stands: 'Grains stand proud, it catches',
      smooth: 'Smooth all round, it slides',
      bare: 'Bare metal shows',
      chipped: 'Chipped or a segment gone',
    },
  },
  shank: {
    title: 'The shank',
    ask: 'Roll it on something flat; look where the chuck gripped.',
    answers: { straight: 'Straight and clean', scored: 'Scored by slipping', bent: 'Bent' },
  },
  slots: {
    title: 'Barrel and slots',
    ask: 'Look inside and through the slots.',
    answers: { clear: 'Clear', packed: 'A core or fines inside', cracked: 'A crack runs from it' },
  },
} as const satisfies {
  readonly [L in BitLook]: {
    title: string;
    ask: string;
    answers: Readonly<Record<BitLooks[L], string>>;
  };
};

/** The same of carbide, which has edges and no grains. */
const CARBIDE_RIM = {
  title: 'The edge',
  ask: 'Look along it at a light, or draw it over a fingernail.',
  answers: {
    stands: 'Sharp, it shaves the nail',
    smooth: 'Rounded, it shines',
    bare: 'Worn back to the brazing',
    chipped: 'A corner gone',
  },
} as const;

/** What a look asks of this family of bit. */
export const lookAt = (
  look: BitLook,
  family: Bit['family'],
): (typeof BIT_LOOK_WORDS)[BitLook] | typeof CARBIDE_RIM =>
  look === 'rim' && BIT_FAMILIES[family].abrasive === 'carbide'
    ? CARBIDE_RIM
    : BIT_LOOK_WORDS[look];

const FINDINGS: Readonly<
  Record<BitFinding, (verdict: BitVerdict, L: (mm: number) => string) => string>
> = {
  'shank-bent': () => 'The shank is bent: it cannot run true.',
  'barrel-cracked': () => 'A cracked barrel tears off in the cut.',
  'runs-out': ({ runOutMm, runOutLimitMm }, L) =>
    `It runs out by ${L(runOutMm)}; over ${L(runOutLimitMm)} the hole comes out too wide and its edge chips. Chuck it again once; if it stays, bin it.`,
  'rim-gap': () => 'A rim with a gap hammers on every turn.',
  'carbide-spent': () => 'A carbide edge that has gone round only rubs: it is spent.',
  'layer-gone': () => 'This rim is one layer of diamond, and it is gone.',
  'bare-metal': () =>
    'Bare metal hides the next layer of diamond: dress it in an abrasive block until it catches.',
  'glazed-single': () =>
    'Glazed: dress it lightly in a soft abrasive stone, wet, for ten seconds. If it still slides it is bald.',
  glazed: () => 'Glazed: dress it in an abrasive block until it catches.',
  'cuts-wide': () => 'Use it: it cuts a hair wide.',
  good: () => 'Use it.',
};

const TODOS = {
  'clear-barrel': 'Push the core out and rinse the barrel before it goes in.',
  'file-shank': 'File the burrs off the shank and tighten the chuck at all its holes.',
  'bed-in': 'New and plated: bed it in for the first millimetre with the least force.',
} as const satisfies Record<BitTodo, string>;

export const verdictText = (verdict: BitVerdict, units: UnitSystem): string =>
  FINDINGS[verdict.why](verdict, (mm) => formatLength(mm, units));

export const todoText = (todo: BitTodo): string => TODOS[todo];
