/** A source of numbers evenly spread over [0, 1). */
export type Random = () => number;

/** Rounds thrown away so that near seeds part company. */
const WARM_UP = 12;

/**
 * Small fast counter generator (sfc32 of the PractRand suite): 32-bit integer steps only, so the
 * same seed gives the same numbers on every machine.
 * @param seed any whole number; its low 32 bits count
 */
export function seededRandom(seed: number): Random {
  let a = seed | 0;
  let b = 0x9e3779b9 | 0;
  let c = 0x243f6a88 | 0;
  let counter = 1;
  const next = (): number => {
    const t = (((a + b) | 0) + counter) | 0;
    counter = (counter + 1) | 0;
    a = b ^ (b >>> 9);
    b = (c + (c << 3)) | 0;
    c = (c << 21) | (c >>> 11);
    c = (c + t) | 0;
    return (t >>> 0) / 4_294_967_296;
  };
  for (let round = 0; round < WARM_UP; round++) next();
  return next;
}

/**
 * Standard normal deviates by the polar method of Box, Muller and Marsaglia: only logarithm and
 * root, which round alike everywhere.
 */
export function normalDraws(random: Random): () => number {
  let spare: number | null = null;
  return () => {
    if (spare !== null) {
      const z = spare;
      spare = null;
      return z;
    }
    for (;;) {
      const x = 2 * random() - 1;
      const y = 2 * random() - 1;
      const r2 = x * x + y * y;
      if (r2 > 0 && r2 < 1) {
        const scale = Math.sqrt((-2 * Math.log(r2)) / r2);
        spare = y * scale;
        return x * scale;
      }
    }
  };
}
