import type { Material } from '../documents/material';

/**
 * σ_T = C_T·E·α·ΔT/(1 − ν), MPa: tension where a hot ring is held by the cold piece round it
 * (biaxial constraint, scaled by how much of the constraint the material really feels).
 */
export function thermalStress(
  material: Pick<Material, 'heatConstraint' | 'youngModulusMpa' | 'expansionPerK' | 'poisson'>,
  tempRiseK: number,
): number {
  const { heatConstraint: C_T, youngModulusMpa: E, expansionPerK: α, poisson: ν } = material;
  return (C_T * E * α * tempRiseK) / (1 - ν);
}
