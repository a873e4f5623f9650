import type { Bit } from '../../documents/kit';
import type { Hole } from '../../documents/hole';
import type { FitNumbers } from './fit';
import type { PurposeOfHole } from './purposes';

/** Diameter the hole gets: the chosen bit's own, else the target, to a thousandth. */
export const holeDiameter = (fit: FitNumbers, bit: Pick<Bit, 'diameterMm'> | undefined): number =>
  Math.round((bit?.diameterMm ?? fit.diameter.targetMm) * 1000) / 1000;

/** What a purpose makes of a hole: diameter, depth, fall and the bit; the chip follows from the purpose. */
export const holeFromFit = (
  hole: Pick<Hole, 'setup'>,
  purpose: PurposeOfHole,
  fit: FitNumbers,
  bit: Pick<Bit, 'id' | 'diameterMm'> | undefined,
) => ({
  purpose,
  diameterMm: holeDiameter(fit, bit),
  depth: fit.depth,
  fall: fit.fall,
  setup: { ...hole.setup, ...(bit ? { bit: bit.id, bits: undefined } : {}) },
});
