import { formatLengthShort } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';

/** So many depths are named one by one. */
const FEW = 6;

/** `at 3 mm, 6 mm`; of many, the first and the spacing: `at 3 mm, then about every 3 mm`. */
export function depthsText(depthsMm: readonly number[], units: UnitSystem): string {
  const short = (mm: number): string => formatLengthShort(mm, units);
  const [first = 0] = depthsMm;
  if (depthsMm.length <= FEW) return `at ${depthsMm.map(short).join(', ')}`;
  const last = depthsMm.at(-1) ?? first;
  return `at ${short(first)}, then about every ${short((last - first) / (depthsMm.length - 1))}`;
}
