import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { Problem } from '../http/problem';

/** Tries that may fail before the next has to wait, the wait growing: a minute, a quarter of an hour, a day. */
const STEPS = [
  { points: 5, duration: 60, blockDuration: 60 },
  { points: 15, duration: 3600, blockDuration: 15 * 60 },
  { points: 40, duration: 24 * 3600, blockDuration: 24 * 3600 },
] as const;

/** Keeps people from guessing. */
export interface Throttle {
  /** @throws Problem while this one must wait */
  readonly refuseIfWaiting: (key: string) => Promise<void>;
  readonly failed: (key: string) => Promise<void>;
  readonly succeeded: (key: string) => Promise<void>;
}

/** @param tolerance how many times as many tries: a whole workshop may come from one address */
export function makeThrottle(tolerance: number): Throttle {
  const limiters = STEPS.map((step, place) => {
    const points = step.points * tolerance;
    return {
      points,
      limiter: new RateLimiterMemory({ ...step, points, keyPrefix: String(place) }),
    };
  });
  const each = async (
    work: (limiter: RateLimiterMemory, points: number) => Promise<unknown>,
  ): Promise<void> => {
    for (const { limiter, points } of limiters) await work(limiter, points);
  };
  return {
    refuseIfWaiting: (key) =>
      each(async (limiter, points) => {
        const had = await limiter.get(key);
        if (had && had.consumedPoints >= points)
          throw new Problem(
            'too-many',
            `Too many tries went wrong; the next is taken in ${inWords(had.msBeforeNext)}.`,
          );
      }),
    failed: (key) =>
      each((limiter) =>
        limiter.consume(key).catch((error: unknown) => {
          if (!(error instanceof RateLimiterRes)) throw error;
        }),
      ),
    succeeded: (key) => each((limiter) => limiter.delete(key)),
  };
}

const MINUTE_S = 60;
function inWords(ms: number): string {
  const s = Math.ceil(ms / 1000);
  return s < 2 * MINUTE_S ? `${s} s` : `${Math.ceil(s / MINUTE_S)} min`;
}
