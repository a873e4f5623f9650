import type {
  CompareOutcome,
  Comparison,
  Method,
  Verdict,
} from '../../advice/choice/compareMethods';
import type { Outcome } from '../../advice/choice/outcome';
import type { ChainChoice } from '../../advice/choice/stepChain';
import type { UnitSystem } from '../../data/unitSystem';
import type { Fault } from '../../documents/fault';
import { SCHOOLS, type School, type SchoolWay } from '../../setup/schools';
import { oddsInWords } from '../odds';
import { formatDuration, formatForce } from '../units/formatQuantity';
import { formatLengthAbout } from '../units/length';
import { chainText, pilotRuleText } from './chainInWords';
import { faultyInWords, faultsInWords } from '../faults';

/** One way as a column, as it is shown. */
export interface DescribedMethod extends Omit<Method, 'faults'> {
  readonly label: string;
  readonly text: string;
  readonly needs: string | null;
  /** Why it could not be worked out; null where it was. */
  readonly fault: string | null;
}

export interface DescribedComparison extends Omit<Comparison, 'methods' | 'verdict' | 'chain'> {
  readonly question: string;
  readonly note: string;
  readonly methods: readonly DescribedMethod[];
  readonly verdict: string;
}

export type DescribedCompareOutcome =
  | { readonly kind: 'compared'; readonly comparisons: readonly DescribedComparison[] }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

export function comparisonsInWords(
  outcome: CompareOutcome,
  units: UnitSystem,
): DescribedCompareOutcome {
  return outcome.kind === 'faulty'
    ? faultyInWords(outcome)
    : { kind: 'compared', comparisons: outcome.comparisons.map((one) => said(one, units)) };
}

function said(
  { methods, verdict, chain, ...rest }: Comparison,
  units: UnitSystem,
): DescribedComparison {
  const school: Pick<School, 'question' | 'note'> & { readonly ways: Ways } =
    rest.id === 'steps' ? stepsSchool(chain) : SCHOOLS[rest.id];
  const spoken = methods.map(({ faults, ...method }): DescribedMethod => {
    const way = school.ways[method.id];
    return {
      ...method,
      label: way?.label ?? method.id,
      text: way?.text ?? '',
      needs: way?.needs ?? null,
      fault: faultsInWords(faults)[0]?.message ?? null,
    };
  });
  return {
    ...rest,
    question: school.question,
    note: school.note,
    methods: spoken,
    verdict: chain ? chainText(chain, units) : verdictText(verdict, spoken, units),
  };
}

type Ways = Readonly<Record<string, Pick<SchoolWay, 'label' | 'text' | 'needs'>>>;

/** In steps or straight: its columns are named by the bits owned. */
function stepsSchool(chain: ChainChoice | null) {
  const names = (of: ChainChoice['stepped'] | undefined): string =>
    of?.steps.map((step) => step.bit.name).join(', then ') ?? '';
  const barred = chain?.barred[0];
  const leftOut = barred ? ` ${barred.bit.name} is left out: ${pilotRuleText(barred.why)}` : '';
  return {
    question: 'One size or steps?',
    note: `Steps pay for solid bits, whose centre has no speed; a core grinds only its ring anyway.${leftOut}`,
    ways: {
      straight: { label: 'Straight', text: names(chain?.straight) },
      steps: { label: 'In steps', text: names(chain?.stepped) },
    },
  };
}

/** What the columns come to: which costs least, and what the runner-up would give instead. */
function verdictText(
  verdict: Verdict,
  methods: readonly DescribedMethod[],
  units: UnitSystem,
): string {
  const byId = (id: string) => methods.find((one) => one.id === id);
  switch (verdict.code) {
    case 'none-cuts':
      return 'None of these cuts here.';
    case 'alike':
      return 'On this job it hardly matters: take the way you know.';
    case 'only':
      return `Only “${byId(verdict.way)?.label ?? ''}” cuts here.`;
    case 'least': {
      const first = byId(verdict.way);
      const second = byId(verdict.second);
      const gains =
        first?.outcome && second?.outcome
          ? gainsOf(first.outcome, second.outcome, units).slice(0, 2)
          : [];
      return `“${first?.label ?? ''}” costs least here${gains.length > 0 ? `: ${gains.join(', ')}` : ''}.`;
    }
  }
}

const gainsOf = (first: Outcome, second: Outcome, units: UnitSystem): readonly string[] =>
  [
    gain(first.timeS?.p50, second.timeS?.p50, (s) => `${formatDuration(s)} of time`),
    gain(
      first.crackProbability,
      second.crackProbability,
      () =>
        `cracks ${oddsInWords(first.crackProbability)}, not ${oddsInWords(second.crackProbability)}`,
    ),
    gain(
      first.chipMm?.p50,
      second.chipMm?.p50,
      (mm) => `${formatLengthAbout(mm, units)} less chip`,
    ),
    gain(
      first.effort.handForceN,
      second.effort.handForceN,
      (N) => `${formatForce(N, units)} less to press`,
    ),
  ].filter((text) => text !== null);

/** What the first saves over the second, said only where it is a fifth or more. */
function gain(
  first: number | undefined,
  second: number | undefined,
  say: (difference: number) => string,
): string | null {
  if (first === undefined || second === undefined) return null;
  return second > first * 1.2 ? say(second - first) : null;
}
