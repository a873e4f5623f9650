import type { BitChain, ChainChoice, ChainOutcome, PilotRule } from '../../advice/choice/stepChain';
import type { Fault } from '../../documents/fault';
import type { Bit } from '../../documents/kit';
import { formatDuration } from '../units/formatQuantity';
import { formatLengthShort } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';
import { faultyInWords } from '../faults';

/** Steps or straight to size, as it is shown. */
export interface DescribedChain extends Omit<ChainChoice, 'barred'> {
  /** Which pays, and by how much. */
  readonly text: string;
  readonly barred: readonly { readonly bit: Bit; readonly text: string }[];
}

export type DescribedChainOutcome =
  | { readonly kind: 'chosen'; readonly choice: DescribedChain }
  | { readonly kind: 'no-bit'; readonly text: string }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

const PILOT_RULES = {
  'carbide-under-core':
    'Carbide never makes the pilot under a core in glass or glazed ware: it starts a crack.',
  'ring-eaten': 'The hole has eaten the ring it would stand in: free hand it wanders. Use a guide.',
} as const satisfies Record<PilotRule, string>;

export const pilotRuleText = (rule: PilotRule): string => PILOT_RULES[rule];

export function chainInWords(outcome: ChainOutcome, units: UnitSystem): DescribedChainOutcome {
  if (outcome.kind === 'faulty') return faultyInWords(outcome);
  if (outcome.kind === 'no-bit')
    return {
      kind: 'no-bit',
      text: `No usable bit of yours makes ${formatLengthShort(outcome.diameterMm, units)} in this material.`,
    };
  const { choice } = outcome;
  return {
    kind: 'chosen',
    choice: {
      ...choice,
      text: chainText(choice, units),
      barred: choice.barred.map(({ bit, why }) => ({ bit, text: pilotRuleText(why) })),
    },
  };
}

/** Which pays, and by how much. */
export function chainText(
  { best, straight }: { readonly best: BitChain; readonly straight: BitChain },
  units: UnitSystem,
): string {
  if (best.steps.length === 1)
    return 'Straight to size: steps would only add swaps and another break-through.';
  const saved = straight.timeS - best.timeS;
  const sizes = best.steps
    .map(({ bit }) => formatLengthShort(bit.diameterMm, units))
    .join(', then ');
  return saved > 0
    ? `In steps, ${sizes}: about ${formatDuration(saved)} less than straight to size.`
    : `In steps, ${sizes}: about ${formatDuration(-saved)} longer, but safer for the piece.`;
}
