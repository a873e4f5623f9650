import { NEWTON_PER_KGF, NEWTON_PER_LBF } from '../../math/constants';
import type { UnitSystem } from '../../data/unitSystem';

/** What a scale shows when it is pressed: kilograms or pounds, never newtons. */
export interface ScaleUnit {
  readonly unit: 'kg' | 'lb';
  readonly newtonPerUnit: number;
}

export const scaleUnit = (units: UnitSystem): ScaleUnit =>
  units.force === 'lbf'
    ? { unit: 'lb', newtonPerUnit: NEWTON_PER_LBF }
    : { unit: 'kg', newtonPerUnit: NEWTON_PER_KGF };

/** Reading of a scale that already carries a tare, pressed with a force. */
export const scaleReading = (forceN: number, units: UnitSystem, tare = 0): number =>
  tare + forceN / scaleUnit(units).newtonPerUnit;

/** And back: the force that presses a scale to a reading, N, its tare taken off. */
export const forceOfReading = (reading: number, units: UnitSystem, tare = 0): number =>
  (reading - tare) * scaleUnit(units).newtonPerUnit;
