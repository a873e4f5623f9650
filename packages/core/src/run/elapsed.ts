import type { Stamp } from '../documents/runEvent';

/** Wall and steady clock may part by so much before one of them is doubted, ms. */
const CLOCKS_AGREE_MS = 2000;
/** A device does not sleep through a cut for longer than this: the wall clock was set instead, ms. */
const LONGEST_SLEEP_MS = 12 * 3600 * 1000;

/** Two devices’ wall clocks may differ by so much without a word, ms. */
const DEVICES_AGREE_MS = 60_000;

export interface Elapsed {
  readonly ms: number;
  /** The wall clock was set meanwhile, by about this much, ms. */
  readonly jumpMs: number | null;
}

/**
 * Time between two stamps. Within one session the steady clock counts, except that it may stand still
 * while the device sleeps: then the wall clock, where it is ahead by no more than a night. Between two
 * sessions or devices only the wall clock is left; where it runs backwards no time is counted.
 */
export function elapsedBetween(from: Stamp, to: Stamp): Elapsed {
  const wallMs = Date.parse(to.at) - Date.parse(from.at);
  if (from.session !== to.session)
    return { ms: Math.max(0, wallMs), jumpMs: wallMs < -DEVICES_AGREE_MS ? wallMs : null };
  const steadyMs = Math.max(0, to.tickMs - from.tickMs);
  const ahead = wallMs - steadyMs;
  if (Math.abs(ahead) <= CLOCKS_AGREE_MS) return { ms: steadyMs, jumpMs: null };
  if (ahead > 0 && ahead <= LONGEST_SLEEP_MS) return { ms: wallMs, jumpMs: null };
  return { ms: steadyMs, jumpMs: ahead };
}
