/** One stretch of cutting, as it goes when everything is at its middle. */
export interface PressedCut {
  readonly seconds: number;
  /** p and the idle part of it, f·p_glaze/2, MPa. */
  readonly pressureMpa: number;
  readonly idleMpa: number;
}

/** A hand that falls near the glaze still cuts with a tenth of its force. */
export const MIN_CUTTING_SHARE = 0.1;

/** Seconds the same cuts take pressed with f times the force: t ∝ 1/(p·f − p_idle). */
export function pressedTime(cuts: readonly PressedCut[], f: number): number {
  let seconds = 0;
  for (const { seconds: own, pressureMpa: p, idleMpa } of cuts) {
    const floor = MIN_CUTTING_SHARE * p;
    seconds += (own * Math.max(p - idleMpa, floor)) / Math.max(p * f - idleMpa, floor);
  }
  return seconds;
}
