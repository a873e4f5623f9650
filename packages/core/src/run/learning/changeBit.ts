import { normalDraws, seededRandom } from '../../math/seededRandom';
import type { TimeSpread } from '../../documents/plan';

/** What a bit's holes cost as it ages; money in one's own. */
export interface BitCosts {
  readonly bitMoney: number;
  /** The piece, where it is lost. */
  readonly pieceMoney: number;
  readonly hourMoney: number;
  /** Of the hole with so many cut before: its time, and its odds to crack. */
  readonly at: (holesBefore: number) => { readonly timeS: TimeSpread; readonly crack: TimeSpread };
  /** Holes after which it hardly cuts: to where one goes on who never changes it. */
  readonly wornAt: number;
}

export interface ChangePoint {
  /** Holes after which the next costs more than the mean so far; null where none does before it is worn out. */
  readonly changeAt: { readonly p10: number; readonly p50: number; readonly p90: number };
  readonly costPerHole: number;
  /** The same of going on until it hardly cuts. */
  readonly costIfKept: number;
}

const DRAWS = 200;
const MAX_HOLES = 1000;

/**
 * Renewal–reward (Barlow & Hunter 1960): C(n) = [bit + Σ_{k<n}(V·h_k + w·t_k)]/n, least at the first n whose next hole
 * costs more than C(n). Its spread by so many seeded draws of how fast this bit's time and odds grow with its age.
 */
export function changePoint({
  bitMoney,
  pieceMoney,
  hourMoney,
  at,
  wornAt,
}: BitCosts): ChangePoint {
  const last = Math.max(2, Math.min(MAX_HOLES, Math.round(wornAt)));
  const holes = Array.from({ length: last }, (_, k) => at(k));
  const first = holes[0];
  const costs = (zTime: number, zCrack: number): readonly number[] =>
    holes.map(({ timeS, crack }) => {
      // A draw moves what age adds, not what the hole takes with a new bit.
      const grown = (of: TimeSpread, from: number, z: number): number => {
        const spread = z >= 0 ? of.p90 / of.p50 : of.p50 / of.p10;
        return from * (of.p50 / from) ** (spread ** (z / 1.2816));
      };
      const t = grown(timeS, first?.timeS.p50 ?? timeS.p50, zTime);
      const h = grown(crack, first?.crack.p50 ?? crack.p50, zCrack);
      return pieceMoney * Math.min(1, h) + (hourMoney * t) / 3600;
    });
  const normal = normalDraws(seededRandom(1));
  const drawn = Array.from(
    { length: DRAWS },
    () => cheapest(bitMoney, costs(normal(), normal())).n,
  ).sort((a, b) => a - b);
  const quantile = (q: number): number => drawn[Math.floor(q * (DRAWS - 1))] ?? last;
  const middle = costs(0, 0);
  const best = cheapest(bitMoney, middle);
  return {
    changeAt: {
      p10: Math.min(quantile(0.1), best.n),
      p50: best.n,
      p90: Math.max(quantile(0.9), best.n),
    },
    costPerHole: best.cost,
    costIfKept: (bitMoney + middle.reduce((sum, one) => sum + one, 0)) / middle.length,
  };
}

/** The n with the least mean cost, and that cost. */
function cheapest(
  bitMoney: number,
  costs: readonly number[],
): { readonly n: number; readonly cost: number } {
  let sum = bitMoney;
  let best = { n: costs.length, cost: Infinity };
  costs.forEach((cost, k) => {
    sum += cost;
    const mean = sum / (k + 1);
    if (mean < best.cost) best = { n: k + 1, cost: mean };
  });
  return best;
}
