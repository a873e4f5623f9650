import { ABRASIVES } from '../../data/bits/abrasives';
import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import type { Bit } from '../../documents/kit';
import type { Material } from '../../data/materials/material';

const DRY_LIFE = 0.1;
const TOO_FAST_LIFE = 0.5;
const TOO_HARD_LIFE = 0.4;
const GLAZED_SHARPNESS = 0.3;
/** Below this there is no telling by how much a rim is worn. */
const MIN_SHARPNESS = 0.01;
const GLAZE_GRACE_S = 20;

export interface Handling {
  readonly dry: boolean;
  readonly tooFast: boolean;
  readonly tooHard: boolean;
}

/** Depth cut until half the bite is gone, mm: the middle, and the tenth and ninetieth of a hundred bits. */
export interface LifeDepth {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

/**
 * L_life, mm, by how the rim holds its grains and what it cuts, scaled by handling; the middle is the
 * geometric mean of the range. A rim made for dry is not shortened by running so.
 */
export function lifeDepth(
  family: Bit['family'],
  material: Pick<Material, 'class' | 'abrasiveness'>,
  handling: Handling,
): LifeDepth {
  const { abrasive, mayRunDry } = BIT_FAMILIES[family];
  const { lifeDepthM, lifeFactor } = ABRASIVES[abrasive];
  const [p10, p90] = lifeDepthM[material.class];
  const mmPerM =
    1000 *
    lifeFactor[material.abrasiveness] *
    (handling.dry && !mayRunDry ? DRY_LIFE : 1) *
    (handling.tooFast ? TOO_FAST_LIFE : 1) *
    (handling.tooHard ? TOO_HARD_LIFE : 1);
  return { p10: p10 * mmPerM, p50: Math.sqrt(p10 * p90) * mmPerM, p90: p90 * mmPerM };
}

/** s = 1/(1 + (L/L_life)²): 1 new, one half when its life is cut. */
export const wornSharpness = (depthCutMm: number, lifeDepthMm: number): number =>
  1 / (1 + (depthCutMm / lifeDepthMm) ** 2);

/** s after so much more depth: a sharpness set by hand stands for the depth that would have worn it so far. */
export function wornFurther(sharpness: number, depthMm: number, lifeDepthMm: number): number {
  const doneMm = lifeDepthMm * Math.sqrt(1 / Math.max(sharpness, MIN_SHARPNESS) - 1);
  return wornSharpness(doneMm + depthMm, lifeDepthMm);
}

/** The bit's sharpness: as the person set it, else worn by the depth it has cut, else new. */
export const bitSharpness = (
  bit: Pick<Bit, 'sharpness' | 'depthCutMm'>,
  lifeDepthMm: number,
): number => bit.sharpness ?? wornSharpness(bit.depthCutMm ?? 0, lifeDepthMm);

/**
 * Mean of s₀/s over a stretch of the hole: how much longer it takes than at the sharpness s₀ the hole
 * was begun with. With x = L/L_life, 1/s = 1 + x², so its mean over x₁…x₂ is
 * 1 + (x₁² + x₁x₂ + x₂²)/3.
 */
export function meanSlowness(
  sharpness: number,
  fromMm: number,
  toMm: number,
  lifeDepthMm: number,
): number {
  const x0 = Math.sqrt(1 / Math.max(sharpness, MIN_SHARPNESS) - 1);
  const x1 = x0 + fromMm / lifeDepthMm;
  const x2 = x0 + toMm / lifeDepthMm;
  return sharpness * (1 + (x1 * x1 + x1 * x2 + x2 * x2) / 3);
}

/** How fast a rim that only rubs loses its bite: hard dense bodies polish it, loose grain keeps it open. */
const GLAZE_LOSS_PER_S = { hard: 0.02, medium: 0.01, 'soft-abrasive': 0 } as const satisfies Record<
  Material['abrasiveness'],
  number
>;

/** Below the glaze pressure for longer than 20 s, s falls up to 2 % a second down to 0.3. */
export function glazedSharpness(
  sharpness: number,
  contactS: number,
  abrasiveness: Material['abrasiveness'] = 'hard',
): number {
  const lost = Math.max(0, contactS - GLAZE_GRACE_S) * GLAZE_LOSS_PER_S[abrasiveness];
  return Math.min(sharpness, Math.max(GLAZED_SHARPNESS, sharpness * (1 - lost)));
}

/**
 * How long a cut takes that would take `sharpS` if the rim kept its bite, pressed below the glaze
 * pressure all the while, s. The bite lost to t is (t − 20)²/2 times the loss a second, until 0.3 is left.
 */
export function glazingTime(
  sharpS: number,
  sharpness: number,
  abrasiveness: Material['abrasiveness'],
): number {
  const lossPerS = GLAZE_LOSS_PER_S[abrasiveness];
  const left = GLAZED_SHARPNESS / sharpness;
  if (lossPerS === 0 || left >= 1 || sharpS <= GLAZE_GRACE_S || !Number.isFinite(sharpS))
    return sharpS;
  // Since the grace ended: done = t − loss·t²/2 until t_e = (1 − left)/loss, then left·t.
  const beyond = sharpS - GLAZE_GRACE_S;
  const tEnd = (1 - left) / lossPerS;
  const doneAtEnd = tEnd - (lossPerS * tEnd ** 2) / 2;
  const t =
    beyond <= doneAtEnd
      ? (1 - Math.sqrt(1 - 2 * lossPerS * beyond)) / lossPerS
      : tEnd + (beyond - doneAtEnd) / left;
  return GLAZE_GRACE_S + t;
}
