import type { Tone } from '@nucleon/core/math/primitives';

/** From the section's mm to the picture's px. */
export interface Place {
  readonly X: (x: number) => number;
  readonly Z: (z: number) => number;
  readonly scale: number;
}

/** The colour of a tone in the theme at hand. */
export type Ink = (tone: Tone) => string;
