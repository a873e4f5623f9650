import { Problem } from '../http/problem';
import type { HeavyWork } from './heavyWork';

/** Tasks under way at once; what is asked beyond them waits. */
export const THREADS = 2;
/** So many may wait for a thread; the next is sent away. */
export const MAX_WAITING = 32;

const busy = (): Problem =>
  new Problem('busy', 'The server is busy with such calculations; try again in a few seconds.');

/** Threads that take one task each, and the queue before them. */
export interface Pool {
  readonly run: (asked: object, options: { readonly signal: AbortSignal }) => Promise<unknown>;
  readonly queueSize: number;
  readonly destroy: () => Promise<void>;
}

interface UnderWay {
  readonly answer: Promise<unknown>;
  readonly stop: AbortController;
  askers: number;
}

/** A bounded queue, one sum for all who ask the same at once, and none once all of them have gone. */
export function sharedWork(pool: Pool): HeavyWork {
  const underWay = new Map<string, UnderWay>();
  const begin = (key: string, asked: object): UnderWay => {
    const stop = new AbortController();
    const answer = pool.run(asked, { signal: stop.signal }).finally(() => {
      if (underWay.get(key) === one) underWay.delete(key);
    });
    const one: UnderWay = { answer, stop, askers: 0 };
    underWay.set(key, one);
    return one;
  };
  return {
    run: (task, input, gone) => {
      const key = JSON.stringify([task, input]);
      const running = underWay.get(key);
      if (!running && pool.queueSize >= MAX_WAITING) return Promise.reject(busy());
      const one = running ?? begin(key, { task, input });
      one.askers++;
      gone?.addEventListener(
        'abort',
        () => {
          one.askers--;
          if (one.askers > 0) return;
          // Whoever asks from here on has it begun anew.
          underWay.delete(key);
          one.stop.abort();
        },
        { once: true },
      );
      return one.answer as never;
    },
    waiting: () => pool.queueSize,
    close: () => pool.destroy(),
  };
}
