import type { Drawing, Primitive, Tone } from '../../math/primitives';

/** A box of one tone: x across from the hole's axis, z down from the entry face, mm. */
export const box = (
  [x0, x1]: readonly [number, number],
  [z0, z1]: readonly [number, number],
  tone: Tone,
): Primitive => ({ kind: 'area', x0, x1, z0, z1, tone, outlined: true });

/** The same box on both sides of the axis, from a radius outwards. */
export const bothSides = (
  fromMm: number,
  toMm: number,
  z: readonly [number, number],
  tone: Tone,
): Primitive[] => [box([-toMm, -fromMm], z, tone), box([fromMm, toMm], z, tone)];

/** A leaf of the piece with the hole cut out of it. */
export const leaf = (
  holeMm: number,
  halfMm: number,
  z: readonly [number, number],
  tone: Tone = 'stone',
): Primitive[] => bothSides(holeMm / 2, halfMm, z, tone);

/** A level dimension at a height, ends at ± half its length. */
export const across = (lengthMm: number, z: number, text: string): Primitive => ({
  kind: 'dimension',
  x0: -lengthMm / 2,
  x1: lengthMm / 2,
  z0: z,
  z1: z,
  text,
});

/** An upright dimension. */
export const upright = (
  x: number,
  z0: number,
  z1: number,
  text: string,
  words: 'left' | 'right' = 'right',
): Primitive => ({ kind: 'dimension', x0: x, x1: x, z0, z1, text, words });

/** A drawing with room round what it shows. */
export function drawing(
  primitives: readonly Primitive[],
  [x0, x1]: readonly [number, number],
  [z0, z1]: readonly [number, number],
  description: string,
): Drawing {
  const pad = 0.06 * Math.max(x1 - x0, z1 - z0);
  return { primitives, x0: x0 - pad, x1: x1 + pad, z0: z0 - pad, z1: z1 + pad, description };
}
