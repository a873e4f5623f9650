import type { Bit } from '../../documents/kit';
import { BIT_FAMILIES, type BitFamily, type BitFamilyId } from '../../data/bits/bitFamilies';

/** A bit with every dimension known: the person's own where given, else its family's. */
export interface BitGeometry {
  readonly family: BitFamilyId;
  readonly solid: boolean;
  readonly diameterMm: number;
  readonly rimWidthMm: number;
  readonly coverage: number;
  readonly usableDepthMm: number;
  /** Longest core the barrel takes. */
  readonly boreDepthMm: number;
  readonly clearancePerSideMm: number;
  readonly pressureFactor: number;
  readonly speedFactor: number;
}

/** Value at this size on the straight line between the family's smallest and largest bit. */
export function bySize(
  family: BitFamily,
  range: readonly [number, number],
  diameterMm: number,
): number {
  const [smallest, largest] = family.diameterMm;
  const along = Math.min(1, Math.max(0, (diameterMm - smallest) / (largest - smallest)));
  return range[0] + along * (range[1] - range[0]);
}

export function bitGeometry(
  bit: Pick<
    Bit,
    'family' | 'diameterMm' | 'rimWidthMm' | 'coverage' | 'usableDepthMm' | 'boreDepthMm'
  >,
): BitGeometry {
  const family: BitFamily = BIT_FAMILIES[bit.family];
  const usableDepthMm = bit.usableDepthMm ?? bySize(family, family.usableDepthMm, bit.diameterMm);
  return {
    family: bit.family,
    solid: family.solid,
    diameterMm: bit.diameterMm,
    rimWidthMm: family.solid
      ? bit.diameterMm / 2
      : (bit.rimWidthMm ??
        Math.min(bySize(family, family.rimWidthMm, bit.diameterMm), bit.diameterMm / 2)),
    coverage: bit.coverage ?? family.coverage,
    usableDepthMm,
    boreDepthMm: bit.boreDepthMm ?? usableDepthMm,
    clearancePerSideMm: family.clearancePerSideMm,
    pressureFactor: family.pressureFactor,
    speedFactor: family.speedFactor,
  };
}
