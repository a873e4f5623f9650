import type { ForceFelt } from '../../data/choices';
import type { LogRatio } from '../../documents/experience';
import { truncatedNormal, Z_90 } from '../../math/normal';
import {
  addGram,
  diagonalIn,
  diagonalOf,
  factorSparse,
  inverseWithin,
  quadraticInverse,
  rowQuadratics,
  slotsOf,
  solveSparse,
  sparsityOf,
  type SparseFactor,
  type Sparsity,
} from '../../math/sparseCholesky';
import {
  dot,
  sparseMatrix,
  sparseRow,
  times,
  transposeTimes,
  type SparseMatrix,
  type SparseRow,
} from '../../math/sparseMatrix';

/** What a hole is known by, drilled or to be drilled. */
export interface Target {
  readonly material: string;
  readonly family: string;
  /** null where nobody said with which, whose hand, from what sheet or batch. */
  readonly bit: string | null;
  readonly person: string | null;
  readonly sheet: string | null;
  /** How hard it was pressed beside the plan; as planned where nobody said. */
  readonly force?: ForceFelt | undefined;
  /** Holes the bit had cut before, cracked ones too. */
  readonly holesBefore: number;
}

/** One logged hole, as far as its time or its chip tells something. */
export interface Trial extends Target {
  /** ln(found/planned): of the time to the depth that was reached, or of the chip. */
  readonly lnRatio: number;
  /** Where only bounds are known, these; `lnRatio` lies between them. */
  readonly within?: readonly [low: number, high: number];
  /** Share of the depth that was reached: an aborted run tells less. */
  readonly share: number;
  /** Standard deviation of the logarithm the plan was given with. */
  readonly plannedSd: number;
}

/** Where shops, stones, tools and hands differ from the plan. `wear` is a slope by family over the bit's age. */
export const LEVELS = [
  'overall',
  'material',
  'family',
  'pair',
  'bit',
  'person',
  'sheet',
  'force',
  'wear',
] as const;
export type Level = (typeof LEVELS)[number];

/**
 * How the plan's own variance is shared out before anything is logged; the rest, NOISE_SHARE, is from
 * hole to hole. Wear's is what its slope brings at ten holes. Force's comes on top, for holes that were pressed
 * lighter or harder than planned: those to come are not.
 */
const PRIOR_SHARE: Readonly<Record<Level, number>> = {
  overall: 0.2,
  material: 0.16,
  family: 0.1,
  pair: 0.12,
  bit: 0.1,
  person: 0.08,
  sheet: 0.05,
  force: 0.15,
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
  /** How far each trial is believed, 1 fully; by the t noise's weight over its greatest. */
  readonly belief: readonly number[];
  /**
   * ln(taken/planned) of a hole to come: its mean, and sd such that mean ± 1.2816·sd holds eight in ten.
   * What was not met yet adds its level's whole variance.
   */
  readonly predict: (target: Target) => LogRatio;
  /** The same of one of the trials, as if it had not been logged: by place. */
  readonly withoutIt: (trial: number) => LogRatio;
}

/**
 * Linear mixed model of ln(found/planned):
 *
 *   y_i = μ + m[material] + f[family] + p[material, family] + b[bit] + h[person] + s[sheet] + g[force] + γ[family]·age + ε_i
 *
 * each effect ~ N(0, τ²_level), ε ~ t₅(0, σ²) or N(0, σ²). Variances by EM (Dempster, Laird & Rubin 1977), the t as a scale
 * mixture (Lange, Little & Taylor 1989). Bits and sheets, of which there are many, meet few others: the precision of all
 * effects is sparse, factored with them first. Values known by their bounds alone are taken at their mean between them
 * (Tobin 1958, by EM).
 * @param trials in any order; the fit does not depend on it
 * @param plannedSd sd of the logarithm that plans are given with where no trial says: the whole prior
 */
export function fitMixed(
  trials: readonly Trial[],
  plannedSd: number,
  noise: Noise = 't5',
): MixedFit {
  const { nu, q90 } = NOISE[noise];
  const design = designOf(trials);
  const prior = priorOf(trials, plannedSd, q90);
  let variances = prior;
  const weights = new Float64Array(trials.length).fill(1);
  const y = Float64Array.from(trials, ({ lnRatio }) => lnRatio);
  let posterior = solve(design, trials, y, weights, variances);
  for (let round = 0; trials.length > 0 && round < ROUNDS; round++) {
    const { sigma2 } = variances;
    let squares = 0;
    trials.forEach((trial, i) => {
      const r2 = expectTrial(trial, i, y, posterior, sigma2);
      const weight = nu === Infinity ? 1 : (nu + 1) / (nu + r2 / sigma2);
      weights[i] = weight;
      squares += weight * r2;
    });
    const next = farther(variances, maximise(design, posterior, prior, squares));
    const change = Math.max(
      Math.abs(Math.log(next.sigma2 / sigma2)),
      ...LEVELS.map((level) => Math.abs(Math.log(next.tau2[level] / variances.tau2[level]))),
    );
    variances = next;
    posterior = solve(design, trials, y, weights, variances);
    if (change < SETTLED) break;
  }
  const { tau2, sigma2 } = variances;
  // The t's ninetieth percentile is farther out than a normal's of the same scale.
  const noiseVariance = sigma2 * (q90 / Z_90) ** 2;
  const banded = (mean: number, variance: number): LogRatio => ({
    mean,
    sd: Math.sqrt(variance + noiseVariance),
  });
  return {
    ...variances,
    effects: effectsOf(design, posterior),
    belief: Array.from(weights, (w) => (nu === Infinity ? 1 : (w * nu) / (nu + 1))),
    predict: (target) => {
      const { known, unmet } = placed(design, target, tau2);
      const variance = quadraticInverse(posterior.factor, known) + unmet;
      return banded(dot(known, posterior.mean), variance);
    },
    withoutIt: (i) => {
      const trial = trials[i];
      if (!trial) throw new RangeError(`No trial ${i}`);
      // Sherman–Morrison: with precision p and variance v, (m − p·v·y)/(1 − p·v) and v/(1 − p·v).
      const mean = posterior.trialMean[i] ?? 0;
      const variance = posterior.trialVariance[i] ?? 0;
      const pv = precisionOf(trial, weights[i] ?? 1, sigma2) * variance;
      return banded(
        (mean - pv * (y[i] ?? 0)) / (1 - pv),
        variance / (1 - pv) + unsaid(trial, tau2),
      );
    },
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
      force: share('force'),
      wear: share('wear') / ageOf(10) ** 2,
    },
    // Such that the plan's own band comes out where nothing is logged.
    sigma2: NOISE_SHARE * sd ** 2 * (Z_90 / q90) ** 2,
  };
}

interface Design {
  /** Place of each effect, by level and name. */
  readonly place: ReadonlyMap<string, number>;
  readonly levels: readonly Level[];
  readonly names: readonly string[];
  readonly counts: readonly number[];
  /** A row a trial, a column an effect. */
  readonly x: SparseMatrix;
  readonly sparsity: Sparsity;
  /** Where the rows' products lie among the precision's values. */
  readonly slots: Int32Array;
}

const keyOf = (level: Level, name: string): string => `${level} ${name}`;

/** The effects a hole is made of, with their factors. */
function partsOf(target: Target): readonly (readonly [Level, string, number])[] {
  const { material, family, bit, person, sheet, force, holesBefore } = target;
  return [
    ['overall', '', 1],
    ['material', material, 1],
    ['family', family, 1],
    ['pair', `${material} × ${family}`, 1],
    ...(bit === null ? [] : [['bit', bit, 1] as const]),
    ...(person === null ? [] : [['person', person, 1] as const]),
    ...(sheet === null ? [] : [['sheet', sheet, 1] as const]),
    ...(force === undefined || force === 'as-planned' ? [] : [['force', force, 1] as const]),
    ['wear', family, ageOf(holesBefore)],
  ];
}

/** What nobody said may be anybody's: the whole variance of its level. */
const unsaid = ({ bit, person, sheet }: Target, tau2: Variances['tau2']): number =>
  (bit === null ? tau2.bit : 0) +
  (person === null ? tau2.person : 0) +
  (sheet === null ? tau2.sheet : 0);

/** The effects of a hole to come that were met, and the variance of those that were not. */
function placed(
  { place }: Design,
  target: Target,
  tau2: Variances['tau2'],
): { readonly known: SparseRow; readonly unmet: number } {
  const row: (readonly [number, number])[] = [];
  let unmet = unsaid(target, tau2);
  for (const [level, name, factor] of partsOf(target)) {
    const at = place.get(keyOf(level, name));
    if (at === undefined) unmet += factor ** 2 * tau2[level];
    else row.push([at, factor]);
  }
  return { known: sparseRow(row), unmet };
}

function designOf(trials: readonly Trial[]): Design {
  const place = new Map<string, number>();
  const levels: Level[] = [];
  const names: string[] = [];
  const counts: number[] = [];
  const rows = trials.map((trial) => {
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
  const x = sparseMatrix(rows, levels.length);
  const sparsity = sparsityOf(x);
  return { place, levels, names, counts, x, sparsity, slots: slotsOf(sparsity, x) };
}

/** Means of all effects, and their covariances: where effects meet in a trial, and by the precision's factor for any. */
interface Posterior {
  readonly mean: Float64Array;
  readonly covariance: Float64Array;
  readonly factor: SparseFactor;
  /** Of each trial's effects together. */
  readonly trialMean: Float64Array;
  readonly trialVariance: Float64Array;
}

/** Precision of one trial: t weight, share of the depth, noise. */
const precisionOf = ({ share }: Trial, weight: number, sigma2: number): number =>
  (weight * share) / sigma2;

function solve(
  { levels, x, sparsity, slots }: Design,
  trials: readonly Trial[],
  y: Float64Array,
  weights: Float64Array,
  { tau2, sigma2 }: Variances,
): Posterior {
  const w = new Float64Array(trials.length);
  const wy = new Float64Array(trials.length);
  trials.forEach((trial, i) => {
    const own = precisionOf(trial, weights[i] ?? 1, sigma2);
    w[i] = own;
    wy[i] = own * (y[i] ?? 0);
  });
  const precision = diagonalOf(
    sparsity,
    Float64Array.from(levels, (level) => 1 / tau2[level]),
  );
  addGram(precision, slots, x, w);
  const factor = factorSparse(sparsity, precision);
  if (!factor) throw new RangeError('Variances that are not above nothing');
  const mean = solveSparse(factor, transposeTimes(x, wy));
  const covariance = inverseWithin(factor);
  return {
    mean,
    covariance,
    factor,
    trialMean: times(x, mean),
    trialVariance: rowQuadratics(covariance, slots, x),
  };
}

/**
 * Sets E[y] of a trial under the posterior.
 * @returns E[(y − xᵀβ)²], weighed by how much of the depth the trial tells of
 */
function expectTrial(
  { share, lnRatio, within }: Trial,
  i: number,
  y: Float64Array,
  { trialMean, trialVariance }: Posterior,
  sigma2: number,
): number {
  const mean = trialMean[i] ?? 0;
  const variance = trialVariance[i] ?? 0;
  if (!within) return share * ((lnRatio - mean) ** 2 + variance);
  const between = truncatedNormal(mean, Math.sqrt(sigma2), within);
  y[i] = between.mean;
  return share * ((between.mean - mean) ** 2 + between.variance + variance);
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
  /** Σ E[w·ε²] */
  squaresOfNoise: number,
): Variances {
  const sum = new Map<Level, { squares: number; count: number }>();
  for (const { level, mean, sd } of effectsOf(design, posterior)) {
    const { squares, count } = sum.get(level) ?? { squares: 0, count: 0 };
    sum.set(level, { squares: squares + mean ** 2 + sd ** 2, count: count + 1 });
  }
  const tau2 = { ...prior.tau2 };
  for (const [level, { squares, count }] of sum)
    tau2[level] = (PRIOR_EFFECTS * prior.tau2[level] + squares) / (PRIOR_EFFECTS + count);
  return {
    tau2,
    sigma2: (PRIOR_HOLES * prior.sigma2 + squaresOfNoise) / (PRIOR_HOLES + design.x.rows),
  };
}

function effectsOf(
  { levels, names, counts, sparsity }: Design,
  { mean, covariance }: Posterior,
): readonly Effect[] {
  const variance = diagonalIn(sparsity, covariance);
  return levels.map((level, k) => ({
    level,
    name: names[k] ?? '',
    mean: mean[k] ?? 0,
    sd: Math.sqrt(variance[k] ?? 0),
    trials: counts[k] ?? 0,
  }));
}
