import { extname } from 'node:path';
import { Piscina } from 'piscina';
import type { HeavyWork } from './heavyWork';
import { MAX_WAITING, sharedWork, THREADS } from './sharedWork';

const LARGEST_HEAP_MB = 1024;

/** Two threads beside the one that answers. */
export function threadedWork(): HeavyWork {
  // Beside this file, as a source or built.
  const kind = extname(import.meta.url);
  return sharedWork(
    new Piscina({
      filename: new URL(`./heavy.worker${kind}`, import.meta.url).href,
      execArgv: kind === '.ts' ? ['--import', 'tsx'] : [],
      minThreads: 0,
      maxThreads: THREADS,
      idleTimeout: 60_000,
      maxQueue: MAX_WAITING,
      resourceLimits: { maxOldGenerationSizeMb: LARGEST_HEAP_MB },
    }),
  );
}
