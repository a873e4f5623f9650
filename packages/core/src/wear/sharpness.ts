import { BIT_FAMILIES, type BitFamily } from '../bits/bitFamilies';
import type { Bit } from '../documents/kit';
import type { Material } from '../documents/material';

/** Hard bodies strip a single layer of diamond in half the depth. */
const HARD_BODY_LIFE = 0.5;
const HARD_BODIES = new Set(['porcelain-tile', 'porcelain-vessel', 'quartzite-agate']);
const DRY_LIFE = 0.1;
const TOO_FAST_LIFE = 0.5;
const TOO_HARD_LIFE = 0.4;
const GLAZED_SHARPNESS = 0.3;
/** Below this there is no telling by how much a rim is worn. */
const LEAST_SHARPNESS = 0.01;
const GLAZE_GRACE_S = 20;
const GLAZE_LOSS_PER_S = 0.02;

export interface Handling {
  readonly dry: boolean;
  readonly tooFast: boolean;
  readonly tooHard: boolean;
}

/** L_life, mm: the geometric mean of the family's range, scaled by material and handling. */
export function lifeDepth(
  family: Bit['family'],
  material: Pick<Material, 'id'>,
  handling: Handling,
): number {
  const bitFamily: BitFamily = BIT_FAMILIES[family];
  const [least, most] = bitFamily.lifeDepthM;
  const hard = bitFamily.plated && HARD_BODIES.has(material.id) ? HARD_BODY_LIFE : 1;
  return (
    Math.sqrt(least * most) *
    1000 *
    hard *
    (handling.dry ? DRY_LIFE : 1) *
    (handling.tooFast ? TOO_FAST_LIFE : 1) *
    (handling.tooHard ? TOO_HARD_LIFE : 1)
  );
}

/** s = 1/(1 + (L/L_life)²): 1 new, one half when its life is cut. */
export const wornSharpness = (depthCutMm: number, lifeDepthMm: number): number =>
  1 / (1 + (depthCutMm / lifeDepthMm) ** 2);

/** s after so much more depth: a sharpness set by hand stands for the depth that would have worn it so far. */
export function wornFurther(sharpness: number, depthMm: number, lifeDepthMm: number): number {
  const doneMm = lifeDepthMm * Math.sqrt(1 / Math.max(sharpness, LEAST_SHARPNESS) - 1);
  return wornSharpness(doneMm + depthMm, lifeDepthMm);
}

/** The bit's sharpness: as the person set it, else worn by the depth it has cut, else new. */
export const bitSharpness = (
  bit: Pick<Bit, 'sharpness' | 'depthCutMm'>,
  lifeDepthMm: number,
): number => bit.sharpness ?? wornSharpness(bit.depthCutMm ?? 0, lifeDepthMm);

/** Below the glaze pressure for longer than 20 s, s falls 2 % a second down to 0.3. */
export function glazedSharpness(sharpness: number, contactS: number): number {
  const lost = Math.max(0, contactS - GLAZE_GRACE_S) * GLAZE_LOSS_PER_S;
  return Math.min(sharpness, Math.max(GLAZED_SHARPNESS, sharpness * (1 - lost)));
}
