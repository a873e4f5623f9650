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
export function murkLimit(coverMm: number, grainSizeUm = REFERENCE_GRAIN_UM): number {
  const κ = (EXTINCTION_M2_PER_KG * REFERENCE_GRAIN_UM) / grainSizeUm;
  return Math.log(1 / CLEAR_ENOUGH) / (κ * (coverMm / 1000));
}

/** Water that clouds oftener than this in one hole is the wrong water: the list ends, the advice does not. */
const MOST_CHANGES = 500;

/** Depths, mm, at which standing water has clouded and is changed before going on. */
export function waterChangeDepths(
  limitGPerL: number,
  volumeL: number,
  finesGPerMm: number,
  depthMm: number,
): number[] {
  const everyMm = Math.max((limitGPerL * volumeL) / finesGPerMm, depthMm / MOST_CHANGES);
  const depths: number[] = [];
  for (let z = everyMm; z < depthMm - 1e-9; z += everyMm) depths.push(z);
  return depths;
}
