import type { RankedSupport, SupportNeed, SupportsOutcome } from '../../advice/choice/rankSupports';
import { SUPPORTS } from '../../data/supports';
import type { Fault } from '../../documents/fault';
import type { PlanContext } from '../../plan/planContext';
import { inUnits } from '../plan/planInUnits';
import { stressText } from '../plan/stressText';
import { METRIC, type UnitSystem } from '../../data/unitSystem';
import { placeInWords } from './placeInWords';
import { faultyInWords } from '../faults';

/** One thing to lay the piece on, as it is shown. */
export interface DescribedSupport extends Omit<RankedSupport, 'context' | 'needs'> {
  readonly name: string;
  readonly note: string;
  /** What it wants, each to follow “wants”. */
  readonly needs: readonly string[];
  readonly why: string;
}

export type DescribedSupports =
  | {
      readonly kind: 'ranked';
      readonly ranked: readonly DescribedSupport[];
      /** Those that cannot, and why. */
      readonly barred: readonly { readonly name: string; readonly why: string }[];
    }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

const NEED_WORDS = {
  cradle:
    'a cradle, or a bed that follows: a round or odd piece touches this in a line or at points',
  'flat-piece': 'a piece as flat as it is: lay it on and feel for rocking',
  'fresh-place': 'a fresh place for each hole',
  weight: 'a weight on it: it floats in the bath',
  drying: 'drying after: it swells where it stays wet',
  'catch-plug': 'a hand or tape behind for the plug',
} as const satisfies Record<SupportNeed, string>;

const EDGES_HELD = {
  four: 'Held round its edges',
  two: 'Over two battens',
  none: SUPPORTS.nothing.name,
} as const satisfies Record<PlanContext['setup']['support']['edgesHeld'], string>;

const nameOf = ({ kind, context }: RankedSupport): string =>
  kind === 'nothing' ? EDGES_HELD[context.setup.support.edgesHeld] : SUPPORTS[kind].name;

export function supportsInWords(
  outcome: SupportsOutcome,
  units: UnitSystem = METRIC,
): DescribedSupports {
  if (outcome.kind === 'faulty') return faultyInWords(outcome);
  const { ranked, troubled, barred } = outcome;
  const [first] = ranked;
  return {
    kind: 'ranked',
    ranked: ranked.map((one, index) => {
      const { context, ...rest } = one;
      return {
        ...rest,
        name: nameOf(one),
        note: SUPPORTS[one.kind].note,
        needs: one.needs.map((need) => NEED_WORDS[need]),
        why: placeInWords(
          one.outcome,
          first?.outcome ?? one.outcome,
          index,
          inUnits(context, units),
        ),
      };
    }),
    barred: [
      ...troubled.map((one) => ({ name: nameOf(one), why: stressText(one.context, units) })),
      ...barred.map((id) => ({
        name: SUPPORTS[id].name,
        why: 'A built piece does not lie in a bed: hold a board or foam behind it.',
      })),
    ],
  };
}
