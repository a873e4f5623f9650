import type { Request } from 'express';
import { Problem } from '../http/problem';
import { addressOf } from './questionLimit';
import { makeThrottle } from './throttle';

/** Tries, unless too many went wrong from here or for this one; what goes wrong counts. @param key whom it is tried for */
export type Tries = <T>(request: Request, key: string, work: () => Promise<T>) => Promise<T>;

export function countTries(): Tries {
  const strict = makeThrottle(1);
  const lenient = makeThrottle(10);
  return async (request, key, work) => {
    const address = addressOf(request);
    // Strictly for one name from one place: whoever guesses keeps nobody else from signing in.
    const here = `${key} from ${address}`;
    const wider = [key, address];
    await strict.refuseIfWaiting(here);
    for (const one of wider) await lenient.refuseIfWaiting(one);
    try {
      const done = await work();
      await strict.succeeded(here);
      return done;
    } catch (error) {
      if (error instanceof Problem) {
        await strict.failed(here);
        for (const one of wider) await lenient.failed(one);
      }
      throw error;
    }
  };
}
