import { normalCdf } from '../../math/normal';

/** One reading of a scale that is pressed: when, ms, and how hard, N. */
export interface ForceSample {
  readonly atMs: number;
  readonly forceN: number;
}

/** The force to hold, and within what it still cuts well. */
export interface ForceBand {
  readonly minN: number;
  readonly wantedN: number;
  readonly maxN: number;
}

export interface Steadiness {
  readonly seconds: number;
  /** Share of the time within the band, 0 to 1. */
  readonly within: number;
  readonly meanN: number;
  /** sd of ln F: the spread the plan counts on. */
  readonly lnSd: number;
  readonly verdict: 'light' | 'heavy' | 'uneven' | 'good' | 'too-short';
}

/** Shorter tries say nothing of a hand. */
export const MIN_SECONDS = 5;
const MIN_SAMPLES = 10;
/** Until then a hand is still on its way to the force, ms. */
const SETTLING_MS = 1000;
const GOOD_SHARE = 0.8;
/** Less than this is not pressing, N. */
const TOUCH_N = 0.5;

/**
 * How well a force was held, from what a scale read. Samples are weighted by the time to the next;
 * the first second and readings below a touch are left out.
 */
export function steadinessOf(samples: readonly ForceSample[], band: ForceBand): Steadiness {
  const settledMs = (samples[0]?.atMs ?? 0) + SETTLING_MS;
  const spans = samples.slice(0, -1).flatMap((sample, index) => {
    const next = samples[index + 1];
    return next && sample.forceN >= TOUCH_N && sample.atMs >= settledMs
      ? [{ forceN: sample.forceN, seconds: (next.atMs - sample.atMs) / 1000 }]
      : [];
  });
  const seconds = spans.reduce((sum, span) => sum + span.seconds, 0);
  if (seconds < MIN_SECONDS || spans.length < MIN_SAMPLES)
    return {
      seconds,
      within: 0,
      meanN: 0,
      lnSd: 0,
      verdict: 'too-short',
    };
  const mean = (of: (forceN: number) => number): number =>
    spans.reduce((sum, span) => sum + of(span.forceN) * span.seconds, 0) / seconds;
  const meanLn = mean(Math.log);
  const lnSd = Math.sqrt(mean((forceN) => (Math.log(forceN) - meanLn) ** 2));
  const meanN = mean((forceN) => forceN);
  const within = mean((forceN) => Number(forceN >= band.minN && forceN <= band.maxN));
  const found = { seconds, within, meanN, lnSd };
  return { ...found, verdict: verdictOf(within, meanN, band) };
}

function verdictOf(within: number, meanN: number, band: ForceBand): Steadiness['verdict'] {
  if (within >= GOOD_SHARE) return 'good';
  if (meanN < band.minN) return 'light';
  return meanN > band.maxN ? 'heavy' : 'uneven';
}

/** A hand that is watched for half a minute strays about this many sd from end to end. */
const EXTREMES_SD = 4;

/** The same from a scale that keeps no record: the least and most it showed. */
export function steadinessFromExtremes(minN: number, maxN: number, band: ForceBand): Steadiness {
  const [low, high] = [Math.max(TOUCH_N, Math.min(minN, maxN)), Math.max(minN, maxN, TOUCH_N)];
  const lnSd = Math.log(high / low) / EXTREMES_SD;
  const meanN = Math.sqrt(low * high);
  const share = (limitN: number): number =>
    lnSd === 0 ? Number(limitN >= meanN) : normalCdf((Math.log(limitN) - Math.log(meanN)) / lnSd);
  const within = Math.max(0, share(band.maxN) - share(band.minN));
  return { seconds: 30, within, meanN, lnSd, verdict: verdictOf(within, meanN, band) };
}
