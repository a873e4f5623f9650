import { cholesky, inverseCholesky, solveCholesky } from '../math/cholesky';
import { truncatedNormal, Z_90 } from '../math/normal';
import {
  addOuter,
  addScaled,
  dot,
  EMPTY_ROW,
  nonZero,
  quadratic,
  sparseRow,
  timesSymmetric,
  type SparseRow,
} from '../math/sparseRow';

/** One logged hole, as far as its time or its chip tells something. */
export interface Trial {
  readonly material: string;
  readonly family: string;
  /** null where nobody said. */
  readonly bit: string | null;
  readonly person: string | null;
  /** Sheet or batch the piece is from. */
  readonly sheet: string | null;
  /** Holes the bit had cut before. */
  readonly holesBefore: number;
  /** ln(found/planned): of the time to the depth that was reached, or of the chip. */
  readonly lnRatio: number;
  /** Where only bounds are known, these; `lnRatio` lies between them. */
  readonly within?: readonly [low: number, high: number];
  /** Share of the depth that was reached: an aborted run tells less. */
  readonly share: number;
  /** Standard deviation of the logarithm the plan was given with. */
  readonly plannedSd: number;
}

/** What a hole to be drilled is known by. */
export type Target = Pick<
  Trial,
  'material' | 'family' | 'bit' | 'person' | 'sheet' | 'holesBefore'
>;

/** Where shops, stones, tools and hands differ from the plan. `wear` is a slope by family over the bit's age. */
export const LEVELS = [
  'overall',
  'material',
  'family',
  'pair',
  'bit',
  'person',
  'sheet',
  'wear',
] as const;
export type Level = (typeof LEVELS)[number];

/**
 * How the plan's own variance is shared out before anything is logged; the rest, NOISE_SHARE, is from
 * hole to hole. Wear's is what its slope brings at ten holes.
 */
const PRIOR_SHARE: Readonly<Record<Level, number>> = {
  overall: 0.2,
  material: 0.16,
  family: 0.1,
  pair: 0.12,
  bit: 0.1,
  person: 0.08,
  sheet: 0.05,
  wear: 0.04,
};
const NOISE_SHARE = 0.15;
/** The prior of a variance counts as so many effects, or holes, seen (scaled inverse χ²). */
const PRIOR_EFFECTS = 4;
const PRIOR_HOLES = 6;
/** What a single hole scatters by: Student's t where now and then one is nothing like the others, or a normal. */
export const NOISE = {
  t5: { nu: 5, q90: 1.4759 },
  normal: { nu: Infinity, q90: Z_90 },
} as const;
export type Noise = keyof typeof NOISE;

/** EM goes slowly at its end, where nothing that shows is left to gain. */
const ROUNDS = 10;
const SETTLED = 1e-2;
/** Its steps in ln(variance) are taken so much farther: it stays an ascent while under 2 (Salakhutdinov & Roweis 2003). */
const OVER_RELAXED = 1.7;

/** Age of a bit as its slope sees it: 0 new, ln 2 at ten holes. */
const ageOf = (holes: number): number => Math.log1p(holes / 10);

/** Learned of a log: τ² of each level, σ² from hole to hole. */
export interface Variances {
  readonly tau2: Readonly<Record<Level, number>>;
  readonly sigma2: number;
}

/** Of a fit to more trials: what these few are taken to be like. */
export interface Known {
  readonly variances: Variances;
  /** Of these trials, in their order. */
  readonly weights: ArrayLike<number>;
}

export interface Effect {
  readonly level: Level;
  readonly name: string;
  /** Mean and standard deviation of its ln(taken/planned). */
  readonly mean: number;
  readonly sd: number;
  readonly trials: number;
}

export interface MixedFit extends Variances {
  readonly effects: readonly Effect[];
  /** The t noise's weight of each trial. */
  readonly weights: Float64Array;
  /** How far each trial is believed, 1 fully; by the t noise's weight over its greatest. */
  readonly belief: readonly number[];
  /**
   * ln(taken/planned) of a hole to come: its mean, and sd such that mean ± 1.2816·sd holds eight in ten.
   * What was not met yet adds its level's whole variance.
   */
  readonly predict: (target: Target) => { readonly mean: number; readonly sd: number };
}

/**
 * Linear mixed model of ln(found/planned):
 *
 *   y_i = μ + m[material] + f[family] + p[material, family] + b[bit] + h[person] + s[sheet] + γ[family]·age + ε_i
 *
 * each effect ~ N(0, τ²_level), ε ~ t₅(0, σ²) or N(0, σ²). Variances by EM (Dempster, Laird & Rubin 1977), the t as a scale
 * mixture (Lange, Little & Taylor 1989); bits, of which there are many, are eliminated by a Schur complement. Values known by their bounds alone are
 * taken at their mean between them (Tobin 1958, by EM).
 * @param trials in any order; the fit does not depend on it
 * @param plannedSd sd of the logarithm that plans are given with where no trial says: the whole prior
 * @param known variances and beliefs that were learned of more trials than these: only the effects are fitted
 */
export function fitMixed(
  trials: readonly Trial[],
  plannedSd: number,
  noise: Noise = 't5',
  known?: Known,
): MixedFit {
  const { nu, q90 } = NOISE[noise];
  const design = designOf(trials);
  const prior = priorOf(trials, plannedSd, q90);
  let variances = known?.variances ?? prior;
  let weights = Float64Array.from(trials, (_, i) => known?.weights[i] ?? 1);
  let y = Float64Array.from(trials, ({ lnRatio }) => lnRatio);
  let posterior = solve(design, trials, y, weights, variances);
  for (let round = 0; trials.length > 0 && !known && round < ROUNDS; round++) {
    const { sigma2 } = variances;
    const expected = trials.map((trial, i) => expectedOf(design, posterior, trial, i, sigma2));
    y = Float64Array.from(expected, (one) => one.y);
    weights = Float64Array.from(expected, ({ r2 }) =>
      nu === Infinity ? 1 : (nu + 1) / (nu + r2 / sigma2),
    );
    const next = farther(variances, maximise(design, posterior, prior, expected, weights));
    const change = Math.max(
      Math.abs(Math.log(next.sigma2 / sigma2)),
      ...LEVELS.map((level) => Math.abs(Math.log(next.tau2[level] / variances.tau2[level]))),
    );
    variances = next;
    posterior = solve(design, trials, y, weights, variances);
    if (change < SETTLED) break;
  }
  return {
    ...variances,
    effects: effectsOf(design, posterior),
    weights,
    belief: Array.from(weights, (w) => (nu === Infinity ? 1 : (w * nu) / (nu + 1))),
    predict: (target) => predict(design, posterior, variances, target, q90),
  };
}

function priorOf(trials: readonly Trial[], plannedSd: number, q90: number): Variances {
  const sds = trials.map((one) => one.plannedSd).sort((a, b) => a - b);
  const sd = sds[Math.floor(sds.length / 2)] ?? plannedSd;
  const share = (level: Level): number => PRIOR_SHARE[level] * sd ** 2;
  return {
    tau2: {
      overall: share('overall'),
      material: share('material'),
      family: share('family'),
      pair: share('pair'),
      bit: share('bit'),
      person: share('person'),
      sheet: share('sheet'),
      wear: share('wear') / ageOf(10) ** 2,
    },
    // Such that the plan's own band comes out where nothing is logged.
    sigma2: NOISE_SHARE * sd ** 2 * (Z_90 / q90) ** 2,
  };
}

interface Design {
  /** Place of each effect but the bits', by level and name. */
  readonly place: ReadonlyMap<string, number>;
  readonly levels: readonly Level[];
  readonly names: readonly string[];
  readonly counts: readonly number[];
  readonly rows: readonly SparseRow[];
  readonly bits: readonly string[];
  readonly bitPlace: ReadonlyMap<string, number>;
  readonly bitOf: Int32Array;
  readonly bitCounts: readonly number[];
}

const keyOf = (level: Level, name: string): string => `${level} ${name}`;

/** The effects a hole is made of but its bit's, with their factors. */
function partsOf(target: Target): readonly (readonly [Level, string, number])[] {
  const { material, family, person, sheet, holesBefore } = target;
  return [
    ['overall', '', 1],
    ['material', material, 1],
    ['family', family, 1],
    ['pair', `${material} × ${family}`, 1],
    ...(person === null ? [] : [['person', person, 1] as const]),
    ...(sheet === null ? [] : [['sheet', sheet, 1] as const]),
    ['wear', family, ageOf(holesBefore)],
  ];
}

function designOf(trials: readonly Trial[]): Design {
  const place = new Map<string, number>();
  const levels: Level[] = [];
  const names: string[] = [];
  const counts: number[] = [];
  const bitPlace = new Map<string, number>();
  const bitCounts: number[] = [];
  const bitOf = new Int32Array(trials.length).fill(-1);
  const rows = trials.map((trial, i) => {
    if (trial.bit !== null) {
      const at = bitPlace.get(trial.bit) ?? bitPlace.size;
      bitPlace.set(trial.bit, at);
      bitCounts[at] = (bitCounts[at] ?? 0) + 1;
      bitOf[i] = at;
    }
    const parts = partsOf(trial).map(([level, name, factor]): readonly [number, number] => {
      const key = keyOf(level, name);
      const at = place.get(key) ?? place.size;
      if (at === place.size) {
        place.set(key, at);
        levels.push(level);
        names.push(name);
      }
      counts[at] = (counts[at] ?? 0) + 1;
      return [at, factor];
    });
    return sparseRow(parts);
  });
  return {
    place,
    levels,
    names,
    counts,
    rows,
    bits: [...bitPlace.keys()],
    bitPlace,
    bitOf,
    bitCounts,
  };
}

/** Means and covariances of all effects: Σ of the shared ones, and of each bit how it hangs on them. */
interface Posterior {
  readonly n: number;
  readonly mean: Float64Array;
  readonly covariance: Float64Array;
  readonly bitMean: Float64Array;
  /** d_b, precision of a bit's effect where the shared ones are known. */
  readonly bitPrecision: Float64Array;
  /** s_b = c_b/d_b: b = r_b/d_b − s_bᵀβ. */
  readonly bitSlope: readonly SparseRow[];
  /** Σ·s_b, and s_bᵀ·Σ·s_b. */
  readonly bitReach: readonly Float64Array[];
  readonly bitVariance: Float64Array;
}

/** Precision of one trial: t weight, share of the depth, noise. */
const precisionOf = ({ share }: Trial, weight: number, sigma2: number): number =>
  (weight * share) / sigma2;

function solve(
  { levels, rows, bits, bitOf }: Design,
  trials: readonly Trial[],
  y: Float64Array,
  weights: Float64Array,
  { tau2, sigma2 }: Variances,
): Posterior {
  const n = levels.length;
  const s = new Float64Array(n * n);
  const r = new Float64Array(n);
  const c = bits.map(() => new Float64Array(n));
  const d = new Float64Array(bits.length).fill(1 / tau2.bit);
  const rb = new Float64Array(bits.length);
  levels.forEach((level, k) => {
    s[k * n + k] = 1 / tau2[level];
  });
  trials.forEach((trial, i) => {
    const w = precisionOf(trial, weights[i] ?? 1, sigma2);
    const row = rows[i] ?? EMPTY_ROW;
    const bit = bitOf[i] ?? -1;
    addOuter(s, n, row, w);
    addScaled(r, row, w * (y[i] ?? 0));
    const own = c[bit];
    if (!own) return;
    addScaled(own, row, w);
    d[bit] = (d[bit] ?? 0) + w;
    rb[bit] = (rb[bit] ?? 0) + w * (y[i] ?? 0);
  });
  // Schur complement: S − Σ c_b·c_bᵀ/d_b, r − Σ c_b·r_b/d_b.
  const coupled = c.map(nonZero);
  coupled.forEach((row, b) => {
    const db = d[b] ?? 1;
    addOuter(s, n, row, -1 / db);
    addScaled(r, row, -(rb[b] ?? 0) / db);
  });
  const l = cholesky(s, n) ?? new Float64Array(n * n);
  const mean = solveCholesky(l, n, r);
  const bitSlope = coupled.map(({ index, factor }, b): SparseRow => ({
    index,
    factor: factor.map((x) => x / (d[b] ?? 1)),
  }));
  const bitMean = Float64Array.from(
    bitSlope,
    (row, b) => (rb[b] ?? 0) / (d[b] ?? 1) - dot(row, mean),
  );
  const covariance = inverseCholesky(l, n);
  const bitReach = bitSlope.map((row) => timesSymmetric(row, covariance, n));
  const bitVariance = Float64Array.from(bitSlope, (row, b) => dot(row, bitReach[b] ?? mean));
  return { n, mean, covariance, bitMean, bitPrecision: d, bitSlope, bitReach, bitVariance };
}

/** Mean and variance of xᵀβ + b, with a bit's own effect b where there is one: b hangs on β by s_b. */
function combined(
  row: SparseRow,
  bit: number,
  posterior: Posterior,
): { readonly mean: number; readonly variance: number } {
  const mean = dot(row, posterior.mean);
  const variance = quadratic(row, posterior.covariance, posterior.n);
  const reach = posterior.bitReach[bit];
  if (!reach) return { mean, variance };
  return {
    mean: mean + (posterior.bitMean[bit] ?? 0),
    variance:
      variance -
      2 * dot(row, reach) +
      (posterior.bitVariance[bit] ?? 0) +
      1 / (posterior.bitPrecision[bit] ?? 1),
  };
}

/** E[y] and E[(y − xᵀβ)²] under the posterior, weighed by how much of the depth the trial tells of. */
function expectedOf(
  design: Design,
  posterior: Posterior,
  { share, lnRatio, within }: Trial,
  i: number,
  sigma2: number,
): { readonly y: number; readonly r2: number } {
  const { mean, variance } = combined(
    design.rows[i] ?? EMPTY_ROW,
    design.bitOf[i] ?? -1,
    posterior,
  );
  if (!within) return { y: lnRatio, r2: share * ((lnRatio - mean) ** 2 + variance) };
  const { mean: y, variance: own } = truncatedNormal(mean, Math.sqrt(sigma2), within);
  return { y, r2: share * ((y - mean) ** 2 + own + variance) };
}

/** From one step of EM to a longer one the same way. */
function farther(from: Variances, to: Variances): Variances {
  const step = (a: number, b: number): number => a * (b / a) ** OVER_RELAXED;
  const tau2 = { ...to.tau2 };
  for (const level of LEVELS) tau2[level] = step(from.tau2[level], to.tau2[level]);
  return { tau2, sigma2: step(from.sigma2, to.sigma2) };
}

/** The M step, with each variance's prior: (ν₀·τ₀² + Σ E[β²])/(ν₀ + n). */
function maximise(
  design: Design,
  posterior: Posterior,
  prior: Variances,
  expected: readonly { readonly r2: number }[],
  weights: Float64Array,
): Variances {
  const sum = new Map<Level, { squares: number; count: number }>();
  const add = (level: Level, square: number): void => {
    const was = sum.get(level) ?? { squares: 0, count: 0 };
    sum.set(level, { squares: was.squares + square, count: was.count + 1 });
  };
  design.levels.forEach((level, k) => {
    add(level, (posterior.mean[k] ?? 0) ** 2 + (posterior.covariance[k * posterior.n + k] ?? 0));
  });
  design.bits.forEach((_, b) => {
    const { mean, variance } = combined(EMPTY_ROW, b, posterior);
    add('bit', mean ** 2 + variance);
  });
  const tau2 = { ...prior.tau2 };
  for (const [level, { squares, count }] of sum)
    tau2[level] = (PRIOR_EFFECTS * prior.tau2[level] + squares) / (PRIOR_EFFECTS + count);
  const squares = expected.reduce((all, { r2 }, i) => all + (weights[i] ?? 1) * r2, 0);
  return {
    tau2,
    sigma2: (PRIOR_HOLES * prior.sigma2 + squares) / (PRIOR_HOLES + expected.length),
  };
}

function effectsOf(design: Design, posterior: Posterior): readonly Effect[] {
  const shared = design.levels.map((level, k) => ({
    level,
    name: design.names[k] ?? '',
    mean: posterior.mean[k] ?? 0,
    sd: Math.sqrt(posterior.covariance[k * posterior.n + k] ?? 0),
    trials: design.counts[k] ?? 0,
  }));
  const bits = design.bits.map((name, b) => {
    const { mean, variance } = combined(EMPTY_ROW, b, posterior);
    return {
      level: 'bit' as const,
      name,
      mean,
      sd: Math.sqrt(variance),
      trials: design.bitCounts[b] ?? 0,
    };
  });
  return [...shared, ...bits];
}

function predict(
  design: Design,
  posterior: Posterior,
  { tau2, sigma2 }: Variances,
  target: Target,
  q90: number,
): { readonly mean: number; readonly sd: number } {
  const row: (readonly [number, number])[] = [];
  let unmet = 0;
  for (const [level, name, factor] of partsOf(target)) {
    const at = design.place.get(keyOf(level, name));
    if (at === undefined) unmet += factor ** 2 * tau2[level];
    else row.push([at, factor]);
  }
  if (target.person === null) unmet += tau2.person;
  if (target.sheet === null) unmet += tau2.sheet;
  const bit = target.bit === null ? undefined : design.bitPlace.get(target.bit);
  if (bit === undefined) unmet += tau2.bit;
  const { mean, variance } = combined(sparseRow(row), bit ?? -1, posterior);
  // The t's ninetieth percentile is farther out than a normal's of the same scale.
  const noise = sigma2 * (q90 / Z_90) ** 2;
  return { mean, sd: Math.sqrt(variance + unmet + noise) };
}
