import type {
  HireOption,
  HireOrBuy,
  HireOutcome,
  WayToHaveIt,
} from '../../advice/choice/hireOrBuy';
import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import { MACHINE_KINDS } from '../../data/machines/machineKinds';
import type { Fault } from '../../documents/fault';
import { formatDuration } from '../units/formatQuantity';
import { formatSignificant } from '../units/roundNumber';
import { faultyInWords } from '../faults';

/** One way of having n holes, as it is shown. */
export interface DescribedHireOption extends HireOption {
  readonly title: string;
  readonly text: string;
}

export interface DescribedHireOrBuy extends Omit<HireOrBuy, 'options'> {
  readonly options: readonly DescribedHireOption[];
  readonly text: string;
}

export type DescribedHireOutcome =
  | { readonly kind: 'weighed'; readonly hireOrBuy: DescribedHireOrBuy }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

const bitName = ({ family }: HireOption): string =>
  family === null ? '' : BIT_FAMILIES[family].name.toLowerCase();
const machineName = ({ machine }: HireOption): string =>
  machine === null ? '' : MACHINE_KINDS[machine].name.toLowerCase();
const bitLasts = ({ holesPerBit, perHoleS }: HireOption): string =>
  `One bit lasts about ${formatSignificant(holesPerBit, 2)} ${holesPerBit === 1 ? 'hole' : 'holes'}; each takes about ${formatDuration(perHoleS)} with marking and cleaning.`;

const WAY_WORDS = {
  'cheap-bit': { title: (one) => `Cheap bit: ${bitName(one)}`, text: bitLasts },
  'good-bit': { title: (one) => `Good bit: ${bitName(one)}`, text: bitLasts },
  'hired-rig': {
    title: (one) => `Hired: ${machineName(one)}`,
    text: ({ holesPerDay }) =>
      `About ${holesPerDay ?? 0} holes a day; its bit is paid by the wear.`,
  },
  'ordered-in': {
    title: ({ movable }) => (movable ? 'Have it drilled' : 'Have someone come'),
    text: () => 'Who drills it for you carries the loss: ask whether they do.',
  },
} as const satisfies Record<WayToHaveIt, Record<'title' | 'text', (option: HireOption) => string>>;

export function hireInWords(outcome: HireOutcome): DescribedHireOutcome {
  if (outcome.kind === 'faulty') return faultyInWords(outcome);
  const { options, cheapestFrom, prices } = outcome.hireOrBuy;
  const said = options.map((one) => ({
    ...one,
    title: WAY_WORDS[one.way].title(one),
    text: WAY_WORDS[one.way].text(one),
  }));
  return {
    kind: 'weighed',
    hireOrBuy: { options: said, prices, cheapestFrom, text: cheapestText(said, cheapestFrom) },
  };
}

function cheapestText(
  options: readonly DescribedHireOption[],
  points: HireOrBuy['cheapestFrom'],
): string {
  const title = (way: WayToHaveIt): string =>
    options.find((one) => one.way === way)?.title.toLowerCase() ?? way;
  const [first, ...others] = points;
  if (!first) return '';
  const start = `For one hole, ${title(first.way)} costs least`;
  return others.length === 0
    ? `${start}, and it stays so up to ${options[0]?.costMoney.length ?? 1}.`
    : `${start}; ${others.map(({ holes, way }) => `from ${holes}, ${title(way)}`).join('; ')}.`;
}
