import { formatLength } from '../words/units/length';
import type { UnitSystem } from '../words/units/unitSystem';
import { wornSharpness } from '../physics/wear/sharpness';
import { ABRASIVES, type Abrasive } from '../data/bits/abrasives';
import { BIT_FAMILIES } from '../data/bits/bitFamilies';
import type { Bit } from '../documents/kit';
import type { BitState } from '../data/choices';

/** The four looks at a bit before it meets a piece that matters. */
export const BIT_LOOKS = {
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
} as const satisfies Record<
  string,
  { title: string; ask: string; answers: Readonly<Record<string, string>> }
>;

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
): (typeof BIT_LOOKS)[BitLook] | typeof CARBIDE_RIM =>
  look === 'rim' && BIT_FAMILIES[family].abrasive === 'carbide' ? CARBIDE_RIM : BIT_LOOKS[look];

export type BitLook = keyof typeof BIT_LOOKS;
export const BIT_LOOK_IDS = Object.keys(BIT_LOOKS) as readonly BitLook[];
export type BitLooks = { readonly [L in BitLook]: keyof (typeof BIT_LOOKS)[L]['answers'] };

export interface BitVerdict {
  readonly kind: 'use' | 'dress' | 'bin';
  readonly text: string;
  /** What to do before it is used, in order. */
  readonly doFirst: readonly string[];
  readonly sharpness: number;
  readonly runOutMm: number;
  readonly state: BitState;
}

const RUN_OUT_MM = { true: 0.05, little: 0.2, much: 0.6 } as const;
/** A ring this much wider than the bit no longer makes its hole, share of its diameter and mm. */
const MOST_RUN_OUT_SHARE = 0.03;
const LEAST_RUN_OUT_LIMIT_MM = 0.3;
const GLAZED = 0.45;
const BALD = 0.2;
const GOOD = 0.9;
/** Grains that still stand proud bite at least this well. */
const STANDING = 0.6;
/** Dressing brings back what wear has left. */
const DRESSED_AT_MOST = 0.95;

/**
 * What four looks say about a bit: use it, dress it first, or bin it, with the run-out and sharpness
 * the plan then reckons with.
 * @param measuredRunOutMm with a dial gauge, where there is one
 */
export function judgeBit(
  bit: Pick<Bit, 'family' | 'diameterMm' | 'holesCut' | 'sharpness' | 'depthCutMm'>,
  looks: BitLooks,
  units: UnitSystem,
  measuredRunOutMm?: number,
): BitVerdict {
  const abrasive: Abrasive = ABRASIVES[BIT_FAMILIES[bit.family].abrasive];
  const isCarbide = BIT_FAMILIES[bit.family].abrasive === 'carbide';
  const runOutMm = measuredRunOutMm ?? RUN_OUT_MM[looks.spin];
  const limitMm = Math.max(LEAST_RUN_OUT_LIMIT_MM, MOST_RUN_OUT_SHARE * bit.diameterMm);
  const isNew = (bit.holesCut ?? 0) === 0;
  const doFirst: string[] = [];
  if (looks.slots === 'packed')
    doFirst.push('Push the core out and rinse the barrel before it goes in.');
  if (looks.shank === 'scored')
    doFirst.push('File the burrs off the shank and tighten the chuck at all its holes.');
  const found = { runOutMm, doFirst };
  const bin = (text: string, state: BitState, sharpness: number): BitVerdict => ({
    kind: 'bin',
    text,
    state,
    sharpness,
    ...found,
  });

  if (looks.shank === 'bent')
    return bin('The shank is bent: it cannot run true.', 'out-of-true', GOOD);
  if (looks.slots === 'cracked')
    return bin('A cracked barrel tears off in the cut.', 'out-of-true', GOOD);
  if (runOutMm > limitMm)
    return bin(
      `It runs out by ${formatLength(runOutMm, units)}; over ${formatLength(limitMm, units)} the hole comes out too wide and its edge chips. Chuck it again once; if it stays, bin it.`,
      'out-of-true',
      GOOD,
    );
  if (looks.rim === 'chipped')
    return bin('A rim with a gap hammers on every turn.', 'out-of-true', GLAZED);
  if (isCarbide && (looks.rim === 'bare' || looks.rim === 'smooth'))
    return bin('A carbide edge that has gone round only rubs: it is spent.', 'bald', BALD);
  if (looks.rim === 'bare')
    return abrasive.singleLayer
      ? bin('This rim is one layer of diamond, and it is gone.', 'bald', BALD)
      : {
          kind: 'dress',
          text: 'Bare metal hides the next layer of diamond: dress it in an abrasive block until it catches.',
          state: 'tired',
          sharpness: GLAZED,
          ...found,
        };
  if (looks.rim === 'smooth')
    return {
      kind: 'dress',
      text: abrasive.singleLayer
        ? 'Glazed: dress it lightly in a soft abrasive stone, wet, for ten seconds. If it still slides it is bald.'
        : 'Glazed: dress it in an abrasive block until it catches.',
      state: 'tired',
      sharpness: GLAZED,
      ...found,
    };
  if (isNew && BIT_FAMILIES[bit.family].abrasive === 'plated')
    doFirst.push('New and plated: bed it in for the first millimetre with the least force.');
  return {
    kind: 'use',
    text: looks.spin === 'little' ? 'Use it: it cuts a hair wide.' : 'Use it.',
    state: isNew ? 'new' : 'good',
    sharpness: isNew ? 1 : Math.max(bit.sharpness ?? wearLeft(bit), STANDING),
    ...found,
  };
}

/** How sharp a rim is that was found so after a hole; null where the look says nothing of it. */
export const sharpnessFound = (state: BitState): number | null =>
  state === 'tired' ? GLAZED : state === 'bald' ? BALD : null;

/** What wear has left of a rim in the kindest of the materials it is made for, 0 to 1. */
function wearLeft({ family, depthCutMm }: Pick<Bit, 'family' | 'depthCutMm'>): number {
  const ranges = Object.values(ABRASIVES[BIT_FAMILIES[family].abrasive].lifeDepthM);
  const lifeMm = Math.max(...ranges.map(([least, most]) => Math.sqrt(least * most) * 1000));
  return wornSharpness(depthCutMm ?? 0, lifeMm);
}

/** How sharp a rim is once dressed: what wear has left of it, never quite new. */
export const dressedSharpness = (bit: Pick<Bit, 'family' | 'depthCutMm'>): number =>
  Math.min(DRESSED_AT_MOST, wearLeft(bit));
