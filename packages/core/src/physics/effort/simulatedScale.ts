import { normalDraws, seededRandom } from '../../math/seededRandom';
import type { ForceSample } from './steadiness';

/** A hand on a scale: it follows what it means to press, late and unsteadily. */
export interface SimulatedScale {
  /** The next reading, given what the hand means to press now. */
  readonly read: (wantedN: number, atMs: number) => ForceSample;
}

/** A hand gets two thirds of the way to a new force in this long, s. */
const LAG_S = 0.35;
/** Tremor and sway about what is meant, share of the force. */
const TREMOR = 0.06;
/** Tremor keeps its sign for about this long, s. */
const TREMOR_S = 0.3;
/** The scale shows steps of this, N (5 g). */
const STEP_N = 0.05;

/**
 * A stand-in for a connected scale: first-order lag towards the wanted force, and a tremor that
 * remembers itself (Ornstein–Uhlenbeck), from a seed.
 */
export function simulatedScale(seed: number): SimulatedScale {
  const normal = normalDraws(seededRandom(seed));
  let atLastMs: number | null = null;
  let forceN = 0;
  let tremor = 0;
  return {
    read: (wantedN, atMs) => {
      const dt = atLastMs === null ? 0 : Math.max(0, (atMs - atLastMs) / 1000);
      atLastMs = atMs;
      forceN += (wantedN - forceN) * (1 - Math.exp(-dt / LAG_S));
      const keep = Math.exp(-dt / TREMOR_S);
      tremor = tremor * keep + TREMOR * Math.sqrt(1 - keep * keep) * normal();
      const shown = Math.max(0, forceN * (1 + tremor));
      return { atMs, forceN: Math.round(shown / STEP_N) * STEP_N };
    },
  };
}
