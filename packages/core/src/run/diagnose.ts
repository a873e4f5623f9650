import {
  BY_ITSELF,
  CAUSE_IDS,
  CAUSES,
  type Cause,
  type CauseId,
  type RunScene,
} from '../data/signs/causes';
import type { SignId } from '../data/signs/signs';

/** A sign that was noted, and how long ago, s. */
export interface NotedSign {
  readonly sign: SignId;
  readonly agoS: number;
  /** Whether what it asked for made it go. */
  readonly helped: boolean | null;
}

export interface RankedCause {
  readonly id: CauseId;
  /** Share of all causes, 0 to 1. */
  readonly share: number;
  /** Its share before any sign, 0 to 1. */
  readonly prior: number;
  /** What spoke, and how often the cause shows so. */
  readonly because: readonly { readonly sign: SignId; readonly shown: number }[];
}

/** A sign speaks half as loudly after so long, s. */
const HALF_LIFE_S = 120;
/** Below this a sign has nothing left to say. */
const MIN_WEIGHT = 0.1;

/** P(sign | cause), never nothing: an ear can be wrong. */
export const shownBy = (cause: Cause, sign: SignId): number => cause.shows[sign] ?? BY_ITSELF;

/**
 * What is likeliest the matter, by Bayes’ rule with the signs taken as independent:
 * P(c | signs) ∝ prior(c, run) × Π P(sign | c)^w, where w halves every two minutes, since what was
 * seen long ago may have been mended. A sign that went after what was done for it counts no more.
 */
export function diagnose(signs: readonly NotedSign[], scene: RunScene): readonly RankedCause[] {
  const heard = latestOfEach(signs)
    .map((one) => ({ ...one, weight: 0.5 ** (one.agoS / HALF_LIFE_S) }))
    .filter(({ weight, helped }) => weight >= MIN_WEIGHT && helped !== true);
  const weighed = CAUSE_IDS.map((id) => {
    const cause: Cause = CAUSES[id];
    const prior = cause.prior(scene);
    const weight = heard.reduce(
      (product, { sign, weight: w }) => product * shownBy(cause, sign) ** w,
      prior,
    );
    return { id, cause, prior, weight };
  });
  const priorTotal = weighed.reduce((sum, { prior }) => sum + prior, 0);
  const total = weighed.reduce((sum, { weight }) => sum + weight, 0);
  return weighed
    .map(({ id, cause, prior, weight }) => ({
      id,
      share: weight / total,
      prior: prior / priorTotal,
      because: heard.map(({ sign }) => ({ sign, shown: shownBy(cause, sign) })),
    }))
    .sort((a, b) => b.share - a.share);
}

/** The same sign noted again replaces the earlier one. */
function latestOfEach(signs: readonly NotedSign[]): readonly NotedSign[] {
  const latest = new Map<SignId, NotedSign>();
  for (const one of signs) {
    const had = latest.get(one.sign);
    if (!had || one.agoS < had.agoS) latest.set(one.sign, one);
  }
  return [...latest.values()];
}
