import type { Blows } from '../../data/machines/machineKinds';
import type { Material } from '../../data/materials/material';

/** σ_c where a material of one’s own does not say: brick, MPa. */
const USUAL_COMPRESSIVE_MPA = 20;
/** The least specific energy of drilling is about σ_c (Teale 1965); the fine chips of a small bit take several times that. */
const ENERGY_OVER_STRENGTH = 7;
/** Share of a blow that reaches the tip. */
const EFFICIENCY = 0.7;
/** A tip sinks no deeper at one blow, mm. */
const MAX_PER_BLOW_MM = 0.2;

/**
 * What a hammer adds to the rate of a bit that stands it, mm/s: u = η·E·f/(7·σ_c·A), no more than 0.2 mm a blow.
 * @param blows energy E, J, and f, per s
 * @param areaMm2 A, of what the bit breaks
 */
export function hammerRate(
  { compressiveStrengthMpa = USUAL_COMPRESSIVE_MPA }: Pick<Material, 'compressiveStrengthMpa'>,
  { energyJ, perS }: Blows,
  areaMm2: number,
): number {
  // 1 MPa is 1e−3 J/mm³.
  const energyJPerMm3 = ENERGY_OVER_STRENGTH * compressiveStrengthMpa * 1e-3;
  return Math.min(
    (EFFICIENCY * energyJ * perS) / (energyJPerMm3 * areaMm2),
    MAX_PER_BLOW_MM * perS,
  );
}
