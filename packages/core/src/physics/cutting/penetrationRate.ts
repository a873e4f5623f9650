import { specificEnergy } from '../../data/bits/abrasives';
import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import type { BitGeometry } from './bitGeometry';
import type { Material } from '../../data/materials/material';

/** Fines pack in a dry groove: a rim that is not made for it cuts this share of its wet rate. */
const DRY_RATE_SHARE = 0.6;
/** How steeply e rises as speed thins the chip. */
const SIZE_EFFECT_EXPONENT = 0.5;

/**
 * e over its value within the speed window: past v_high the chip only gets thinner and the energy of a
 * volume rises, (v/v_high)^½ (size effect in grinding, Malkin), so that twice the speed is not twice
 * the rate.
 */
export const sizeEffect = (rimSpeedMPerS: number, highMPerS: number): number =>
  Math.max(1, rimSpeedMPerS / highMPerS) ** SIZE_EFFECT_EXPONENT;

/**
 * u, mm/s: how fast the bit goes in.
 *
 * Preston's relation with the energy balance over the whole kerf:
 * u = (μ/e)·φ·max(p − f·p_glaze/2, 0)·v_m·s, so that A_k·u·e equals the cutting power; e by material and
 * abrasive, and by the size effect past the speed window.
 * @param p contact pressure, MPa
 * @param v_m speed at the mean radius, m/s
 * @param v speed at the rim, m/s
 * @param s sharpness, 0 to 1
 */
export function penetrationRate(
  material: Pick<
    Material,
    'class' | 'friction' | 'specificEnergyJPerMm3' | 'pressureMpa' | 'rimSpeedMPerS'
  >,
  bit: Pick<BitGeometry, 'family' | 'coverage' | 'pressureFactor' | 'speedFactor'>,
  cut: {
    readonly p: number;
    readonly v_m: number;
    readonly v: number;
    readonly s: number;
    readonly dry: boolean;
  },
): number {
  const { abrasive, mayRunDry } = BIT_FAMILIES[bit.family];
  const μ = material.friction;
  const e =
    specificEnergy(material, abrasive) *
    sizeEffect(cut.v, material.rimSpeedMPerS.high * bit.speedFactor);
  const φ = bit.coverage;
  const idle = (bit.pressureFactor * material.pressureMpa.glaze) / 2;
  // MPa·m/s = N/mm² · 1000 mm/s = 1000 mJ/(mm²·s) = 1 J/(mm²·s); over J/mm³ this is mm/s.
  const wet = (μ / e) * φ * Math.max(cut.p - idle, 0) * cut.v_m * cut.s;
  return cut.dry && !mayRunDry ? DRY_RATE_SHARE * wet : wet;
}
