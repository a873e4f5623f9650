import type {
  EdgeTruth,
  EdgeTruthOutcome,
  EdgeUntold,
  RuleTruth,
} from '../../advice/choice/edgeTruth';
import { faultsInWords } from '../faults';
import { oddsInWords } from '../odds';
import { formatPressure } from '../units/formatQuantity';
import { formatLengthShort } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';

export interface DescribedRule extends RuleTruth {
  readonly text: string;
}

/** What the edge does to this hole, and the rules of thumb beside it, as it is shown. */
export interface DescribedEdgeTruth extends Omit<EdgeTruth, 'rules'> {
  readonly rules: readonly DescribedRule[];
  readonly text: string;
}

export type DescribedEdge = DescribedEdgeTruth | { readonly kind: 'untold'; readonly why: string };

const UNTOLD = {
  'no-plate': 'The piece is not calculated as a plate here.',
  'deep-inside': 'The hole lies too deep inside for its edge to matter.',
  'piece-too-small': 'The piece is too small to move the hole away from its edge.',
} as const satisfies Record<Exclude<EdgeUntold['code'], 'faulty'>, string>;

const VERDICT: Readonly<Record<RuleTruth['verdict'], (odds: string) => string>> = {
  stricter: (odds) =>
    `Asks more than stress does here.${odds} Keep it where chips, knocks or the fitting matter.`,
  alike: (odds) => `About what stress asks here.${odds}`,
  laxer: (odds) => `Asks less than stress does here.${odds} Go by the stress.`,
};

export function edgeTruthInWords(truth: EdgeTruthOutcome, units: UnitSystem): DescribedEdge {
  if (truth.kind === 'untold') {
    const { why } = truth;
    return {
      kind: 'untold',
      why: why.code === 'faulty' ? (faultsInWords(why.faults)[0]?.message ?? '') : UNTOLD[why.code],
    };
  }
  const { curve, limitMpa, byStressMm, rules } = truth;
  const L = (mm: number): string => formatLengthShort(mm, units);
  const P = (mpa: number): string => formatPressure(mpa, units);
  return {
    ...truth,
    rules: rules.map((rule) => ({
      ...rule,
      text: `${L(rule.requiredMm)}. ${VERDICT[rule.verdict](rule.odds === null ? '' : ` At its distance it cracks ${oddsInWords(rule.odds)}.`)}`,
    })),
    text: `At ${L(curve[0]?.clearMm ?? 0)} from the edge all stress comes to ${P(curve[0]?.stressMpa ?? 0)}, far from it to ${P(curve.at(-1)?.stressMpa ?? 0)}; the allowable stress is ${P(limitMpa)}. For this force and this bed the edge hardly matters beyond ${L(byStressMm)}. The rules of thumb also cover what is not calculated: chips that reach the edge, knocks, and what the fitting will pull.`,
  };
}
