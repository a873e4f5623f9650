/** One reading of a scale that is pressed: when, ms, and how hard, N. */
export interface ForceSample {
  readonly atMs: number;
  readonly forceN: number;
}

/** The force to hold, and within what it still cuts well. */
export interface ForceBand {
  readonly leastN: number;
  readonly wantedN: number;
  readonly mostN: number;
}

export interface Steadiness {
  readonly seconds: number;
  /** Share of the time within the band, 0 to 1. */
  readonly within: number;
  readonly meanN: number;
  /** sd of ln F: the spread the plan reckons with. */
  readonly lnSd: number;
  readonly verdict: 'light' | 'heavy' | 'uneven' | 'good' | 'too-short';
  readonly text: string;
}

/** Shorter tries say nothing of a hand. */
const LEAST_SECONDS = 5;
const LEAST_SAMPLES = 10;
const GOOD_SHARE = 0.8;
/** Less than this is not pressing, N. */
const TOUCH_N = 0.5;

/**
 * How well a force was held, from what a scale read. Samples are weighted by the time to the next;
 * readings below a touch are left out.
 */
export function steadinessOf(samples: readonly ForceSample[], band: ForceBand): Steadiness {
  const spans = samples.slice(0, -1).flatMap((sample, index) => {
    const next = samples[index + 1];
    return next && sample.forceN >= TOUCH_N
      ? [{ forceN: sample.forceN, seconds: (next.atMs - sample.atMs) / 1000 }]
      : [];
  });
  const seconds = spans.reduce((sum, span) => sum + span.seconds, 0);
  if (seconds < LEAST_SECONDS || spans.length < LEAST_SAMPLES)
    return {
      seconds,
      within: 0,
      meanN: 0,
      lnSd: 0,
      verdict: 'too-short',
      text: `Hold it for at least ${LEAST_SECONDS} s.`,
    };
  const mean = (of: (forceN: number) => number): number =>
    spans.reduce((sum, span) => sum + of(span.forceN) * span.seconds, 0) / seconds;
  const meanLn = mean(Math.log);
  const lnSd = Math.sqrt(mean((forceN) => (Math.log(forceN) - meanLn) ** 2));
  const meanN = mean((forceN) => forceN);
  const within = mean((forceN) => Number(forceN >= band.leastN && forceN <= band.mostN));
  const found = { seconds, within, meanN, lnSd };
  if (within >= GOOD_SHARE) return { ...found, verdict: 'good', text: 'That is the hand for it.' };
  if (meanN < band.leastN)
    return { ...found, verdict: 'light', text: 'Too light: the rim would polish and glaze.' };
  if (meanN > band.mostN)
    return { ...found, verdict: 'heavy', text: 'Too heavy: diamonds tear out and edges chip.' };
  return {
    ...found,
    verdict: 'uneven',
    text: 'Right on the whole, but it wanders. Lean, do not push.',
  };
}
