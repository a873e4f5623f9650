/**
 * Diameter of the smallest circle round n equal circles, over the diameter of one: known optimal
 * packings up to twelve (circles in a circle).
 */
const ENCLOSING = [
  1, 2, 2.1547, 2.4142, 2.7013, 3, 3, 3.3048, 3.6131, 3.813, 3.9238, 4.0296,
] as const;

export const MAX_STRANDS = ENCLOSING.length;

/** Diameter of a bundle of 1 to 12 strands, mm. */
export function bundleDiameter(strandMm: number, strands: number): number {
  const ratio = ENCLOSING[strands - 1];
  if (ratio === undefined)
    throw new Error(`A bundle has 1 to ${MAX_STRANDS} strands, got ${strands}.`);
  return ratio * strandMm;
}

/** A cord passes easily through a hole this much wider than its bundle. */
export const CORD_ROOM = 1.3;
