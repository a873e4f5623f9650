import { formatForce, formatRpm, formatRimSpeed, formatPressure } from '../units/formatQuantity';
import type { UnitSystem } from '../units/unitSystem';
import { rimSpeedAt } from '../../physics/cutting/contact';
import { AREA_WORDS, type WindowPoint } from '../../advice/choice/workingWindow';

/** Well inside, with room, or close: in standard deviations of what is unsure. */
const WELL_SD = 2;
const CLOSE_SD = 1;

/** Where a speed and force lie, and what lies nearest. */
export function pointInWords(point: WindowPoint): string {
  if (point.area !== 'clean') {
    const { name, text } = AREA_WORDS[point.area];
    return `${name}. ${text}`;
  }
  const room =
    point.margin >= WELL_SD
      ? 'well inside'
      : point.margin >= CLOSE_SD
        ? 'with room'
        : 'but only just';
  return `${AREA_WORDS.clean.name}, ${room}. The nearest border is “${AREA_WORDS[point.nearest].name.toLowerCase()}”.`;
}

/** The same point in numbers. */
export const pointInNumbers = (
  { rpm, forceN }: Pick<WindowPoint, 'rpm' | 'forceN'>,
  of: { readonly diameterMm: number; readonly contactAreaMm2: number },
  units: UnitSystem,
): string =>
  `${formatRpm(rpm)} and ${formatForce(forceN, units)}: ${formatRimSpeed(rimSpeedAt(rpm, of.diameterMm), units)} at the rim, ${formatPressure(forceN / of.contactAreaMm2, units)}.`;

/** Round numbers on a logarithmic axis: 1, 2, 5 of each decade within it. */
export function logTicks(from: number, to: number): number[] {
  const ticks: number[] = [];
  for (let decade = Math.floor(Math.log10(from)); decade <= Math.ceil(Math.log10(to)); decade++) {
    for (const digit of [1, 2, 5]) {
      const value = digit * 10 ** decade;
      if (value >= from && value <= to) ticks.push(value);
    }
  }
  return ticks;
}
