import { ONE_HAND_NM, TWO_HANDS_NM } from '../effort/handLimits';

/** What wet fingers and a flat palm hold, N·m. */
export const FINGERS_NM = 0.5;
export const PALM_NM = 2;
/** A rim that grabs twists this many times as hard as it cuts. */
export const GRAB = 3;

export interface HoldingTorque {
  /** What the piece must be held against, N·m: the cut's torque when it grabs. */
  readonly grabNm: number;
  readonly holdWith: 'fingers' | 'palm' | 'clamp';
}

export function holdingTorque(torqueNm: number): HoldingTorque {
  const grabNm = GRAB * torqueNm;
  return {
    grabNm,
    holdWith: grabNm <= FINGERS_NM ? 'fingers' : grabNm <= PALM_NM ? 'palm' : 'clamp',
  };
}

export interface JamTorque {
  readonly jamNm: number;
  readonly heldBy: 'one-hand' | 'two-hands' | 'rig';
}

/** When the bit jams the machine turns instead: what holds that. */
export const jamTorque = (stallNm: number, clutchNm: number | null): JamTorque => {
  const jamNm = Math.min(stallNm, clutchNm ?? Infinity);
  return {
    jamNm,
    heldBy: jamNm <= ONE_HAND_NM ? 'one-hand' : jamNm <= TWO_HANDS_NM ? 'two-hands' : 'rig',
  };
};
