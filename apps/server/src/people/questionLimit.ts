import type { Request } from 'express';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { Problem } from '../http/problem';
import type { Asker } from './asking';

const LONGEST_ADDRESS = 45;
export const addressOf = (request: Request): string => (request.ip ?? '').slice(0, LONGEST_ADDRESS);

/** So much a person or a place may ask: far more than a hand can, and less than holds up the others. */
const A_MINUTE = { known: 1500, unknown: 240 } as const;
const MINUTE_S = 60;
const SLOWER = new Problem(
  'too-many',
  'That is more than is answered in a minute; nothing was changed. Go on in a minute.',
);

/** Counts what each device and address asks, and refuses what is too much. */
export function questionLimit(): (asker: Asker | null, address: string) => Promise<void> {
  const [known, unknown] = [A_MINUTE.known, A_MINUTE.unknown].map(
    (points) => new RateLimiterMemory({ points, duration: MINUTE_S }),
  ) as [RateLimiterMemory, RateLimiterMemory];
  return async (asker, address) => {
    if (asker?.kind === 'local') return;
    await (asker ? known.consume(asker.deviceId) : unknown.consume(address)).catch(() => {
      throw SLOWER;
    });
  };
}
