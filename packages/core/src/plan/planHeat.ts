import { rimTemperature, type RimHeat } from '../physics/heat/rimTemperature';
import type { MaterialCut } from '../setup/cutLayers';
import type { ResolvedSetup } from '../setup/resolvedSetup';

/** How hot the ring runs in this cut. */
export const heatOf = (cut: MaterialCut, { coolant }: ResolvedSetup, depthMm: number): RimHeat =>
  rimTemperature(cut.material, cut.bit, {
    pressureMpa: cut.force.contactPressureMpa,
    meanSpeedMPerS: cut.force.meanSpeedMPerS,
    cutTimeS: depthMm / cut.rateMmPerS,
    waterWPerM2K: coolant.rimWPerM2K,
    burnOutWPerM2: coolant.burnOutWPerM2,
    dry: cut.dry,
  });
