import { formatDecimals, formatSignificant } from '../units/roundNumber';
import {
  formatFlow,
  formatPressure,
  formatRimSpeed,
  formatTempRise,
  showDuration,
  showForce,
  showTorque,
  showVolume,
  type ShownQuantity,
} from '../units/formatQuantity';
import { formatLengthAbout } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';
import type { Reason } from '../../documents/reason';
import type { Plan } from '../../documents/plan';
import { easesOff } from '../../physics/cutting/stages';
import { oddsInWords } from '../odds';

/** One plain number of the plan as it is shown: label, value, unit, and why. */
export interface Figure {
  readonly key: string;
  readonly label: string;
  readonly shown: ShownQuantity;
  readonly reason: Reason;
}

/** Parts `6.5 mm` at its first space; inch fractions keep theirs: `1 1/2 in`. */
function split(text: string): ShownQuantity {
  const at = text.lastIndexOf(' ');
  return { value: text.slice(0, at), unit: text.slice(at + 1) };
}

const plain = (value: string, unit = ''): ShownQuantity => ({ value, unit });

type Row = readonly [key: string, label: string, shown: ShownQuantity | null];

/** Over all cuts. */
const liftCount = ({ operations, lifts }: Plan): number =>
  operations?.reduce((sum, one) => sum + one.lifts, 0) ?? lifts.length;

function waterShown(plan: Plan, units: UnitSystem): ShownQuantity {
  const { fillL, flowLPerMin, name } = plan.water;
  if (fillL !== null) return showVolume(fillL, units);
  if (flowLPerMin !== null) return split(formatFlow(flowLPerMin, units));
  return plain(name);
}

function withReasons(plan: Plan, rows: readonly Row[]): Figure[] {
  return rows.flatMap(([key, label, shown]) => {
    const reason = plan.reasons[key];
    return shown && reason ? [{ key, label, shown, reason }] : [];
  });
}

/** The numbers a person acts on, in the order they need them. */
export function headlineFigures(plan: Plan, units: UnitSystem): Figure[] {
  const time = plan.drillTimeS;
  return withReasons(plan, [
    ['feedForceN', 'Press with', showForce(plan.feedForceN, units)],
    ['rpm', 'Speed', plain(formatSignificant(plan.rpm, 3), 'rpm')],
    ['drillTimeS', 'About', time ? showDuration(time.p50) : plain('–')],
    [
      'exitForceN',
      plan.exitForceN !== null && easesOff(plan.exitForceN, plan.feedForceN)
        ? 'Ease off to'
        : 'At the end',
      plan.exitForceN === null ? null : showForce(plan.exitForceN, units),
    ],
    ['lifts', 'Lifts', plain(String(liftCount(plan)))],
    [
      'water',
      plan.water.fillL === null && plan.water.flowLPerMin !== null
        ? 'Water'
        : plan.water.fillL === null
          ? 'Water by'
          : 'Pour',
      waterShown(plan, units),
    ],
  ]);
}

/** The rest, for those who want to see the engineering. */
export function detailFigures(plan: Plan, units: UnitSystem): Figure[] {
  return withReasons(plan, [
    ['rimSpeedMPerS', 'Rim speed', split(formatRimSpeed(plan.rimSpeedMPerS, units))],
    [
      'contactPressureMpa',
      'Contact pressure',
      split(formatPressure(plan.contactPressureMpa, units)),
    ],
    ['rateMmPerS', 'Penetration per minute', split(formatLengthAbout(plan.rateMmPerS * 60, units))],
    [
      'exitChipMm',
      'Exit chip',
      plan.exitChipMm === null ? null : split(formatLengthAbout(plan.exitChipMm.p50, units)),
    ],
    ['tempRiseK', 'Ring temperature rise', split(formatTempRise(plan.tempRiseK, units))],
    ['thermalStressMpa', 'Heat stress', split(formatPressure(plan.thermalStressMpa, units))],
    ['torqueNm', 'Torque', showTorque(plan.torqueNm, units)],
    ['powerW', 'Power at the rim', plain(formatSignificant(plan.powerW, 2), 'W')],
    [
      'bendingStressMpa',
      'Bending stress',
      plan.bendingStressMpa === null ? null : split(formatPressure(plan.bendingStressMpa, units)),
    ],
    [
      'maxDeflectionMm',
      'Sinks in by',
      plan.maxDeflectionMm === null || plan.maxDeflectionMm < 0.01
        ? null
        : split(formatLengthAbout(plan.maxDeflectionMm, units)),
    ],
    [
      'liftOffFraction',
      'Lifts off',
      plan.liftOffFraction === null || plan.liftOffFraction < 0.005
        ? null
        : plain(formatDecimals(plan.liftOffFraction * 100, 0), '% of its bed'),
    ],
    [
      'crackProbability',
      plan.bending.kind === 'bent' ? 'Cracks' : 'Cracks, at least',
      plain(oddsInWords(plan.crackProbability)),
    ],
    ['passes', 'Passes', plain(formatDecimals(plan.passes, 0))],
  ]);
}

const CHOICE_WORDS: Readonly<Record<string, string>> = {
  bit: 'bit',
  machine: 'machine',
  support: 'backing',
  water: 'water',
  hold: 'hold',
  start: 'start',
};

/** What the planner chose because nobody has said, in a line; null when all is the person's own. */
export function assumedLine(plan: Plan): string | null {
  const chosen = plan.setup.assumed.flatMap((name) => CHOICE_WORDS[name] ?? []);
  return chosen.length === 0 ? null : `Preset until you change it: ${chosen.join(', ')}.`;
}
