import type { Bit } from '../../documents/kit';
import type { DiameterRange } from '../../documents/fit';

export interface OwnedBit {
  readonly bit: Bit;
  /** What it cuts: its diameter and its run-out, which widens the hole by its full value. */
  readonly holeMm: number;
  /** holeMm less the target, mm. */
  readonly offTargetMm: number;
  /** 0 inside the range; else how far outside it: negative too small, positive too wide. */
  readonly missMm: number;
}

/** Owned bits that cut within the range, nearest to the target first, and the nearest misses. */
export function bitsForRange(
  range: DiameterRange,
  bits: readonly Bit[],
): { readonly fitting: readonly OwnedBit[]; readonly misses: readonly OwnedBit[] } {
  const all = bits.map((bit): OwnedBit => {
    const holeMm = bit.diameterMm + (bit.runOutMm ?? 0);
    const missMm = Math.min(0, holeMm - range.leastMm) + Math.max(0, holeMm - range.mostMm);
    return {
      bit,
      holeMm,
      offTargetMm: holeMm - range.targetMm,
      missMm: Math.abs(missMm) < 1e-6 ? 0 : missMm,
    };
  });
  const by = (key: (one: OwnedBit) => number) => (a: OwnedBit, b: OwnedBit) =>
    Math.abs(key(a)) - Math.abs(key(b)) || a.bit.id.localeCompare(b.bit.id);
  return {
    fitting: all.filter((one) => one.missMm === 0).sort(by((one) => one.offTargetMm)),
    misses: all.filter((one) => one.missMm !== 0).sort(by((one) => one.missMm)),
  };
}
