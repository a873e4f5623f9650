import { capitalised } from '../sentence';
import { oddsInWords } from '../odds';
import { formatForce } from '../units/formatQuantity';
import { formatLengthAbout } from '../units/length';
import { formatSignificant } from '../units/roundNumber';
import type { UnitSystem } from '../../data/unitSystem';
import type { Outcome } from '../../advice/choice/outcome';
import type { PlanInUnits } from '../plan/planInUnits';
import { warningText } from '../plan/planWarnings';

/** Less than this apart is alike, as a ratio. */
const ALIKE = 1.15;
/** A crack rarer than this frightens nobody. */
const RARE = 0.002;
/** Chips over the allowed width this often are a reason of their own. */
const OFTEN = 0.05;

/** Why a way stands where it stands: what sets it apart from the first. */
export function placeInWords(
  outcome: Outcome,
  first: Outcome,
  index: number,
  plan: PlanInUnits,
): string {
  const { units } = plan;
  const [grave] = outcome.warnings;
  if (index === 0)
    return grave
      ? `First of what you have, but: ${warningText(plan, grave)}`
      : firstInWords(outcome, units);
  const said = [
    slower(outcome, first),
    chipped(outcome, first, units),
    riskier(outcome, first),
    dearer(outcome, first),
    harder(outcome, first, units),
  ].filter((text) => text !== null);
  if (said.length === 0) return 'As good as the first, within the uncertainty.';
  const text = said.slice(0, 2).join('; ');
  return `${capitalised(text)}.`;
}

function firstInWords(outcome: Outcome, units: UnitSystem): string {
  const chip =
    outcome.chipMm && outcome.allowedChipMm !== null && outcome.chipMm.p90 <= outcome.allowedChipMm
      ? ', and chips within what is allowed'
      : outcome.chipMm
        ? `, with chips of about ${formatLengthAbout(outcome.chipMm.p50, units)}`
        : '';
  return `Costs least in time, wear and loss${chip}.`;
}

const times = (ratio: number): string => formatSignificant(ratio, 2);

function slower({ timeS }: Outcome, { timeS: first }: Outcome): string | null {
  if (!timeS || !first) return null;
  const ratio = timeS.p50 / first.p50;
  if (ratio > ALIKE) return `takes ${times(ratio)} times as long`;
  return ratio < 1 / ALIKE ? `quicker, in ${times(ratio)} of the time` : null;
}

function riskier({ crackProbability: p }: Outcome, first: Outcome): string | null {
  const max = Math.max(p, first.crackProbability);
  if (max < RARE) return null;
  const ratio = p / Math.max(first.crackProbability, 1e-9);
  if (ratio > ALIKE) return `cracks ${oddsInWords(p)}, not ${oddsInWords(first.crackProbability)}`;
  return ratio < 1 / ALIKE ? `cracks less often, ${oddsInWords(p)}` : null;
}

function chipped(outcome: Outcome, first: Outcome, units: UnitSystem): string | null {
  if (!outcome.chipMm || !first.chipMm) return null;
  const ratio = outcome.chipMm.p50 / first.chipMm.p50;
  if (ratio < ALIKE || outcome.chipOverOdds < OFTEN) return null;
  return `its exit chips show ${oddsInWords(outcome.chipOverOdds)}, about ${formatLengthAbout(outcome.chipMm.p50, units)} wide`;
}

function dearer({ cost }: Outcome, { cost: first }: Outcome): string | null {
  const more = cost.wearMoney - first.wearMoney;
  return more > 0.15 * first.totalMoney && more > 0.05 ? 'takes more of the bit’s life' : null;
}

function harder({ effort }: Outcome, { effort: first }: Outcome, units: UnitSystem): string | null {
  return effort.handForceN > 1.5 * first.handForceN && effort.level !== 'light'
    ? `wants ${formatForce(effort.handForceN, units)} from the arms`
    : null;
}
