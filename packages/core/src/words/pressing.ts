import { MIN_SECONDS, type Steadiness } from '../physics/effort/steadiness';
import { isHeldByStand } from '../data/holds';
import type { Hold } from '../data/choices';
import type { Machine } from '../documents/kit';
import { input, type ReasonInput } from '../documents/reason';
import { NEWTON_PER_KGF, NEWTON_PER_LBF } from '../math/constants';
import { formatDuration, formatForce } from './units/formatQuantity';
import { formatLengthShort } from './units/length';
import { formatSignificant } from './units/roundNumber';
import type { UnitSystem } from '../data/unitSystem';
import { fatigue, restAllowance } from '../physics/effort/armForce';
import { FEED_AIDS, type FeedAidId } from '../data/machines/feedAids';
import { effortOf, leverIsMeasured, leverShare, type Effort } from '../physics/effort/pressing';
import { scaleReading } from '../physics/effort/scaleReading';
import { formatReading } from './units/formatReading';

/** The force in every unit people think in, and as a scale shows it. */
export const forceLines = (
  forceN: number,
  tare: number,
  units: UnitSystem,
): readonly ReasonInput[] => [
  input('Newtons', `${formatSignificant(forceN, 2)} N`),
  input('Kilograms of force', `${formatSignificant(forceN / NEWTON_PER_KGF, 2)} kgf`),
  input('Pounds of force', `${formatSignificant(forceN / NEWTON_PER_LBF, 2)} lbf`),
  input(
    tare > 0 ? 'The scale then shows' : 'A scale shows',
    formatReading(scaleReading(forceN, units, tare), units),
  ),
];

interface Pressed {
  readonly feedForceN: number;
  readonly cuttingS: number;
  readonly hold: Hold;
  readonly machine: Pick<Machine, 'leverArmMm' | 'pinionRadiusMm'>;
  readonly aid: FeedAidId;
}

/** What the hand itself gives, and how long it can. */
export function armLines(
  { feedForceN, cuttingS, hold, machine, aid }: Pressed,
  units: UnitSystem,
): readonly ReasonInput[] {
  const effort = effortOf(feedForceN, cuttingS, hold, machine, aid);
  const restsS = cuttingS * restAllowance(effort.handForceN) * fatigue(cuttingS);
  const lasts =
    effort.enduranceS === Infinity ? 'as long as you like' : formatDuration(effort.enduranceS);
  return [
    input(
      hold === 'press' ? 'At the lever’s end' : 'From the hand',
      formatForce(effort.handForceN, units),
    ),
    input('Arms last, at a stretch', lasts),
    input('Cutting takes', formatDuration(cuttingS)),
    ...(restsS >= 1 ? [input('Rests between pushes', formatDuration(restsS))] : []),
    input('Altogether', EFFORT_WORDS[effort.level]),
  ];
}

/** How a press or stand multiplies the hand; null where the arms press directly. */
export function leverText(
  { hold, machine }: Pick<Pressed, 'hold' | 'machine'>,
  units: UnitSystem,
): string | null {
  if (!isHeldByStand(hold)) return null;
  const times = formatSignificant(1 / leverShare(hold, machine), 2);
  if (hold === 'rig') return `The stand’s wheel gives about ${times} times what the hand does.`;
  return leverIsMeasured(machine)
    ? `A lever of ${formatLengthShort(machine.leverArmMm ?? 0, units)} on a pinion of ${formatLengthShort(machine.pinionRadiusMm ?? 0, units)} gives ${times} times what the hand does, less the spring.`
    : `The lever of a press gives about ${times} times what the hand does. Measure lever and pinion, and it is sure.`;
}

export const aidText = (aid: FeedAidId): string => FEED_AIDS[aid].how;

/** How a try at the scale went. */
export const steadinessLines = (
  { within, meanN, lnSd, seconds }: Steadiness,
  units: UnitSystem,
): readonly ReasonInput[] => [
  input('Within the band', `${formatSignificant(within * 100, 2)} % of ${formatDuration(seconds)}`),
  input('On the mean', formatForce(meanN, units)),
  input('It varied by', `${formatSignificant(lnSd * 100, 2)} %`),
];

export const EFFORT_WORDS: Readonly<Record<Effort['level'], string>> = {
  light: 'Light',
  steady: 'Steady',
  hard: 'Hard',
  'too-much': 'Only with rests',
};

const STEADINESS_WORDS: Readonly<Record<Steadiness['verdict'], string>> = {
  'too-short': `Hold it for at least ${MIN_SECONDS} s.`,
  good: 'That is the hand for it.',
  light: 'Too light: the rim would polish and glaze.',
  heavy: 'Too heavy: diamonds tear out and edges chip.',
  uneven: 'Right on the whole, but it wanders. Lean, do not push.',
};

/** How a force was held, in a sentence. */
export const steadinessText = ({ verdict }: Steadiness): string => STEADINESS_WORDS[verdict];
