/** How strongly fines cloud water, m²/kg (Beer–Lambert extinction of 10 µm mineral fines). */
const EXTINCTION_M2_PER_KG = 120;
const REFERENCE_GRAIN_UM = 10;
/** The mark is still found through water that lets this share of the light past. */
export const CLEAR_ENOUGH = 0.15;

/** m = ρ·A_k·depth, g of fines. */
export const finesMass = (densityKgPerM3: number, kerfAreaMm2: number, depthMm: number): number =>
  densityKgPerM3 * 1e-6 * kerfAreaMm2 * depthMm;

/**
 * Most fines a bath may hold and still show the mark, g/L.
 *
 * Beer–Lambert: exp(−κ·c·cover) ≥ 0.15, so c ≤ ln(1/0.15)/(κ·cover), κ = 120 m²/kg at 10 µm and in
 * inverse proportion to grain size (cross-section per mass).
 */
export function turbidityLimit(coverMm: number, grainSizeUm = REFERENCE_GRAIN_UM): number {
  const κ = (EXTINCTION_M2_PER_KG * REFERENCE_GRAIN_UM) / grainSizeUm;
  return Math.log(1 / CLEAR_ENOUGH) / (κ * (coverMm / 1000));
}

/**
 * Fines that water still carries out of a groove, g/L: a slurry of 2 to 3 % by volume, thin enough to run. The heat
 * of cutting so much warms it by 60·e/ρ/4.19: 10 to 15 K in glass, granite or concrete, so fines bind first.
 */
export const SLURRY_LOAD_G_PER_L = 60;

/** Water that is full oftener than this in one hole is the wrong water: the list ends, the advice does not. */
const MAX_CHANGES = 500;

/** What standing water may hold, and how far the mark must be seen through it. */
export interface WaterLoads {
  /** While the mark must be seen, g/L: turbidityLimit. */
  readonly toSeeGPerL: number;
  /** Once the groove or a guide steers the bit, mm; 0 where something steers it from the start. */
  readonly seenToMm: number;
}

/** What was done in the same water before. */
export interface WaterSoFar {
  /** Where the bit begins, mm. */
  readonly fromMm?: number;
  /** Fines the water holds already, g. */
  readonly finesG?: number;
  /** How deep the whole hole is, mm. */
  readonly holeMm?: number;
}

/**
 * Depths, mm, at which standing water is changed or flushed before going on: clouded where the mark must still be
 * seen, after that when it is too thick with fines to clear the groove.
 */
export function waterChangeDepths(
  { toSeeGPerL, seenToMm }: WaterLoads,
  volumeL: number,
  finesGPerMm: number,
  depthMm: number,
  { fromMm = 0, finesG = 0, holeMm = depthMm }: WaterSoFar = {},
): number[] {
  const minMm = holeMm / MAX_CHANGES;
  const stretch = (gPerL: number): number => Math.max((gPerL * volumeL) / finesGPerMm, minMm);
  const next = (z: number): number => {
    const clouded = z + stretch(toSeeGPerL);
    return clouded < seenToMm ? clouded : z + stretch(SLURRY_LOAD_G_PER_L);
  };
  const depths: number[] = [];
  // The fines it holds already were as good as cut here.
  const first = Math.max(next(fromMm - finesG / finesGPerMm), fromMm);
  for (let z = first; z < depthMm - 1e-9; z = next(z)) depths.push(z);
  return depths;
}
