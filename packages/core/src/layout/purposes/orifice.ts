import { STANDARD_GRAVITY_M_PER_S2 } from '../../math/constants';

/** C_d of a sharp-edged drilled hole. */
const DISCHARGE = 0.6;

/** Torricelli with a discharge coefficient: Q = C_d·A·√(2·g·h), litres an hour. */
export function orificeFlow(diameterMm: number, headMm: number, derate = 1): number {
  const A = (Math.PI * (diameterMm / 1000) ** 2) / 4;
  const Q = derate * DISCHARGE * A * Math.sqrt(2 * STANDARD_GRAVITY_M_PER_S2 * (headMm / 1000));
  return Q * 1000 * 3600;
}

/** The diameter, mm, that passes so many litres an hour under this head: the same turned round. */
export function orificeDiameter(litresPerHour: number, headMm: number, derate = 1): number {
  return Math.sqrt(litresPerHour / orificeFlow(1, headMm, derate));
}
