import { simulatedScale } from '@nucleon/core/physics/effort/simulatedScale';
import type { ForceSample } from '@nucleon/core/physics/effort/steadiness';

/** A scale that is pressed: the real one would come over a cable, this one is pretended. */
export interface Scale {
  /** Tells every reading until it is let go of. */
  readonly watch: (onReading: (sample: ForceSample) => void) => () => void;
  /** How hard the hand means to press, N; a real scale pays no heed. */
  readonly mean: (forceN: number) => void;
}

const READINGS_PER_S = 10;

/** The stand-in that ships with the app: a hand's lag and tremor on what the finger asks for. */
export function pretendScale(seed: number, nowMs: () => number): Scale {
  const scale = simulatedScale(seed);
  let wantedN = 0;
  return {
    mean: (forceN) => {
      wantedN = forceN;
    },
    watch: (onReading) => {
      const timer = setInterval(() => {
        onReading(scale.read(wantedN, nowMs()));
      }, 1000 / READINGS_PER_S);
      return () => {
        clearInterval(timer);
      };
    },
  };
}
