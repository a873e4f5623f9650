import type { Request } from 'express';
import { Problem } from '../http/problem';
import { addressOf } from './questionLimit';
import { makeThrottle } from './throttle';

/** Tries, unless too many went wrong from here or for this one; what goes wrong counts. @param key whom it is tried for */
export type Tries = <T>(request: Request, key: string, work: () => Promise<T>) => Promise<T>;

export function countTries(): Tries {
  const byName = makeThrottle(1);
  const byAddress = makeThrottle(10);
  return async (request, key, work) => {
    const address = addressOf(request);
    await byName.refuseIfWaiting(key);
    await byAddress.refuseIfWaiting(address);
    try {
      const done = await work();
      await byName.succeeded(key);
      return done;
    } catch (error) {
      if (error instanceof Problem) {
        await byName.failed(key);
        await byAddress.failed(address);
      }
      throw error;
    }
  };
}
