import type { Coupling } from '../documents/kit';
import { takes } from './takes';
import type { Holder, Shank } from '../data/couplings/shank';

/** No more than this many pieces between machine and bit: each adds run-out. */
const MAX_COUPLINGS = 3;

/**
 * The fewest owned couplings that join a bit to a machine, machine first; empty when it fits as it
 * is, null when it cannot be joined.
 * @param mustCarryWater only chains with a swivel, where the machine has none of its own
 */
export function couplingChain(
  holders: readonly Holder[],
  shank: Shank,
  couplings: readonly Coupling[],
  mustCarryWater = false,
): readonly Coupling[] | null {
  let fronts: readonly (readonly Coupling[])[] = [[]];
  for (let length = 0; length <= MAX_COUPLINGS; length++) {
    const joined = fronts.find(
      (chain) =>
        endsOf(holders, chain).some((holder) => takes(holder, shank)) &&
        (!mustCarryWater || chain.some((one) => one.carriesWater)),
    );
    if (joined) return joined;
    fronts = fronts.flatMap((chain) =>
      couplings
        .filter((one) => !chain.includes(one))
        .filter((one) => endsOf(holders, chain).some((holder) => takes(holder, one.into)))
        .map((one) => [...chain, one]),
    );
  }
  return null;
}

const endsOf = (holders: readonly Holder[], chain: readonly Coupling[]): readonly Holder[] => {
  const last = chain.at(-1);
  return last ? [last.takes] : holders;
};

/** How much farther the chain carries the bit, mm. */
export const chainReach = (chain: readonly Coupling[]): number =>
  chain.reduce((sum, one) => sum + (one.lengthMm ?? 0), 0);
