import type { Risk } from '../../physics/strength/assessRisk';
import { oddsInWords } from '../odds';
import type { Unknown } from '../../physics/strength/riskModel';
import { formatDuration, formatDurationSpan } from '../units/formatQuantity';
import { formatLengthAbout } from '../units/length';
import { formatDecimals } from '../units/roundNumber';
import type { UnitSystem } from '../../data/unitSystem';
import { UNKNOWN_WORDS, type AnswerPlace } from './unknownWords';

/** One outcome of the Monte Carlo as it is said. */
export interface RiskLine {
  readonly key: 'crack' | 'time' | 'chip';
  readonly title: string;
  readonly value: string;
  readonly note: string;
}

/** @param bent whether the piece's bending is in the odds */
export function riskLines(risk: Risk, bent: boolean, units: UnitSystem): RiskLine[] {
  const { crackProbability, timeS, chipMm, draws } = risk;
  return [
    {
      key: 'crack',
      title: 'It cracks or is spoilt',
      value: oddsInWords(crackProbability),
      note: `Mean over ${formatDecimals(draws, 0)} tries. ${bent ? 'From bending, heat, built-in stress and handling.' : 'From heat, built-in stress and handling; this piece is not calculated as a plate that bends.'}`,
    },
    {
      key: 'time',
      title: 'It takes',
      value: timeS ? formatDurationSpan(timeS.p10, timeS.p90) : 'It may not cut at all',
      note: timeS
        ? `Eight tries in ten; half of them under ${formatDuration(timeS.p50)}.`
        : 'In more than one try of ten the rim only polishes.',
    },
    ...(chipMm
      ? [
          {
            key: 'chip' as const,
            title: 'Exit chips',
            value: `about ${formatLengthAbout(chipMm.p50, units)}`,
            note: `Nine in ten stay under ${formatLengthAbout(chipMm.p90, units)}.`,
          },
        ]
      : []),
  ];
}

/** What one unknown costs, in words, and where it can be settled. */
export interface UnknownLine {
  readonly unknown: Unknown;
  readonly title: string;
  readonly what: string;
  /** Share of the spread it brings, 0 to 1. */
  readonly cost: number;
  /** The same in words: `half of the doubt`. */
  readonly costText: string;
  readonly gain: string;
  readonly ask: { readonly place: AnswerPlace; readonly text: string } | null;
}

/** A twentieth of the spread or less is not worth asking after. */
const WORTH_ASKING = 0.05;

/** The unknowns that cost certainty, the costliest first. */
export function unknownLines(risk: Risk): UnknownLine[] {
  return risk.unknowns.map(({ unknown, cost, timeShare, chipShare, oddsShare, timeWithoutS }) => {
    const words = UNKNOWN_WORDS[unknown];
    const parts = [
      ...(timeShare >= WORTH_ASKING ? [`${tenths(timeShare)} of the doubt about the time`] : []),
      ...(chipShare >= WORTH_ASKING ? [`${tenths(chipShare)} about the chips`] : []),
      ...(oddsShare >= WORTH_ASKING ? [`${tenths(oddsShare)} about the odds`] : []),
    ];
    const span =
      timeWithoutS && timeShare >= WORTH_ASKING
        ? ` Known, the time would be ${formatDurationSpan(timeWithoutS.p10, timeWithoutS.p90)}.`
        : '';
    return {
      unknown,
      title: words.title,
      what: words.what,
      cost,
      costText: `${tenths(cost)} of the doubt`,
      gain: parts.length > 0 ? `It brings ${parts.join(', ')}.${span}` : 'It hardly matters here.',
      ask: cost >= WORTH_ASKING ? words.ask : null,
    };
  });
}

const TENTHS: Readonly<Record<number, string>> = {
  1: 'a tenth',
  2: 'a fifth',
  3: 'three tenths',
  4: 'four tenths',
  5: 'half',
  6: 'six tenths',
  7: 'seven tenths',
  8: 'four fifths',
  9: 'nine tenths',
  10: 'nearly all',
};

const tenths = (share: number): string =>
  share > 0.95 ? 'all' : share < 0.05 ? 'a little' : (TENTHS[Math.round(share * 10)] ?? 'a little');
