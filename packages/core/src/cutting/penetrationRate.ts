import { BIT_FAMILIES } from '../bits/bitFamilies';
import type { BitGeometry } from '../bits/bitGeometry';
import type { Material } from '../documents/material';

/** Fines pack in a dry groove: a rim that is not made for it cuts this share of its wet rate. */
const DRY_RATE_SHARE = 0.6;

/**
 * u, mm/s: how fast the bit goes in.
 *
 * Preston's relation with the energy balance over the whole kerf:
 * u = (μ/e)·φ·max(p − f·p_glaze/2, 0)·v_m·s, so that A_k·u·e equals the cutting power.
 * @param p contact pressure, MPa
 * @param v_m speed at the mean radius, m/s
 * @param s sharpness, 0 to 1
 */
export function penetrationRate(
  material: Pick<Material, 'friction' | 'specificEnergyJPerMm3' | 'pressureMpa'>,
  bit: Pick<BitGeometry, 'family' | 'coverage' | 'pressureFactor'>,
  cut: { readonly p: number; readonly v_m: number; readonly s: number; readonly dry: boolean },
): number {
  const μ = material.friction;
  const e = material.specificEnergyJPerMm3;
  const φ = bit.coverage;
  const idle = (bit.pressureFactor * material.pressureMpa.glaze) / 2;
  // MPa·m/s = N/mm² · 1000 mm/s = 1000 mJ/(mm²·s) = 1 J/(mm²·s); over J/mm³ this is mm/s.
  const wet = (μ / e) * φ * Math.max(cut.p - idle, 0) * cut.v_m * cut.s;
  return cut.dry && !BIT_FAMILIES[bit.family].mayRunDry ? DRY_RATE_SHARE * wet : wet;
}
