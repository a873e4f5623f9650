import type { Experience, LoggedFactors } from '../../documents/experience';
import type { Bit } from '../../documents/kit';
import type { TimeSpread } from '../../documents/plan';
import { Z_90 } from '../../math/normal';
import type { Learned } from './learn';

type AgedBit = Pick<Bit, 'id' | 'family' | 'holesCut'>;

/** Whose hands and bits the holes to come are for. */
interface Workshop {
  /** In use, as old as they are. */
  readonly bits: readonly AgedBit[];
  /** null where it may be anybody. */
  readonly person: string | null;
}

/** What the log tells of one stone, kind of bit and bit; null for one it does not hold. */
export function loggedFactors(
  learned: Learned,
  asked: {
    readonly material: string | null;
    readonly family: string | null;
    readonly bit: AgedBit | null;
    readonly person: string | null;
  },
): LoggedFactors {
  const { material, family, bit, person } = asked;
  return {
    material,
    family,
    bit: bit?.id ?? null,
    holes: learned.holesOf(material, family),
    ...learned.factors({
      // No name in the log is empty: what it was not told of is as wide as its level.
      material: material ?? '',
      family: family ?? '',
      bit: bit?.id ?? null,
      person,
      sheet: null,
      holesBefore: bit?.holesCut ?? 0,
    }),
  };
}

/**
 * What the log tells of every stone it holds with every kind of bit and every bit, and of any other: what plans are
 * made with, on the phone and the server alike.
 * @returns null of a log that tells nothing
 */
export function experienceOf(learned: Learned, { bits, person }: Workshop): Experience | null {
  const { believed } = learned;
  if (believed.length === 0) return null;
  const materials = [...new Set(believed.map(({ material }) => material)), null];
  const families = [...new Set(believed.map(({ family }) => family)), null];
  const factors = (material: string | null, family: string | null, bit: AgedBit | null) =>
    loggedFactors(learned, { material, family, bit, person });
  const table = materials.flatMap((material) => [
    ...families.map((family) => factors(material, family, null)),
    ...bits.map((bit) => factors(material, bit.family, bit)),
  ]);
  return {
    hash: hashOf(believed, table),
    at: believed.at(-1)?.at ?? '',
    holes: believed.length,
    factors: table,
  };
}

/** Odds with the band that the log leaves them: sd of ln(−ln(1 − odds)). */
export function oddsBand(odds: number, sd: number): TimeSpread {
  const at = (z: number): number => -Math.expm1(Math.log1p(-odds) * Math.exp(z * sd));
  return { p10: at(-Z_90), p50: odds, p90: at(Z_90) };
}

/** FNV-1a over the holes as they are learned from, in whatever order, and what comes of them. */
function hashOf(holes: Learned['believed'], factors: Experience['factors']): string {
  const text = [...holes, ...factors]
    .map((one) => JSON.stringify(one))
    .sort()
    .join('\n');
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++)
    hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0;
  return hash.toString(16).padStart(8, '0');
}
