import type { Coupling, Kit } from '../../documents/kit';
import { takes } from '../takes';
import type { ResolvedBit } from '../resolvedSetup';
import { usualShank } from '../usualBit';

/** How deep a bit goes, and what of one’s own carries it deeper. */
export interface Reach {
  /** The bit alone, as far as what follows its barrel goes into the hole, mm. */
  readonly ownMm: number;
  /** What goes on when that ends; null where the bit is enough, or nothing owned will do. */
  readonly extension: Coupling | null;
}

/**
 * Reach of a bit alone, mm: its barrel, and behind it the shank where that is narrower than the hole. Where the
 * free length is not known, the barrel’s.
 */
export function ownReach({ bit, geometry }: Pick<ResolvedBit, 'bit' | 'geometry'>): number {
  const { usableDepthMm, diameterMm } = geometry;
  const { sizeMm } = bit.shank ?? usualShank(bit.family, bit.diameterMm);
  const isNarrow = sizeMm === undefined || sizeMm < diameterMm;
  return isNarrow ? Math.max(usableDepthMm, bit.freeLengthMm ?? 0) : usableDepthMm;
}

/** As far as it goes with what is put on, mm. */
export const wholeReach = ({ ownMm, extension }: Reach): number =>
  ownMm + (extension?.lengthMm ?? 0);

/** Between barrel and holder, where the free length is not known, mm. */
const SHANK_IN_VIEW_MM = 20;

/** What stands out of the holder, rim to holder, with what is between, mm. */
export const sticksOut = (
  { bit, geometry }: Pick<ResolvedBit, 'bit' | 'geometry'>,
  couplings: readonly Coupling[] = [],
): number =>
  (bit.freeLengthMm ?? geometry.usableDepthMm + SHANK_IN_VIEW_MM) +
  couplings.reduce((sum, { lengthMm = 0 }) => sum + lengthMm, 0);

/** Whether an extension goes into a hole of this size. */
export const entersHole = ({ diameterMm }: Coupling, holeMm: number): boolean =>
  diameterMm === undefined || diameterMm < holeMm;

/**
 * How a bit comes to a depth: by itself, on what was chosen, or on the shortest owned extension that takes it and
 * goes into the hole.
 */
export function reachTo(
  kit: Kit,
  tool: ResolvedBit,
  depthMm: number,
  chosen: readonly Coupling[] = [],
): Reach {
  const ownMm = ownReach(tool);
  const missingMm = depthMm - ownMm;
  if (missingMm <= 1e-9) return { ownMm, extension: null };
  const own = chosen.find(({ kind }) => kind === 'extension') ?? chosen[0];
  if (own) return { ownMm, extension: own };
  const shank = tool.bit.shank ?? usualShank(tool.bit.family, tool.bit.diameterMm);
  const [extension = null] = (kit.couplings ?? [])
    .filter(({ kind, retired }) => kind === 'extension' && !retired)
    .filter((one) => takes(one.takes, shank) && entersHole(one, tool.geometry.diameterMm))
    .filter(({ lengthMm = 0 }) => lengthMm >= missingMm)
    .sort((a, b) => (a.lengthMm ?? 0) - (b.lengthMm ?? 0) || a.id.localeCompare(b.id));
  return { ownMm, extension };
}
