import { extname } from 'node:path';
import { Piscina } from 'piscina';
import { Problem } from '../http/problem';
import type { HeavyWork } from './heavyWork';

/** So many may wait for a thread; the next is sent away. */
const MAX_WAITING = 32;
const LARGEST_HEAP_MB = 1024;

const busy = (): Problem =>
  new Problem('busy', 'The server is busy with such calculations; try again in a few seconds.');

/** Two threads, a bounded queue, and one sum for all who ask the same at once. */
export function threadedWork(): HeavyWork {
  // Beside this file, as a source or built.
  const kind = extname(import.meta.url);
  const pool = new Piscina({
    filename: new URL(`./heavy.worker${kind}`, import.meta.url).href,
    execArgv: kind === '.ts' ? ['--import', 'tsx'] : [],
    minThreads: 0,
    maxThreads: 2,
    idleTimeout: 60_000,
    maxQueue: MAX_WAITING,
    resourceLimits: { maxOldGenerationSizeMb: LARGEST_HEAP_MB },
  });
  const underWay = new Map<string, Promise<unknown>>();
  return {
    run: (task, input) => {
      const key = JSON.stringify([task, input]);
      const running = underWay.get(key);
      if (!running && pool.queueSize >= MAX_WAITING) return Promise.reject(busy());
      const asked = running ?? pool.run({ task, input }).finally(() => underWay.delete(key));
      underWay.set(key, asked);
      return asked as never;
    },
    waiting: () => pool.queueSize,
    close: () => pool.destroy(),
  };
}
