import {
  judgeTradeRules,
  planBasis,
  type JudgedTradeRule,
  type RuledFigure,
  type TradeRuleId,
  type TradeScene,
} from '../../advice/tradeRules';
import type { UnitSystem } from '../../data/unitSystem';
import {
  formatArea,
  formatDuration,
  formatForce,
  formatPressure,
  formatRimSpeed,
  formatRpm,
} from '../units/formatQuantity';
import { formatLengthShort } from '../units/length';
import { formatSignificant } from '../units/roundNumber';

/** A rule of thumb beside the plan. */
export interface TradeRuleInWords {
  readonly id: TradeRuleId;
  /** As it is said, and whose it is. */
  readonly rule: string;
  readonly whose: string;
  /** What it comes to here, what the plan has, and how far that is off. */
  readonly beside: string;
  /** Why the plan departs; empty where it does not. */
  readonly why: string;
  readonly agrees: boolean;
}

const RULE_WORDS: Record<TradeRuleId, readonly [rule: string, whose: string]> = {
  'weight-of-the-drill': ['“The weight of the drill, no more”', 'Tank builders'],
  'thumbs-only': ['“Thumbs only”', 'Stone jewellers'],
  'third-to-half-speed': ['“A third to half of the top speed”', 'Tilers and glass crafters'],
  'minute-for-six': ['“A minute for 6 mm”', 'Tank builders'],
  'milk-chocolate': ['“Slurry like milk chocolate”', 'Core drillers'],
};

const shown = (figure: RuledFigure, value: number, units: UnitSystem): string => {
  switch (figure) {
    case 'force':
      return formatForce(value, units);
    case 'speed':
      return formatRpm(value);
    case 'time':
      return formatDuration(value);
    case 'slurry':
      return `${formatSignificant(value, 2)} g of fines a litre`;
  }
};

/** `a quarter less`: how far outside, in words nobody takes for exact. */
function offBy(departure: number): string {
  const size = Math.abs(departure);
  if (size < 0.05) return 'about the same';
  const way = departure > 0 ? 'more' : 'less';
  if (departure > 0 && size >= 0.9) return `${formatSignificant(1 + size, 2)} times as much`;
  return `${formatSignificant(size * 100, 1)} % ${way}`;
}

function whyOf(figure: RuledFigure, { plan }: TradeScene, units: UnitSystem): string {
  const { rimAreaMm2, rimMPerS } = planBasis(plan);
  const D = formatLengthShort(plan.setup.bitDiameterMm, units);
  switch (figure) {
    case 'force':
      return `The plan presses by the rim: this bit at ${formatPressure(plan.contactPressureMpa, units)} on ${formatArea(rimAreaMm2, units)}. A drill weighs the same whatever the rim.`;
    case 'speed':
      return `The plan turns by rim speed: ${formatRimSpeed(rimMPerS, units)} at ${D}. The same share of a machine’s top speed is too fast for a wide bit and too slow for a narrow one.`;
    case 'time':
      return `The plan goes by this bit, its sharpness, force and speed: ${formatDuration(plan.drillTimeS?.p50 ?? 0)}, lifts and water changes with it.`;
    case 'slurry':
      return 'Thinner than that cools as well and costs only water; thicker grinds on its own fines.';
  }
}

/** What the trades say of such a hole, beside what this plan has. */
export const tradeRulesInWords = (
  scene: TradeScene,
  units: UnitSystem,
): readonly TradeRuleInWords[] =>
  judgeTradeRules(scene).map((judged) => inWords(judged, scene, units));

function inWords(
  { id, figure, low, high, actual, departure }: JudgedTradeRule,
  scene: TradeScene,
  units: UnitSystem,
): TradeRuleInWords {
  const [rule, whose] = RULE_WORDS[id];
  const agrees = departure === 0;
  const range = `${shown(figure, low, units)} to ${shown(figure, high, units)} here`;
  return {
    id,
    rule,
    whose,
    beside: `${range}; this plan ${shown(figure, actual, units)}${agrees ? ', as the rule says' : `, ${offBy(departure)}`}.`,
    why: agrees ? '' : whyOf(figure, scene, units),
    agrees,
  };
}
