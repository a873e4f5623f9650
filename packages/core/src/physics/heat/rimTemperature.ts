import type { BitGeometry } from '../cutting/bitGeometry';
import type { Material } from '../../data/materials/material';
import { boilingExcess, type Boiling } from './boiling';

/** A rim that has cut this long heats no further reach of the piece that matters, s. */
const LONGEST_CONTACT_S = 120;
const EULER_GAMMA = 0.5772;
const DRY_FRICTION_FACTOR = 1.5;
const DRY_HEAT_SHARE_FACTOR = 1.4;
const MAX_HEAT_SHARE = 0.7;

export interface RimHeat {
  /** q, W/mm² of groove floor, into the piece. */
  readonly heatFluxWPerMm2: number;
  /** h_c, W/(m²·K): what the piece itself carries off. */
  readonly conductionWPerM2K: number;
  /** ΔT, K above the water. */
  readonly tempRiseK: number;
  readonly boiling: Boiling;
}

/**
 * How hot the ring gets under the rim.
 *
 * q = β·μ·φ·p·v_m: the mean over a groove whose rim covers the share φ of it. A core's ring is a line
 * source in a conducting body: h_c = 2πk/(w·max(ln(16·a·t/w²) − γ, 1)), a = k/(ρc),
 * t = min(120 s, depth/u), w in m; a solid bit is a disc source, steady at once: h_c = 3πk/(4D).
 * ΔT = q/(h_water + h_c) up to boiling, which then holds it: `boiling.ts`.
 * Dry: μ × 1.5 and β = min(0.7, 1.4·β).
 * Source: Carslaw and Jaeger's moving and fixed sources, early-time line source.
 * @param cut.cutTimeS depth/u, s, lifts left out
 * @param cut.burnOutWPerM2 the most that boiling at the rim carries off; null where nothing boils
 */
export function rimTemperature(
  material: Pick<
    Material,
    'heatShare' | 'friction' | 'conductivityWPerMK' | 'densityKgPerM3' | 'specificHeatJPerKgK'
  >,
  bit: Pick<BitGeometry, 'solid' | 'diameterMm' | 'rimWidthMm' | 'coverage'>,
  cut: {
    readonly pressureMpa: number;
    readonly meanSpeedMPerS: number;
    readonly cutTimeS: number;
    readonly waterWPerM2K: number;
    readonly burnOutWPerM2: number | null;
    readonly dry: boolean;
  },
): RimHeat {
  const μ = material.friction * (cut.dry ? DRY_FRICTION_FACTOR : 1);
  const β = cut.dry
    ? Math.min(MAX_HEAT_SHARE, DRY_HEAT_SHARE_FACTOR * material.heatShare)
    : material.heatShare;
  const q = β * μ * bit.coverage * cut.pressureMpa * cut.meanSpeedMPerS;
  const k = material.conductivityWPerMK;
  const h_c = bit.solid
    ? (3 * Math.PI * k) / (4 * (bit.diameterMm / 1000))
    : ringConduction(
        k,
        k / (material.densityKgPerM3 * material.specificHeatJPerKgK),
        bit.rimWidthMm / 1000,
        cut.cutTimeS,
      );
  const burnOut = cut.dry ? null : cut.burnOutWPerM2;
  return {
    heatFluxWPerMm2: q,
    conductionWPerM2K: h_c,
    ...boilingExcess(q * 1e6, cut.waterWPerM2K, h_c, burnOut),
  };
}

function ringConduction(k: number, a: number, w: number, cutTimeS: number): number {
  const t = Math.min(LONGEST_CONTACT_S, cutTimeS);
  const reach = Math.max(Math.log((16 * a * t) / (w * w)) - EULER_GAMMA, 1);
  return (2 * Math.PI * k) / (w * reach);
}
