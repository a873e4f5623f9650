import { MM_PER_INCH } from '../../math/constants';
import type { ShownQuantity } from './formatQuantity';
import type { UnitSystem } from '../../data/unitSystem';

/** A depth that moves: tenths of a millimetre or hundredths of an inch, always as many, so that it does not dance. */
export const showDepth = (mm: number, { length }: UnitSystem): ShownQuantity =>
  length === 'inch'
    ? { value: (mm / MM_PER_INCH).toFixed(2), unit: 'in' }
    : { value: mm.toFixed(1), unit: 'mm' };
