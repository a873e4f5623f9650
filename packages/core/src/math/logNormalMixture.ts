import { bisectRising } from './bisect';
import { normalCdf } from './normal';

/** One log-normal: its median, the sd of its logarithm, and its share of the whole. */
export interface LogNormalPart {
  readonly median: number;
  readonly sd: number;
  readonly share: number;
}

/** Farther out than any quantile asked for, in sd. */
const FARTHEST_SD = 6;
/** Relative to the quantile: far below anything shown. */
const TOLERANCE = 1e-7;

/** The q-quantile of a mixture of log-normals; shares need not add up to one. */
export function mixtureQuantile(parts: readonly LogNormalPart[], q: number): number {
  const total = parts.reduce((sum, part) => sum + part.share, 0);
  const below = (logX: number): number =>
    parts.reduce(
      (sum, { median, sd, share }) =>
        sum +
        (share / total) *
          (sd === 0 ? Number(logX >= Math.log(median)) : normalCdf((logX - Math.log(median)) / sd)),
      0,
    );
  const low = Math.min(...parts.map(({ median, sd }) => Math.log(median) - FARTHEST_SD * sd));
  const high = Math.max(...parts.map(({ median, sd }) => Math.log(median) + FARTHEST_SD * sd));
  return Math.exp(bisectRising(below, q, low - 1e-6, high + 1e-6, TOLERANCE));
}
