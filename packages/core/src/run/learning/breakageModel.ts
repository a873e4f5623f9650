import type { LogRatio } from '../../documents/experience';
import {
  addGram,
  diagonalOf,
  factorSparse,
  quadraticInverse,
  slotsOf,
  solveSparse,
  sparsityOf,
  type SparseFactor,
  type Sparsity,
} from '../../math/sparseCholesky';
import {
  sparseMatrix,
  sparseRow,
  transposeTimes,
  type SparseMatrix,
} from '../../math/sparseMatrix';

/** One logged hole, as far as its breaking tells something. */
export interface BreakTrial {
  readonly material: string;
  readonly family: string;
  readonly bit: string | null;
  readonly person: string | null;
  /** Holes the bit had cut before, cracked ones too. */
  readonly holesBefore: number;
  readonly cracked: boolean;
  /** Odds the plan was given with, above 0 and below 1. */
  readonly planned: number;
}
export type BreakTarget = Omit<BreakTrial, 'cracked' | 'planned'>;

/** Standard deviations of the effects on ln(hazard) before anything is logged. */
const PRIOR_SD = { overall: 0.7, material: 0.5, family: 0.4, bit: 0.4, person: 0.4 } as const;
type Level = keyof typeof PRIOR_SD;
const LEVELS = Object.keys(PRIOR_SD) as readonly Level[];

/** Age of a bit, as the spline sees it: 0 new, ln 2 at ten holes. */
const ageOf = (holes: number): number => Math.log1p(holes / 10);
/** Where the pieces of the spline over the age begin and end: new, 5, 20 and 60 holes. */
const KNOTS = [0, 5, 20, 60].map(ageOf);
const PIECES = KNOTS.length - 1;
/**
 * Each piece adds exp(θ) to ln(hazard) by its end, θ ~ N(ln 0.03, 1.5²): it never falls as a bit ages. The plan knows
 * of wear already, so that little is added before anything is logged.
 */
const PIECE_MEAN = Math.log(0.03);
const PIECE_SD = 1.5;
/** A family's age tells so much more, or less: the spline times exp(s), s ~ N(0, 0.5²). */
const SLOPE_SD = 0.5;

const ROUNDS = 40;
const SETTLED = 1e-6;
/** So small, and so large, odds are no odds any more. */
const LEAST = 1e-6;

export interface BreakageFit {
  readonly trials: number;
  /** What the log adds to ln(−ln(1 − planned)) of a hole to come. */
  readonly predict: (target: BreakTarget) => LogRatio;
}

/** cloglog(p) = ln(−ln(1 − p)), the logarithm of the hazard. */
const cloglog = (p: number): number =>
  Math.log(-Math.log1p(-Math.min(1 - LEAST, Math.max(LEAST, p))));

/** I-spline of degree 1 (Ramsay 1988): each piece rises from 0 at its first knot to 1 at its last. */
const piecesAt = (holes: number): readonly number[] => {
  const age = ageOf(holes);
  return Array.from({ length: PIECES }, (_, k) => {
    const [from = 0, to = 1] = KNOTS.slice(k, k + 2);
    return Math.min(1, Math.max(0, (age - from) / (to - from)));
  });
};

/** One trial's place among the parameters: its effects, the pieces of the spline, its family's slope. */
interface Placed {
  readonly offset: number;
  readonly effects: readonly number[];
  readonly pieces: readonly number[];
  readonly slope: number;
  readonly cracked: boolean;
}

interface Gaussian {
  readonly mean: number;
  readonly sd: number;
}

/**
 * Complementary log–log model of a hole's breaking, with the plan's odds for offset:
 *
 *   ln(−ln(1 − p_i)) = cloglog(planned_i) + α + m[material] + f[family] + b[bit] + h[person] + exp(s[family])·Σ_k exp(θ_k)·I_k(age_i)
 *
 * b is the frailty of each bit. Mode by Fisher scoring, spread by Laplace (Tierney & Kadane 1986). Holes a bit was not
 * used for, retired or lost, are no trials: the hazard by age needs none of them.
 * @param trials planned odds above 0 and below 1
 */
export function fitBreakage(trials: readonly BreakTrial[]): BreakageFit {
  const place = new Map<string, number>();
  const prior: Gaussian[] = [];
  const placeOf = (key: string, mean: number, sd: number): number => {
    const at = place.get(key) ?? place.size;
    if (at === place.size) {
      place.set(key, at);
      prior.push({ mean, sd });
    }
    return at;
  };
  for (let k = 0; k < PIECES; k++) placeOf(`piece ${k}`, PIECE_MEAN, PIECE_SD);
  const placed = trials.map((trial): Placed => ({
    offset: cloglog(trial.planned),
    effects: namesOf(trial).map(([level, name]) => placeOf(`${level} ${name}`, 0, PRIOR_SD[level])),
    pieces: piecesAt(trial.holesBefore),
    slope: placeOf(`slope ${trial.family}`, 0, SLOPE_SD),
    cracked: trial.cracked,
  }));
  const { mode, factor } = laplace(placed, prior);
  return {
    trials: trials.length,
    predict: (target) => {
      let unmet = 0;
      let mean = 0;
      const gradient: (readonly [number, number])[] = [];
      for (const [level, name] of namesOf(target)) {
        const at = place.get(`${level} ${name}`);
        if (at === undefined) unmet += PRIOR_SD[level] ** 2;
        else {
          gradient.push([at, 1]);
          mean += mode[at] ?? 0;
        }
      }
      // What nobody said may be anybody's.
      if (target.bit === null) unmet += PRIOR_SD.bit ** 2;
      if (target.person === null) unmet += PRIOR_SD.person ** 2;
      const slope = place.get(`slope ${target.family}`);
      const { parts, total } = agedBy(piecesAt(target.holesBefore), slope ?? -1, mode);
      parts.forEach((part, k) => gradient.push([k, part]));
      if (slope === undefined) unmet += (SLOPE_SD * total) ** 2;
      else gradient.push([slope, total]);
      const variance = quadraticInverse(factor, sparseRow(gradient));
      return { mean: mean + total, sd: Math.sqrt(variance + unmet) };
    },
  };
}

function namesOf({
  material,
  family,
  bit,
  person,
}: BreakTarget): readonly (readonly [Level, string])[] {
  const names: Record<Level, string | null> = { overall: '', material, family, bit, person };
  return LEVELS.flatMap((level) => {
    const name = names[level];
    return name === null ? [] : [[level, name] as const];
  });
}

/** What a bit's age adds to ln(hazard): exp(s)·exp(θ_k)·I_k and their sum. */
function agedBy(pieces: readonly number[], slope: number, at: Float64Array) {
  const scale = Math.exp(at[slope] ?? 0);
  const parts = pieces.map((piece, k) => scale * Math.exp(at[k] ?? PIECE_MEAN) * piece);
  return { parts, total: parts.reduce((sum, one) => sum + one, 0) };
}

/** Mode of the parameters, and their information there, factored. */
function laplace(
  placed: readonly Placed[],
  prior: readonly Gaussian[],
): { readonly mode: Float64Array; readonly factor: SparseFactor } {
  let mode: Float64Array = Float64Array.from(prior, ({ mean }) => mean);
  let best = logPosterior(placed, prior, mode);
  const design = designOf(placed, prior.length);
  let { gradient, factor } = scoring(placed, design, prior, mode);
  for (let round = 0; round < ROUNDS; round++) {
    const step = solveSparse(factor, gradient);
    let gain = 0;
    for (let part = 1; part > 1e-3 && gain === 0; part /= 2) {
      const next = mode.map((value, k) => value + part * (step[k] ?? 0));
      const found = logPosterior(placed, prior, next);
      if (found <= best) continue;
      gain = found - best;
      [mode, best] = [next, found];
    }
    if (gain === 0) break;
    ({ gradient, factor } = scoring(placed, design, prior, mode));
    if (gain <= SETTLED) break;
  }
  return { mode, factor };
}

/** Which parameters each trial's ln(hazard) hangs on: with how much of each, changes from round to round. */
interface Design {
  readonly sparsity: Sparsity;
  readonly x: SparseMatrix;
  readonly slots: Int32Array;
}

function designOf(placed: readonly Placed[], size: number): Design {
  const rows = placed.map(({ effects, pieces, slope }) =>
    sparseRow([...pieces.map((_, k) => k), slope, ...effects].map((at) => [at, 1])),
  );
  const x = sparseMatrix(rows, size);
  const sparsity = sparsityOf(x);
  return { sparsity, x, slots: slotsOf(sparsity, x) };
}

function etaOf({ offset, effects, pieces, slope }: Placed, at: Float64Array): number {
  let aged = 0;
  for (let k = 0; k < PIECES; k++) aged += Math.exp(at[k] ?? PIECE_MEAN) * (pieces[k] ?? 0);
  let eta = offset + Math.exp(at[slope] ?? 0) * aged;
  for (const effect of effects) eta += at[effect] ?? 0;
  return Math.min(eta, 3.5);
}

function logPosterior(
  placed: readonly Placed[],
  prior: readonly Gaussian[],
  at: Float64Array,
): number {
  let sum = 0;
  for (const one of placed) {
    const mu = Math.exp(etaOf(one, at));
    sum += one.cracked ? Math.log(-Math.expm1(-mu)) : -mu;
  }
  prior.forEach(({ mean, sd }, k) => {
    sum -= (((at[k] ?? 0) - mean) / sd) ** 2 / 2;
  });
  return sum;
}

/** Gradient of the log posterior, and JᵀWJ with the prior's precision, factored: W = μ²/(e^μ − 1), Fisher's of a cloglog. */
function scoring(
  placed: readonly Placed[],
  { sparsity, x, slots }: Design,
  prior: readonly Gaussian[],
  at: Float64Array,
) {
  const score = new Float64Array(placed.length);
  const weight = new Float64Array(placed.length);
  placed.forEach((one, i) => {
    const mu = Math.exp(etaOf(one, at));
    score[i] = one.cracked ? mu / Math.expm1(mu) : -mu;
    weight[i] = mu ** 2 / Math.expm1(mu);
    const { parts, total } = agedBy(one.pieces, one.slope, at);
    x.factor.set([...parts, total], x.start[i]);
  });
  const gradient = transposeTimes(x, score);
  prior.forEach(({ mean, sd }, k) => {
    gradient[k] = (gradient[k] ?? 0) + (mean - (at[k] ?? 0)) / sd ** 2;
  });
  const information = diagonalOf(
    sparsity,
    Float64Array.from(prior, ({ sd }) => 1 / sd ** 2),
  );
  addGram(information, slots, x, weight);
  const factor = factorSparse(sparsity, information);
  if (!factor) throw new RangeError('Parameters beyond what numbers hold');
  return { gradient, factor };
}
