import { BIT_FAMILIES, type BitFamilyId } from '../../data/bits/bitFamilies';
import { findMaterial } from '../../data/materials/materials';
import type { TimeSpread } from '../../documents/plan';
import { isDue, type BitDue } from '../../run/learning/bitDue';
import type { Held, LearnedLevel, LearningReport } from '../../run/learning/learningReport';
import type { Doubt } from '../../run/learning/loggedHole';
import type { UnitSystem } from '../../data/unitSystem';
import { formatMoney, ofYourMoney } from '../units/money';
import { oddsInWords } from '../odds';
import { counted } from '../sentence';
import { formatSignificant } from '../units/roundNumber';

const materialName = (id: string): string => findMaterial(id)?.name ?? id;
const familyName = (id: string): string =>
  id in BIT_FAMILIES ? BIT_FAMILIES[id as BitFamilyId].name : id;
const percent = (share: number): string => `${Math.round(100 * share)} %`;
const times = (value: number): string => formatSignificant(value, 2);

const spanOf = ({ p10, p50, p90 }: TimeSpread): string =>
  p10 === p90 ? `${p50}` : `${p50} (${p10} to ${p90})`;

const DOUBTS: Readonly<Record<Doubt, string>> = {
  twice: 'The same run is there twice.',
  future: 'It is later than now.',
  contradicts: 'Fine and cracked at once, or more minutes cutting than in all.',
  absurd: 'A hundred times off its plan: wrong unit?',
  'left-out': 'You left it out.',
};

/** How well the log knows. */
export const learningWords = {
  title: 'Accuracy',
  subtitle: 'How often predictions hold, and what your log corrects',
  plansGoBy: 'Plans use',
  logToo: 'Calculation and log',
  asNew: 'Plan without the log',
  isAsNew: 'Without the log: calculation only.',
  byTheLog: 'Plan with the log',
  calculationAlone: 'Calculation only',
  theLog: 'the accuracy',
  nothingYet: 'No runs yet',
  nothingYetText:
    'Drill a hole and log it, or open a list of past holes in the log. Five holes show your own figures.',
  believed: ({ runs, used }: Pick<LearningReport, 'runs' | 'used'>): string =>
    used === runs
      ? `All ${counted(runs, 'run')} are used.`
      : `${used} of ${counted(runs, 'run')} are used.`,
  held: ({ timeBand80, n }: LearningReport['calibration']): string =>
    timeBand80 === null
      ? `${counted(n, 'timed hole')} so far: ten are needed to say how often the spans hold.`
      : `${percent(timeBand80)} of ${n} timed holes fell within a span meant to hold 80 %, each predicted from the others.`,
  howOftenHeld: 'How often the spans held',
  meant: 'Target: 80 %',
  came: 'Within the span',
  month: 'by month',
  heldOf: ({ of, inside, n }: Held): string => `${materialName(of)}: ${inside} of ${n}`,
  monthOf: (month: string): string => month.slice(2).replace('-', '/'),
  percent,
  odds: 'Odds and cracks',
  oddsOf: ({ told, cracked, n }: LearningReport['odds'][number]): string =>
    `Predicted ${oddsInWords(told)}: ${cracked} of ${n} cracked, ${told * n < 0.1 ? 'under 0.1' : times(told * n)} expected`,
  learned: 'Corrections',
  allLevels: (count: number): string => `All ${count}, with little evidence too`,
  fewer: 'Only the best supported',
  asLong: 'Times as long as calculated. The bar holds eight in ten.',
  levelOf: ({ level, name }: LearnedLevel): string => {
    if (level === 'material') return materialName(name);
    if (level === 'family') return familyName(name);
    if (level !== 'pair') return name;
    const [material = '', family = ''] = name.split(' × ');
    return `${familyName(family)} in ${materialName(material).toLowerCase()}`;
  },
  rateOf: ({ rate, runs }: Pick<LearnedLevel, 'rate' | 'runs'>): string =>
    `× ${times(rate.p50)} (${times(rate.p10)} to ${times(rate.p90)}), ${counted(runs, 'run')}`,
  changeTheBit: 'When to change the bit',
  dueOf: (
    { changeAt, holesCut, costPerHole, costIfKept }: BitDue,
    units: Pick<UnitSystem, 'currency'>,
  ): string =>
    `${isDue({ changeAt, holesCut }) ? 'Due: change' : 'Change'} after ${spanOf(changeAt)} holes; it has cut ${holesCut}. A hole costs ${formatMoney(costPerHole, units)}${ofYourMoney(units)} then, ${formatMoney(costIfKept, units)} if you go on until it hardly cuts.`,
  notBelieved: 'Not used',
  whyNot: (doubts: readonly Doubt[]): string => doubts.map((doubt) => DOUBTS[doubt]).join(' '),
  isLearnedFrom: 'Plans learn from this run.',
  isPutBack: 'You put it back.',
  putBack: 'Put it back',
  leaveOut: 'Leave it out',
  runOf: (hole: string, piece: string): string => `${hole}, ${piece}`,
  logNext: 'What to log next to learn most',
  nextOf: ({ material, family, holes, within }: LearningReport['next'][number]): string =>
    `${familyName(family)} in ${materialName(material).toLowerCase()}: ${counted(holes, 'hole')} so far, eight in ten within a factor of ${times(within)}`,
  howItKnows: 'Accuracy',
};
