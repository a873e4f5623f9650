import type { Hold } from '../../data/choices';
import type { Machine } from '../../documents/kit';
import { bisectRising } from '../../math/bisect';
import { FEED_AIDS, type FeedAidId } from '../../data/machines/feedAids';

/** Lever and pinion of a press nobody has measured, mm. */
const USUAL_LEVER_MM = 200;
const USUAL_PINION_MM = 14;
/** What the return spring of a quill takes, N at the handle. */
export const SPRING_N = 8;
/** A stand's wheel and gear, hand force over feed force. */
const RIG_SHARE = 0.06;
/** What two arms and a lean give at their utmost, N; people differ by a third. */
export const MAX_PUSH_N = 550;
/** Nobody tires at less than this share of their most (Rohmert). */
export const UNTIRING_SHARE = 0.15;

const TENTH_N = 0.1;

/** F_handle over F: pinion radius over lever arm; 1 where the arms press directly. */
export function leverShare(
  hold: Hold,
  machine: Pick<Machine, 'leverArmMm' | 'pinionRadiusMm'>,
): number {
  if (hold === 'rig') return RIG_SHARE;
  if (hold !== 'press') return 1;
  return (machine.pinionRadiusMm ?? USUAL_PINION_MM) / (machine.leverArmMm ?? USUAL_LEVER_MM);
}

/** Whether lever and pinion are the machine's own or the usual ones. */
export const leverIsMeasured = (machine: Pick<Machine, 'leverArmMm' | 'pinionRadiusMm'>): boolean =>
  machine.leverArmMm !== undefined && machine.pinionRadiusMm !== undefined;

/** What the hand itself gives, N, for a feed force through press lever or feed aid. */
export function handForce(
  feedForceN: number,
  hold: Hold,
  machine: Pick<Machine, 'leverArmMm' | 'pinionRadiusMm'>,
  aid: FeedAidId = 'none',
): number {
  const share = leverShare(hold, machine);
  const spring = hold === 'press' ? SPRING_N : 0;
  return (feedForceN * share + spring) / FEED_AIDS[aid].ratio;
}

/**
 * How long a hand force can be held, s: Rohmert's curve of static endurance (1960),
 * t/min = −1.5 + 2.1/f − 0.6/f² + 0.1/f³ with f = F/F_most; Infinity below f = 0.15.
 * @returns 0 above what can be given at all
 */
export function enduranceS(handForceN: number, maxN = MAX_PUSH_N): number {
  const f = handForceN / maxN;
  if (f <= UNTIRING_SHARE) return Infinity;
  if (f >= 1) return 0;
  return 60 * Math.max(0, -1.5 + 2.1 / f - 0.6 / f ** 2 + 0.1 / f ** 3);
}

/**
 * The hand force that can be held for so long, N: Rohmert's curve turned round.
 * @returns the force nobody tires of where `seconds` is more than the curve has
 */
export const lastingForceN = (seconds: number, maxN = MAX_PUSH_N): number =>
  bisectRising(
    (forceN) => -enduranceS(forceN, maxN),
    -seconds,
    UNTIRING_SHARE * maxN,
    maxN,
    TENTH_N,
  );

export interface Effort {
  readonly handForceN: number;
  /** How long it can be held at a stretch, s. */
  readonly enduranceS: number;
  /** Cutting time over endurance: over 1 the arms give out before the hole is through. */
  readonly share: number;
  readonly level: 'light' | 'steady' | 'hard' | 'too-much';
}

const STEADY_SHARE = 0.4;

/** How hard a cut is on the arms. */
export function effortOf(
  feedForceN: number,
  cuttingS: number,
  hold: Hold,
  machine: Pick<Machine, 'leverArmMm' | 'pinionRadiusMm'>,
  aid: FeedAidId = 'none',
): Effort {
  const force = handForce(feedForceN, hold, machine, aid);
  const endures = enduranceS(force);
  const share = endures === Infinity ? 0 : cuttingS / Math.max(endures, 1e-9);
  const level =
    endures === Infinity
      ? 'light'
      : share <= STEADY_SHARE
        ? 'steady'
        : share <= 1
          ? 'hard'
          : 'too-much';
  return { handForceN: force, enduranceS: endures, share, level };
}
