import type { Bit, SharpnessNote } from '../documents/kit';
import type { BitState } from '../data/choices';
import { wornFurther } from '../physics/wear/sharpness';
import { sharpnessFound } from './bitCheck';

/** What one run, or a correction of one, adds to a bit. */
export interface AddedUse {
  readonly depthMm: number;
  readonly holes: number;
  /** Life in that material, as the plan had it, mm. */
  readonly lifeDepthMm: number;
  /** How it looked after, where that was said. */
  readonly state: BitState | null;
  readonly at: string;
}

export type BitHistory = Pick<
  Bit,
  'depthCutMm' | 'holesCut' | 'sharpness' | 'state' | 'sharpnessLog'
>;

/**
 * A bit's history after a run: depth and holes add up; a sharpness that was set or found wears on from
 * there; a rim found tired or bald is as sharp as such rims are. Taking use back never goes below nothing.
 */
export function bitAfterRun(bit: BitHistory, use: AddedUse): BitHistory {
  const found = use.state === null ? null : sharpnessFound(use.state);
  const worn =
    bit.sharpness === undefined || use.depthMm <= 0
      ? bit.sharpness
      : wornFurther(bit.sharpness, use.depthMm, use.lifeDepthMm);
  const sharpness = found ?? worn;
  const note: SharpnessNote | null =
    sharpness === undefined || sharpness === bit.sharpness
      ? null
      : { at: use.at, sharpness, how: found === null ? 'drilled' : 'checked' };
  return {
    depthCutMm: Math.max(0, (bit.depthCutMm ?? 0) + use.depthMm),
    holesCut: Math.max(0, (bit.holesCut ?? 0) + use.holes),
    ...(sharpness === undefined ? {} : { sharpness }),
    ...((use.state ?? bit.state) ? { state: use.state ?? bit.state } : {}),
    ...(note || bit.sharpnessLog
      ? { sharpnessLog: [...(bit.sharpnessLog ?? []), ...(note ? [note] : [])] }
      : {}),
  };
}
