import { wornSharpness } from '../physics/wear/sharpness';
import { ABRASIVES, type Abrasive } from '../data/bits/abrasives';
import { BIT_FAMILIES } from '../data/bits/bitFamilies';
import type { Bit } from '../documents/kit';
import type { BitState } from '../data/choices';

/** What each of four looks at a bit may find, before it meets a piece that matters. */
export const BIT_LOOKS = {
  spin: ['true', 'little', 'much'],
  rim: ['stands', 'smooth', 'bare', 'chipped'],
  shank: ['straight', 'scored', 'bent'],
  slots: ['clear', 'packed', 'cracked'],
} as const;

export type BitLook = keyof typeof BIT_LOOKS;
export const BIT_LOOK_IDS = Object.keys(BIT_LOOKS) as readonly BitLook[];
export type BitLooks = { readonly [L in BitLook]: (typeof BIT_LOOKS)[L][number] };

/** What decides it. */
export type BitFinding =
  | 'shank-bent'
  | 'barrel-cracked'
  | 'runs-out'
  | 'rim-gap'
  | 'carbide-spent'
  | 'layer-gone'
  | 'bare-metal'
  | 'glazed-single'
  | 'glazed'
  | 'cuts-wide'
  | 'good';
export type BitTodo = 'clear-barrel' | 'file-shank' | 'bed-in';

export interface BitVerdict {
  readonly kind: 'use' | 'dress' | 'bin';
  readonly why: BitFinding;
  /** What to do before it is used, in order. */
  readonly doFirst: readonly BitTodo[];
  readonly sharpness: number;
  readonly runOutMm: number;
  /** What it may run out by, mm. */
  readonly runOutLimitMm: number;
  readonly state: BitState;
}

const RUN_OUT_MM = { true: 0.05, little: 0.2, much: 0.6 } as const;
/** A ring this much wider than the bit no longer makes its hole, share of its diameter and mm. */
const MAX_RUN_OUT_SHARE = 0.03;
const MIN_RUN_OUT_LIMIT_MM = 0.3;
const GLAZED = 0.45;
const BALD = 0.2;
const GOOD = 0.9;
/** Grains that still stand proud bite at least this well. */
const STANDING = 0.6;
/** Dressing brings back what wear has left. */
const MAX_DRESSED = 0.95;

/**
 * What four looks say about a bit: use it, dress it first, or bin it, with the run-out and sharpness
 * the plan then counts on.
 * @param measuredRunOutMm with a dial gauge, where there is one
 */
export function judgeBit(
  bit: Pick<Bit, 'family' | 'diameterMm' | 'holesCut' | 'sharpness' | 'depthCutMm'>,
  looks: BitLooks,
  measuredRunOutMm?: number,
): BitVerdict {
  const abrasive: Abrasive = ABRASIVES[BIT_FAMILIES[bit.family].abrasive];
  const isCarbide = BIT_FAMILIES[bit.family].abrasive === 'carbide';
  const runOutMm = measuredRunOutMm ?? RUN_OUT_MM[looks.spin];
  const limitMm = Math.max(MIN_RUN_OUT_LIMIT_MM, MAX_RUN_OUT_SHARE * bit.diameterMm);
  const isNew = (bit.holesCut ?? 0) === 0;
  const doFirst: BitTodo[] = [];
  if (looks.slots === 'packed') doFirst.push('clear-barrel');
  if (looks.shank === 'scored') doFirst.push('file-shank');
  const found = { runOutMm, runOutLimitMm: limitMm, doFirst };
  const bin = (why: BitFinding, state: BitState, sharpness: number): BitVerdict => ({
    kind: 'bin',
    why,
    state,
    sharpness,
    ...found,
  });

  if (looks.shank === 'bent') return bin('shank-bent', 'out-of-true', GOOD);
  if (looks.slots === 'cracked') return bin('barrel-cracked', 'out-of-true', GOOD);
  if (runOutMm > limitMm) return bin('runs-out', 'out-of-true', GOOD);
  if (looks.rim === 'chipped') return bin('rim-gap', 'out-of-true', GLAZED);
  if (isCarbide && (looks.rim === 'bare' || looks.rim === 'smooth'))
    return bin('carbide-spent', 'bald', BALD);
  if (looks.rim === 'bare')
    return abrasive.singleLayer
      ? bin('layer-gone', 'bald', BALD)
      : {
          kind: 'dress',
          why: 'bare-metal',
          state: 'tired',
          sharpness: GLAZED,
          ...found,
        };
  if (looks.rim === 'smooth')
    return {
      kind: 'dress',
      why: abrasive.singleLayer ? 'glazed-single' : 'glazed',
      state: 'tired',
      sharpness: GLAZED,
      ...found,
    };
  if (isNew && BIT_FAMILIES[bit.family].abrasive === 'plated') doFirst.push('bed-in');
  return {
    kind: 'use',
    why: looks.spin === 'little' ? 'cuts-wide' : 'good',
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
  const lifeMm = Math.max(...ranges.map(([min, max]) => Math.sqrt(min * max) * 1000));
  return wornSharpness(depthCutMm ?? 0, lifeMm);
}

/** How sharp a rim is once dressed: what wear has left of it, never quite new. */
export const dressedSharpness = (bit: Pick<Bit, 'family' | 'depthCutMm'>): number =>
  Math.min(MAX_DRESSED, wearLeft(bit));
