import type { Holder, Shank } from '../data/couplings/shank';
import { CONNECTIONS } from '../data/couplings/connections';
import { MACHINE_KINDS } from '../data/machines/machineKinds';
import type { Machine } from '../documents/kit';

/** A collet closes on a shank this much off its size, mm. */
const COLLET_GRIP_MM = 0.1;

/** Whether a holder takes a shank. A three-jaw chuck takes a six-sided shank as well as a round one. */
export function takes(holder: Holder, shank: Shank): boolean {
  const jaws = holder.kind === 'round' || holder.kind === 'hex';
  if (!jaws) return holder.kind === shank.kind;
  const sixInCollet = shank.kind === 'hex' && holder.kind === 'round' && holder.sizesMm;
  if (!CONNECTIONS[shank.kind].sized || sixInCollet) return false;
  if (holder.kind === 'hex' && shank.kind === 'round') return false;
  const { sizeMm } = shank;
  if (sizeMm === undefined) return true;
  return holder.sizesMm
    ? holder.sizesMm.some((one) => Math.abs(one - sizeMm) <= COLLET_GRIP_MM)
    : sizeMm >= (holder.leastMm ?? 0) && sizeMm <= (holder.mostMm ?? Infinity);
}

/** What a machine holds bits with: its own, or what its kind usually has. */
export const holdersOf = (machine: Machine): readonly Holder[] =>
  machine.holders?.length ? machine.holders : MACHINE_KINDS[machine.kind].holders;
