import type { Shank } from '../data/couplings/shank';
import type { Bit } from '../documents/kit';
import { MM_PER_INCH } from '../math/constants';
import type { UnitSystem } from '../data/unitSystem';
import { BIT_FAMILIES, type BitFamilyId } from '../data/bits/bitFamilies';
import { bitGeometry, bySize } from '../physics/cutting/bitGeometry';

/** The shank a bit of this family and size usually comes with. */
export const usualShank = (family: BitFamilyId, diameterMm: number): Shank =>
  BIT_FAMILIES[family].shank(diameterMm);

/** Inch sizes that are easily had, where bits are bought by the inch. */
const INCH_SIZES = [
  1 / 16,
  3 / 32,
  1 / 8,
  3 / 16,
  1 / 4,
  5 / 16,
  3 / 8,
  1 / 2,
  5 / 8,
  3 / 4,
  7 / 8,
  1,
  1.25,
  1.375,
  1.5,
  1.75,
  2,
  2.5,
  3,
  4,
  5,
  6,
] as const;

/** Sizes of a family that are easily had, mm, in the person's own measure. */
export function usualSizesMm(family: BitFamilyId, units: UnitSystem): readonly number[] {
  const { sizesMm } = BIT_FAMILIES[family];
  if (units.length === 'mm') return sizesMm;
  const [min, max] = [sizesMm[0], sizesMm.at(-1) ?? sizesMm[0]];
  return INCH_SIZES.map((inches) => inches * MM_PER_INCH).filter(
    (mm) => mm >= min * 0.8 && mm <= max * 1.1,
  );
}

/** Roughly what a bit of this family and size costs, in one's own money. */
export const usualPrice = ({ family, diameterMm }: Pick<Bit, 'family' | 'diameterMm'>): number =>
  bySize(BIT_FAMILIES[family], BIT_FAMILIES[family].priceMoney, diameterMm);

/** What a bit costs: as entered, else roughly. */
export const bitPrice = (bit: Pick<Bit, 'family' | 'diameterMm' | 'price'>): number =>
  bit.price ?? usualPrice(bit);

/** A new bit of a family and size, every dimension as usual; its id is the caller's. */
export function usualBit(family: BitFamilyId, diameterMm: number): Omit<Bit, 'id' | 'name'> {
  const { rimWidthMm, usableDepthMm, solid } = bitGeometry({ family, diameterMm });
  const tenth = (mm: number): number => Math.round(mm * 10) / 10;
  return {
    family,
    diameterMm,
    ...(solid ? {} : { rimWidthMm: tenth(rimWidthMm) }),
    usableDepthMm: Math.round(usableDepthMm),
    shank: usualShank(family, diameterMm),
    ...(family === 'sintered-core' || solid ? {} : { slotted: family === 'brazed-tile-core' }),
    state: 'new',
    holesCut: 0,
    depthCutMm: 0,
  };
}
