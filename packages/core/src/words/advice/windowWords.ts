import { formatForce, formatRpm, formatRimSpeed, formatPressure } from '../units/formatQuantity';
import type { UnitSystem } from '../../data/unitSystem';
import { rimSpeedAt } from '../../physics/cutting/contact';
import type { WindowPoint } from '../../advice/choice/workingWindow';
import type { WindowArea } from '../../setup/windowAreas';

/** What each area of the window is called, and what goes wrong in it. */
export const AREA_WORDS: Readonly<Record<WindowArea | 'clean', { name: string; text: string }>> = {
  clean: { name: 'Cuts clean', text: 'The rim bites, the water keeps up, nothing tears.' },
  glazes: { name: 'Glazes', text: 'Too light: grains polish instead of biting.' },
  chips: { name: 'Chips', text: 'Too heavy: diamonds tear out and edges chip.' },
  overheats: {
    name: 'Overheats',
    text: 'Heat alone strains the rim past half its strength, or boils it dry.',
  },
  'throws-water': { name: 'Throws water', text: 'The rim flings its water off.' },
  stalls: { name: 'Stalls', text: 'More than half of what stops the motor, or than its power.' },
  'beyond-hands': { name: 'Beyond the hands', text: 'More than arms hold for long.' },
  'too-slow': { name: 'Slow', text: 'Under the rim speed at which it cuts well.' },
  'too-fast': { name: 'Too fast', text: 'Over the rim speed this material and bit stand.' },
};

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
