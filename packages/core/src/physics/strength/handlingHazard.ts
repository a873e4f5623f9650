import { isHeldByStand } from '../../data/holds';
import { ABRASIVES, type AbrasiveId } from '../../data/bits/abrasives';
import { normalCdf } from '../../math/normal';
import type { Damage, Hold, Start } from '../../data/choices';

/**
 * The hazard of handling: what slips, jerks, wobble and breaking through add to the stresses of the
 * plan. P_hand = 1 − exp(−Λ_hand), with
 * ln Λ_hand = ln Λ₀ + θ_hold + θ_assembled + θ_start + q·ln(t₀/t) + f(age) + θ_wobble + θ_drop + θ_damage
 *   + θ_unsure + θ_person.
 * Values: general practice, weighed in docs/evidence.md; a log narrows them.
 */

/** Λ₀: a loose sheet of t₀ in a held guide with a new bit. */
const BASE = 0.0036;
const θ_HOLD = {
  freehand: Math.log(1.1),
  guided: 0,
  press: Math.log(0.6),
  rig: Math.log(0.3),
} as const satisfies Record<Hold, number>;
/** Built in, a pane is held all round and cannot give. */
const θ_ASSEMBLED = Math.log(1.9);
const θ_START = {
  guide: 0,
  seat: 0,
  pilot: 0,
  tape: Math.log(1.05),
  tilt: Math.log(1.1),
} as const satisfies Record<Start, number>;
/** A wall's face spoils a tenth as often as a piece breaks. */
const θ_MASONRY = Math.log(0.1);
/** A crack that is there runs on; a chip or a mend gives one a place to begin. */
const θ_DAMAGE = {
  none: 0,
  'edge-chip': Math.log(1.3),
  mended: Math.log(2),
  crack: Math.log(5),
} as const satisfies Record<Damage, number>;
/** A millimetre of wobble. */
const θ_WOBBLE_PER_MM = 1.3;
/** Nobody is sure what it is: more goes otherwise than meant. */
const θ_UNSURE = Math.log(1.5);

/** q: how steeply odds fall with thickness; log-linear between the built panes of practice. */
const THICKNESS_EXPONENT = 5;
/** sd of q before a log narrows it. */
export const THICKNESS_EXPONENT_SD = 2;
/** t₀, mm. */
const T0_MM = 6;
/** Thicker than this gains no more: what is left are slips, mm. */
const THICK_MM = 8;
/** Λ grows by this for each 1/s − 1 of wear: a single layer jerks as it goes bald, a bond opens again. */
const AGE = { singleLayer: 3, bonded: 1 } as const;
/** sd of ln Λ_hand between people and days, at t₀. */
export const HANDLING_SD = 0.6;

export interface HandlingCase {
  readonly hold: Hold;
  readonly start: Start;
  readonly assembled: boolean;
  /** null for bulky pieces. */
  readonly sheetThicknessMm: number | null;
  readonly abrasive: AbrasiveId;
  /** Run-out and play of the rim, mm. */
  readonly wobbleMm: number;
  /** Energy of the drop behind the last web over what doubles the hazard: `dropShare`. */
  readonly dropShare: number;
  readonly damage: Damage;
  readonly masonry: boolean;
  /** What it is made of is a guess. */
  readonly unsure: boolean;
  /** θ_person: 0 for a person nobody knows. */
  readonly person: number;
}

const thicknessOf = (sheetThicknessMm: number | null): number =>
  Math.min(sheetThicknessMm ?? THICK_MM, THICK_MM);

/** (t₀/t)^q; a bulky piece is as good as a thick one. */
export const thinHazard = (sheetThicknessMm: number | null): number =>
  (T0_MM / thicknessOf(sheetThicknessMm)) ** THICKNESS_EXPONENT;

/** 1 + c·(1/s − 1): 1 with a new bit. */
export const ageHazard = (sharpness: number, abrasive: AbrasiveId): number =>
  1 + (ABRASIVES[abrasive].singleLayer ? AGE.singleLayer : AGE.bonded) * (1 / sharpness - 1);

/**
 * Mean of 1 + c·(1/s − 1) with s log-normal and never over 1: with z* = −ln s₀/σ,
 * E[1/s] = e^(σ²/2)/s₀·Φ(z* + σ) + 1 − Φ(z*).
 */
function meanAgeHazard(s0: number, σ: number, abrasive: AbrasiveId): number {
  if (σ === 0) return ageHazard(s0, abrasive);
  const zTop = -Math.log(s0) / σ;
  const meanInverse = (Math.exp(σ ** 2 / 2) / s0) * normalCdf(zTop + σ) + 1 - normalCdf(zTop);
  return ageHazard(1 / meanInverse, abrasive);
}

/** Λ_hand before thickness and age. */
export const handlingBase = (at: HandlingCase): number =>
  BASE *
  Math.exp(
    θ_HOLD[at.hold] +
      (at.assembled ? θ_ASSEMBLED : 0) +
      θ_START[at.start] +
      θ_DAMAGE[at.damage] +
      θ_WOBBLE_PER_MM * at.wobbleMm +
      Math.log(1 + at.dropShare) +
      (at.masonry ? θ_MASONRY : 0) +
      (at.unsure ? θ_UNSURE : 0) +
      at.person,
  );

/**
 * Λ_hand: the mean over people, days, and how sharp the rim really is.
 * @param sharpnessSd sd of ln s
 */
export const handlingHazard = (at: HandlingCase, sharpness: number, sharpnessSd = 0): number =>
  handlingBase(at) *
  thinHazard(at.sheetThicknessMm) *
  meanAgeHazard(sharpness, sharpnessSd, at.abrasive);

/** sd of ln Λ_hand: between people, and what is not known of q away from t₀. */
export const handlingSd = (sheetThicknessMm: number | null): number =>
  Math.hypot(HANDLING_SD, THICKNESS_EXPONENT_SD * Math.log(T0_MM / thicknessOf(sheetThicknessMm)));

/** P = 1 − exp(−Λ). */
export const oddsOf = (hazard: number): number => -Math.expm1(-hazard);

/** Stiffness of arms and body behind a drill, N/mm. */
const ARM_N_PER_MM = 1.5;
/** Push energy at which a drop doubles the hazard of a sheet of t₀, J. */
const DROP_J = 0.6;

/**
 * E/E₀, E = F²/(2k): what is stored in arms that push with F as the last web lets go, over what doubles
 * the hazard, 0.6 J and with the square of the thickness above t₀. A press or stand has a rack and a stop.
 * @param exitForceN as the edge feels it, wobble in it
 */
export const dropShare = (hold: Hold, exitForceN: number, thicknessMm: number): number =>
  isHeldByStand(hold)
    ? 0
    : exitForceN ** 2 /
      (2 * ARM_N_PER_MM) /
      1000 /
      (DROP_J * Math.max(1, thicknessMm / T0_MM) ** 2);
