import { EFFORT_WORDS } from '../pressing';
import { input, type Reason, type ReasonInput } from '../../documents/reason';
import { oddsInWords } from '../odds';
import { formatDuration, formatDurationSpan, formatForce } from '../units/formatQuantity';
import { formatLengthAbout } from '../units/length';
import { formatMoney } from '../units/money';
import type { UnitSystem } from '../../data/unitSystem';
import type { ComparedFigure } from '../../advice/choice/comparedFigures';
import type { HoleCost, Outcome } from '../../advice/choice/outcome';

export interface OutcomeFigure {
  readonly figure: ComparedFigure;
  readonly name: string;
  readonly value: string;
  /** One line beneath it. */
  readonly note: string;
}

/** The figures by which ways are told apart, as they are shown. */
export function outcomeFigures(outcome: Outcome, units: UnitSystem): OutcomeFigure[] {
  const { timeS, crackProbability, chipMm, effort, cost, allowedChipMm, chipOverOdds } = outcome;
  return [
    {
      figure: 'time',
      name: 'Time',
      value: timeS ? formatDuration(timeS.p50) : 'Does not cut',
      note: timeS ? formatDurationSpan(timeS.p10, timeS.p90) : '',
    },
    {
      figure: 'crack',
      name: 'Cracks',
      value: oddsInWords(crackProbability),
      note: 'or worse, by bending',
    },
    {
      figure: 'chip',
      name: 'Exit chip',
      value: chipMm === null ? 'No exit' : formatLengthAbout(chipMm.p50, units),
      note:
        chipMm === null || allowedChipMm === null ? '' : `too wide ${oddsInWords(chipOverOdds)}`,
    },
    {
      figure: 'effort',
      name: 'Effort',
      value: EFFORT_WORDS[effort.level],
      note: `${formatForce(effort.handForceN, units)} by hand`,
    },
    {
      figure: 'cost',
      name: 'Costs',
      value: formatMoney(cost.totalMoney, units),
      note: units.currency === undefined ? 'your money' : '',
    },
  ];
}

const PRESUMED: Readonly<Record<HoleCost['presumed'][number], string>> = {
  hour: 'what an hour is worth',
  bit: 'the bit’s price',
  piece: 'the piece’s value',
};

/** How the cost came about, and what of it is presumed. */
export function costReason({ cost, timeS }: Outcome, units: UnitSystem): Reason {
  const inputs: ReasonInput[] = [
    input(
      `Time${timeS ? `, ${formatDuration(timeS.p50)}` : ''}`,
      formatMoney(cost.timeMoney, units),
    ),
    input('Wear of the bit', formatMoney(cost.wearMoney, units)),
    input('Expected loss', formatMoney(cost.lossMoney, units)),
  ];
  return {
    text:
      cost.presumed.length === 0
        ? 'Time, wear and what is lost when it goes wrong, in your own money.'
        : `Presumed, until you say: ${cost.presumed.map((one) => PRESUMED[one]).join(', ')}.`,
    inputs,
    source:
      'Bench time at its hourly worth; the bit’s price times the share of its life; odds of a crack times the piece, and of a chip that shows times three tenths of it.',
  };
}
