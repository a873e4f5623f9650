import { logVariance, mean, quantile } from '../../math/sample';
import { drawDeviates, tryMany, type Tries } from './monteCarlo';
import { UNKNOWNS, type RiskModel, type Unknown } from './riskModel';

/** Enough for a P90 that stands within a hundredth; the bench holds it to 60 ms. */
export const DRAWS = 10_000;
/** The same on the phone, the server and the command line, so that the numbers are too. */
export const SEED = 20_260;
/** Draws for weighing the unknowns against each other: all share the same deviates. */
const WEIGHING_DRAWS = 600;
const TRIES_SHOWN = 20;

export interface Percentiles {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

/** What one unknown costs: its share of the spread of each outcome, 0 to 1. */
export interface UnknownCost {
  readonly unknown: Unknown;
  readonly timeShare: number;
  readonly chipShare: number;
  readonly oddsShare: number;
  /** Mean of the shares that arise: what it is ranked by. */
  readonly cost: number;
  /** The span of time that would be left if it were known; null where it would not cut. */
  readonly timeWithoutS: Percentiles | null;
}

export interface Risk {
  readonly draws: number;
  readonly seed: number;
  /** Mean of the conditional odds over all draws. */
  readonly crackProbability: number;
  /** Its spread over what is not known. */
  readonly crackOdds: Percentiles;
  /** null when more than a tenth of the tries would not cut at all. */
  readonly timeS: Percentiles | null;
  readonly chipMm: Percentiles | null;
  /** Twenty tries that stand for all, shortest first, s: the middles of equal shares. */
  readonly likeTriesS: readonly number[];
  /** The costliest first; those that cost nothing are left out. */
  readonly unknowns: readonly UnknownCost[];
}

/**
 * Seeded Monte Carlo of one hole.
 * @param seed whole number; the same seed gives the same answer everywhere
 */
export function assessRisk(model: RiskModel, draws = DRAWS, seed = SEED): Risk {
  const tries = tryMany(model, drawDeviates(draws, seed));
  const times = tries.timeS.toSorted();
  return {
    draws,
    seed,
    crackProbability: mean(tries.odds),
    crackOdds: percentiles(tries.odds.toSorted()) ?? NO_ODDS,
    timeS: percentiles(times),
    chipMm: tries.chipMm.length > 0 ? percentiles(tries.chipMm.toSorted()) : null,
    likeTriesS: Array.from({ length: TRIES_SHOWN }, (_, index) =>
      quantile(times, (index + 0.5) / TRIES_SHOWN),
    ),
    unknowns: weighUnknowns(model, seed),
  };
}

/** By how much each outcome's spread shrinks when one unknown is held still, the rest drawn alike. */
function weighUnknowns(model: RiskModel, seed: number): UnknownCost[] {
  const deviates = drawDeviates(WEIGHING_DRAWS, seed);
  const all = tryMany(model, deviates);
  const spread = spreads(all);
  const uncertain = UNKNOWNS.filter((unknown) =>
    unknown === 'identity' ? model.identities.length > 1 : model.sd[unknown] > 0,
  );
  return uncertain
    .map((unknown): UnknownCost => {
      const without = tryMany(model, deviates, unknown);
      const left = spreads(without);
      const share = (of: keyof Spreads): number =>
        spread[of] > 0 ? Math.max(0, 1 - left[of] / spread[of]) : 0;
      const shares = (['time', 'chip', 'odds'] as const).filter((of) => spread[of] > 0).map(share);
      return {
        unknown,
        timeShare: share('time'),
        chipShare: share('chip'),
        oddsShare: share('odds'),
        cost: shares.length > 0 ? shares.reduce((sum, one) => sum + one, 0) / shares.length : 0,
        timeWithoutS: percentiles(without.timeS.toSorted()),
      };
    })
    .filter(({ cost }) => cost > 0.005)
    .sort((a, b) => b.cost - a.cost);
}

interface Spreads {
  readonly time: number;
  readonly chip: number;
  readonly odds: number;
}

/** Variances of the logarithms: what is multiplied together adds up in them. */
const spreads = (tries: Tries): Spreads => ({
  time: logVariance(tries.timeS),
  chip: logVariance(tries.chipMm),
  odds: logVariance(tries.odds),
});

/** Odds are never without bound; this is for a model of no draws. */
const NO_ODDS: Percentiles = { p10: 0, p50: 0, p90: 0 };

function percentiles(sorted: Float64Array): Percentiles | null {
  const [p10, p50, p90] = [quantile(sorted, 0.1), quantile(sorted, 0.5), quantile(sorted, 0.9)];
  return Number.isFinite(p90) ? { p10, p50, p90 } : null;
}
