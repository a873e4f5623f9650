import { scaleUnit } from '../../physics/effort/scaleReading';
import type { UnitSystem } from '../../data/unitSystem';
import { formatDecimals } from './roundNumber';

/** `2.7 kg`, to the tenth a kitchen scale is read at, to the whole from 20 up. */
export function formatReading(reading: number, units: UnitSystem): string {
  return `${formatDecimals(reading, Math.abs(reading) < 20 ? 1 : 0)} ${scaleUnit(units).unit}`;
}
