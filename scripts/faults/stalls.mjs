/** How long this machine itself stands still: nobody is kept waiting by Nucleon for what a shared machine takes. */
import { open } from 'node:fs/promises';
import { join } from 'node:path';
import { sleep } from '../setup/run.mjs';

const EACH_MS = 200;

/**
 * Writes a few bytes through to the disk again and again, beside what is tried.
 * @returns end: stops, and gives the longest that one such write, or this process’s own turn, came late, ms
 */
export function watchStalls(folder) {
  let going = true;
  let longestMs = 0;
  const watch = (async () => {
    const file = await open(join(folder, 'stalls'), 'w');
    while (going) {
      const began = Date.now();
      await file.write('.');
      await file.datasync();
      await sleep(EACH_MS);
      longestMs = Math.max(longestMs, Date.now() - began - EACH_MS);
    }
    await file.close();
  })();
  return {
    end: async () => {
      going = false;
      await watch;
      return longestMs;
    },
  };
}
