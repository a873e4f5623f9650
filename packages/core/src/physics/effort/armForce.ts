import type { Hold } from '../../data/choices';
import type { Machine } from '../../documents/kit';
import { FEED_AIDS, type FeedAidId } from '../../data/machines/feedAids';
import { enduranceS, leverShare, MAX_PUSH_N, SPRING_N, UNTIRING_SHARE } from './pressing';

/** What nobody is asked to press with unaided, N: about a third of body weight. */
export const MAX_UNAIDED_N = 250;
/** A free hand steers as well as it presses, N. */
const MAX_FREE_HAND_N = 150;
/** A weight one still lifts on to its hook, N. */
const MAX_HUNG_N = 500;
/** A push goes on about this long between two lifts, s, and no longer than this share of what it could. */
const LONGEST_PUSH_S = 20;
const PUSH_SHARE_OF_ENDURANCE = 0.5;
/** Forces tried between the untiring and the most. */
const TRIED = 48;

const maxHandN = (hold: Hold): number => (hold === 'freehand' ? MAX_FREE_HAND_N : MAX_UNAIDED_N);

/**
 * Rest over work at a hand force: Rohmert's rest allowance (1973) for static holding,
 * RA = 18·(t/T)^1.4·(f − 0.15)^0.5, f = F/F_most, T the endurance, t the length of one push. The push
 * is as long as lifting the bit to flush allows, and at most half of T.
 */
export function restAllowance(handForceN: number, maxN = MAX_PUSH_N): number {
  const f = handForceN / maxN;
  const T = enduranceS(handForceN, maxN);
  if (f <= UNTIRING_SHARE || T === 0) return T === 0 ? Infinity : 0;
  const t = Math.min(LONGEST_PUSH_S, PUSH_SHARE_OF_ENDURANCE * T);
  return 18 * (t / T) ** 1.4 * (f - UNTIRING_SHARE) ** 0.5;
}

/** A cut of four minutes and more tires as a long one does; a shorter one by its share of them, s. */
const LONG_CUT_S = 240;

/** How far a cut has tired the arms by its end, 0 to 1. */
export const fatigue = (cuttingS: number): number => Math.min(1, cuttingS / LONG_CUT_S);

/** What arms, lever and feed aid give, N at the bit. */
export interface ArmForce {
  /** For as long as one likes, with rests. */
  readonly lastingN: number;
  /** In one push. */
  readonly onePushN: number;
}

/**
 * The lasting force is the one at which cutting and resting together take least,
 * (F − F_idle)/(1 + RA(F)), between what nobody tires of and the most of this hold.
 * @param idleForceN below this the rim only rubs, N
 */
export function armForce(
  hold: Hold,
  machine: Pick<Machine, 'leverArmMm' | 'pinionRadiusMm'>,
  aid: FeedAidId,
  idleForceN: number,
): ArmForce {
  if (aid === 'weight') return { lastingN: MAX_HUNG_N, onePushN: MAX_HUNG_N };
  const spring = hold === 'press' ? SPRING_N : 0;
  const gain = FEED_AIDS[aid].ratio / leverShare(hold, machine);
  const atBit = (handN: number): number => (handN - spring) * gain;
  const [min, max] = [UNTIRING_SHARE * MAX_PUSH_N, maxHandN(hold)];
  const pace = (handN: number): number => (atBit(handN) - idleForceN) / (1 + restAllowance(handN));
  let best = max;
  if (pace(max) > 0)
    for (let i = 0; i < TRIED; i++) {
      const handN = min + ((max - min) * i) / TRIED;
      if (pace(handN) > pace(best)) best = handN;
    }
  return { lastingN: atBit(best), onePushN: atBit(max) };
}

/**
 * What they give for as long as a cut takes, N: from one push towards the lasting force, as it tires.
 * @param cuttingS how long it would take at the lasting force, s
 */
export const forceForCut = ({ lastingN, onePushN }: ArmForce, cuttingS: number): number =>
  onePushN - (onePushN - lastingN) * fatigue(cuttingS);
