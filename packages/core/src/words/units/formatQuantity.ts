import type { NumberLimit } from '../../data/schema/limits';
import {
  KG_PER_LB,
  LITRE_PER_US_QUART,
  MM_PER_INCH,
  MPA_PER_PSI,
  NEWTON_PER_KGF,
  NEWTON_PER_LBF,
} from '../../math/constants';
import { formatDecimals, formatSignificant } from './roundNumber';
import type { UnitSystem } from '../../data/unitSystem';

/** A value split for large type: the number and its unit. */
export interface ShownQuantity {
  readonly value: string;
  readonly unit: string;
}

const joined = (shown: ShownQuantity): string => `${shown.value} ${shown.unit}`;

/** Newtons in one of the units force is read in. */
export const newtonPerForce = ({ force }: UnitSystem): number =>
  ({ N: 1, kgf: NEWTON_PER_KGF, lbf: NEWTON_PER_LBF })[force];

/** A limit of newtons in the unit force is typed in: three figures, rounded down to stay within it. */
export function forceLimit(limit: NumberLimit, units: UnitSystem): NumberLimit {
  const max = limit.max / newtonPerForce(units);
  const step = 10 ** (Math.floor(Math.log10(max)) - 2);
  return { ...limit, max: Math.floor(max / step) * step, unit: units.force };
}

export function showForce(forceN: number, units: UnitSystem): ShownQuantity {
  const perUnit = newtonPerForce(units);
  return { value: formatSignificant(forceN / perUnit, 2), unit: units.force };
}
export const formatForce = (forceN: number, units: UnitSystem): string =>
  joined(showForce(forceN, units));

export function showDuration(seconds: number): ShownQuantity {
  if (seconds < 90) return { value: formatDecimals(seconds, 0), unit: 's' };
  if (seconds < 3600)
    return { value: formatDecimals(seconds / 60, seconds < 600 ? 1 : 0), unit: 'min' };
  return { value: formatDecimals(seconds / 3600, 1), unit: 'h' };
}
export const formatDuration = (seconds: number): string => joined(showDuration(seconds));

/** A span such as `1.6–2.7 min`, in the unit that suits its upper end. */
export function formatDurationSpan(fromS: number, toS: number): string {
  const upper = showDuration(toS);
  const perUnit = { s: 1, min: 60, h: 3600 }[upper.unit] ?? 1;
  return `${formatSignificant(fromS / perUnit, 2)}–${formatSignificant(toS / perUnit, 2)} ${upper.unit}`;
}

export function showVolume(litres: number, units: UnitSystem): ShownQuantity {
  if (units.length === 'inch') {
    return { value: formatSignificant(litres / LITRE_PER_US_QUART, 2), unit: 'US qt' };
  }
  return litres < 1
    ? { value: formatSignificant(litres * 1000, 2), unit: 'mL' }
    : { value: formatSignificant(litres, 2), unit: 'L' };
}
export const formatVolume = (litres: number, units: UnitSystem): string =>
  joined(showVolume(litres, units));

/** A mass: grams under a kilogram, ounces under a pound. */
export function formatMass(kg: number, units: UnitSystem): string {
  if (units.length === 'inch') {
    const lb = kg / KG_PER_LB;
    return lb < 1 ? `${formatSignificant(lb * 16, 2)} oz` : `${formatSignificant(lb, 2)} lb`;
  }
  return kg < 1 ? `${formatSignificant(kg * 1000, 2)} g` : `${formatSignificant(kg, 2)} kg`;
}

export function formatFlow(litresPerMin: number, units: UnitSystem): string {
  return units.length === 'inch'
    ? `${formatSignificant(litresPerMin / LITRE_PER_US_QUART, 2)} US qt/min`
    : `${formatSignificant(litresPerMin, 2)} L/min`;
}

/** What a flow is typed in, by the hour. */
export const flowByHour = ({
  length,
}: UnitSystem): { readonly unit: string; readonly litres: number } =>
  length === 'inch'
    ? { unit: 'US gal/h', litres: 4 * LITRE_PER_US_QUART }
    : { unit: 'L/h', litres: 1 };

/** An area of rim or kerf. */
export const formatArea = (areaMm2: number, { length }: UnitSystem): string =>
  length === 'inch'
    ? `${formatSignificant(areaMm2 / MM_PER_INCH ** 2, 2)} sq in`
    : `${formatSignificant(areaMm2, 3)} mm²`;

/** 1 lbf·ft = 1 lbf · 12 in, N·m. */
const NM_PER_LBF_FT = (NEWTON_PER_LBF * 12 * MM_PER_INCH) / 1000;

/** The unit a torque is shown and typed in, and how many N·m it is. */
export const torqueUnit = ({
  length,
}: UnitSystem): { readonly unit: string; readonly nm: number } =>
  length === 'inch' ? { unit: 'lbf·ft', nm: NM_PER_LBF_FT } : { unit: 'N·m', nm: 1 };

export function showTorque(torqueNm: number, units: UnitSystem): ShownQuantity {
  const { unit, nm } = torqueUnit(units);
  return { value: formatSignificant(torqueNm / nm, 2), unit };
}
export const formatTorque = (torqueNm: number, units: UnitSystem): string =>
  joined(showTorque(torqueNm, units));

export function formatPressure(pressureMpa: number, units: UnitSystem): string {
  return units.length === 'inch'
    ? `${formatSignificant(pressureMpa / MPA_PER_PSI, 2)} psi`
    : `${formatSignificant(pressureMpa, 2)} MPa`;
}

export function formatRimSpeed(speedMPerS: number, units: UnitSystem): string {
  const FT_PER_MIN = (1000 / MM_PER_INCH / 12) * 60;
  return units.length === 'inch'
    ? `${formatSignificant(speedMPerS * FT_PER_MIN, 2)} ft/min`
    : `${formatSignificant(speedMPerS, 2)} m/s`;
}

/** A temperature difference: K and °C are the same step, °F is 1.8 times as many. */
export function formatTempRise(riseK: number, units: UnitSystem): string {
  return units.length === 'inch'
    ? `${formatSignificant(riseK * 1.8, 2)} °F`
    : `${formatSignificant(riseK, 2)} °C`;
}

export const formatRpm = (rpm: number): string => `${formatSignificant(rpm, 3)} rpm`;
