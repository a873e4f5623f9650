import type { Shank } from '../data/couplings/shank';
import type { Bit } from '../documents/kit';
import { MM_PER_INCH } from '../math/constants';
import type { UnitSystem } from '../data/unitSystem';
import { BIT_FAMILIES, type BitFamilyId } from '../data/bits/bitFamilies';
import { bitGeometry, bySize } from '../physics/cutting/bitGeometry';

const round = (sizeMm: number): Shank => ({ kind: 'round', sizeMm });
/** Above this a sintered core comes with a thread rather than a shank, mm. */
const LARGEST_SHANKED_CORE_MM = 30;
/** Above this a masonry core needs the heavy thread, mm. */
const LARGEST_LIGHT_THREAD_MM = 132;

/** Small tile cores come on a shank for a drill's chuck, mm. */
const LARGEST_SHANKED_TILE_CORE_MM = 16;
/** A masonry bit's shank is as thick as the bit, up to what chucks take, mm. */
const LARGEST_ROUND_SHANK_MM = 13;

/** The shank a bit of this family and size usually comes with. */
export function usualShank(family: BitFamilyId, diameterMm: number): Shank {
  switch (family) {
    case 'plated-point':
      return round(2.35);
    case 'sintered-rod':
      return round(diameterMm <= 4 ? 3 : 6);
    case 'plated-tube':
      return round(diameterMm <= 3 ? 2.35 : 6);
    case 'plated-cup-saw':
      return round(diameterMm <= 14 ? 6 : 10);
    case 'sintered-core':
      return diameterMm <= LARGEST_SHANKED_CORE_MM ? round(10) : { kind: 'thread-g-half' };
    case 'brazed-tile-core':
      return diameterMm <= LARGEST_SHANKED_TILE_CORE_MM ? round(10) : { kind: 'thread-m14' };
    case 'grinder-core':
      return { kind: 'thread-m14' };
    case 'segmented-core':
    case 'dry-segmented-core':
      return { kind: diameterMm <= LARGEST_LIGHT_THREAD_MM ? 'thread-g-half' : 'thread-1-1-4' };
    case 'dry-tile-core':
    case 'carbide-spear':
      return { kind: 'hex', sizeMm: 6.35 };
    case 'masonry-bit':
      return round(Math.min(diameterMm, LARGEST_ROUND_SHANK_MM));
  }
}

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
  const [least, most] = [sizesMm[0], sizesMm.at(-1) ?? sizesMm[0]];
  return INCH_SIZES.map((inches) => inches * MM_PER_INCH).filter(
    (mm) => mm >= least * 0.8 && mm <= most * 1.1,
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
