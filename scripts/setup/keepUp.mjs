/** Keeps a process up: started again with a growing delay each time it ends by itself. */
import { sleep } from './run.mjs';

const FIRST_DELAY_MS = 500;
const LONGEST_DELAY_MS = 10_000;
/** One that stood this long begins again with the shortest delay. */
const STEADY_MS = 10_000;

/**
 * @template {{ child: import('node:child_process').ChildProcess, stop: () => Promise<void> }} T
 * @param {{ name: string, start: (before: T | null) => Promise<T>, onUp?: (now: T, before: T) => void, firstDelayMs?: number, say?: (text: string) => void }} what
 *   start: told what ran before, so that it comes back at the same address
 * @returns {Promise<{ now: () => T, replace: () => void, stop: () => Promise<void> }>} rejects when the first start fails
 */
export async function keepUp({
  name,
  start,
  onUp = () => undefined,
  firstDelayMs = FIRST_DELAY_MS,
  say = console.error,
}) {
  let running = await start(null);
  let upSince = Date.now();
  let delayMs = firstDelayMs;
  let restarting = Promise.resolve();
  let wake = () => undefined;
  let stopping = false;
  const stopped = new Promise((resolve) => (wake = resolve));

  const watch = () => {
    const { child } = running;
    const gone = (code, signal) => {
      if (!stopping && running.child === child)
        again(`${name} ended (${signal ?? `code ${code}`})`);
    };
    if (child.exitCode !== null || child.signalCode !== null)
      gone(child.exitCode, child.signalCode);
    else child.once('exit', gone);
  };

  const again = (why) => {
    const before = running;
    if (Date.now() - upSince > STEADY_MS) delayMs = firstDelayMs;
    restarting = (async () => {
      for (let reason = why; !stopping;) {
        say(`${reason}. Starting it again in ${delayMs / 1000} s…`);
        await Promise.race([sleep(delayMs), stopped]);
        delayMs = Math.min(delayMs * 2, LONGEST_DELAY_MS);
        if (stopping) return;
        try {
          running = await start(before);
        } catch (error) {
          reason = `${name} did not start: ${error.message}`;
          continue;
        }
        if (stopping) return;
        say(`${name} is up again.`);
        upSince = Date.now();
        watch();
        onUp(running, before);
        return;
      }
    })();
  };

  watch();
  return {
    now: () => running,
    /** Ends it so that it starts anew. */
    replace: () => void running.stop(),
    stop: async () => {
      stopping = true;
      wake();
      await restarting;
      await running.stop();
    },
  };
}
