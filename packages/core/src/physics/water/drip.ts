import { CUP_L } from './flow';

/** Drops from a tap or tube, to the millilitre. */
export const DROPS_PER_ML = 20;
/** Drops quicker than this run together into a thread. */
export const MAX_DROPS_PER_S = 8;

export interface DripRate {
  readonly mlPerMin: number;
  readonly dropsPerS: number;
  readonly secondsPerCup: number;
  /** Too quick to count: time a cup instead. */
  readonly runs: boolean;
}

/** A flow as it is set at a tap: by counting drops, or by filling a cup. */
export function dripRate(flowLPerMin: number): DripRate {
  const mlPerMin = flowLPerMin * 1000;
  const dropsPerS = (mlPerMin * DROPS_PER_ML) / 60;
  return {
    mlPerMin,
    dropsPerS,
    secondsPerCup: (CUP_L / flowLPerMin) * 60,
    runs: dropsPerS > MAX_DROPS_PER_S,
  };
}
