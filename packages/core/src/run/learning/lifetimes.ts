import type { LogRatio } from '../../documents/experience';
import type { Bit } from '../../documents/kit';
import { truncatedNormal } from '../../math/normal';
import type { LoggedHole } from './loggedHole';

/** One bit: lives it has cut, by plan, of those after which it hardly cuts; and whether it does not any more. */
export interface Lifetime {
  readonly share: number;
  readonly isWornOut: boolean;
}

/** Half a bit's bite is gone after one planned life, seven eighths after three: it hardly cuts. */
export const LIVES_TO_WORN = 3;
/** sd of ln(lasted/planned) of a workshop's bits before any is worn out, and from bit to bit. */
const PRIOR_SD = 0.4;
const BIT_SD = 0.35;
const ROUNDS = 60;

/**
 * How much longer bits last than planned: ln(lasted/planned) ~ N(μ, σ²) from bit to bit, μ ~ N(0, τ²). Bits that are worn
 * out tell it; of those in use, lost, broken or sold it is known that they would have lasted longer (right-censored), and
 * they are taken at their mean beyond (Tobin 1958, by EM): μ = Σ y/(n + σ²/τ²).
 */
export function lifetimes(bits: readonly Lifetime[]): LogRatio {
  const cut = bits.filter(({ share }) => share > 0);
  const shrink = (BIT_SD / PRIOR_SD) ** 2;
  let mean = 0;
  for (let round = 0; round < ROUNDS; round++)
    mean =
      cut.reduce((sum, { share, isWornOut }) => {
        const y = Math.log(share);
        return sum + (isWornOut ? y : truncatedNormal(mean, BIT_SD, [y, Infinity]).mean);
      }, 0) /
      (cut.length + shrink);
  const worn = cut.filter(({ isWornOut }) => isWornOut).length;
  return { mean, sd: Math.sqrt(BIT_SD ** 2 / (worn + shrink) + BIT_SD ** 2) };
}

/** Bits of the log, worn out or not. One that had cut before the log begins has cut more than that: it tells a bound alone. */
export function lifetimesOf(
  holes: readonly Pick<LoggedHole, 'bit' | 'livesUsed'>[],
  bits: readonly Pick<Bit, 'id' | 'holesCut' | 'state' | 'retired' | 'retiredWhy'>[],
): readonly Lifetime[] {
  return bits.map(({ id, holesCut = 0, state, retired, retiredWhy }) => {
    const own = holes.filter(({ bit }) => bit === id);
    const lives = own.reduce((sum, { livesUsed = 0 }) => sum + livesUsed, 0);
    const isKnownWhole = holesCut <= own.length;
    const isWorn = state === 'bald' || (retired === true && retiredWhy === 'worn');
    return { share: lives / LIVES_TO_WORN, isWornOut: isWorn && isKnownWhole };
  });
}
