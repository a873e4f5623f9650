import type { Material } from '../../data/materials/material';

/** A hot spot in a large cold plate (Timoshenko): no constraint makes more of E·α·ΔT. */
const HOT_SPOT_SHARE = 0.5;

/**
 * σ_T = min(C_T/(1 − ν), ½)·E·α·ΔT, MPa: tension where a hot ring is held by the cold piece round it
 * (biaxial constraint, scaled by how much of the constraint the material really feels; the hoop tension
 * round a hot spot in a large plate is E·α·ΔT/2).
 */
export function thermalStress(
  material: Pick<Material, 'heatConstraint' | 'youngModulusMpa' | 'expansionPerK' | 'poisson'>,
  tempRiseK: number,
): number {
  const { heatConstraint: C_T, youngModulusMpa: E, expansionPerK: α, poisson: ν } = material;
  return Math.min(C_T / (1 - ν), HOT_SPOT_SHARE) * E * α * tempRiseK;
}
