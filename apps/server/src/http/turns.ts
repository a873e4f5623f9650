import { setImmediate } from 'node:timers/promises';

/** So long one request keeps the thread at a stretch, ms. */
const TURN_MS = 20;

/** Lets others have the thread between two steps of long work, where its turn is over. */
export function takingTurns(): () => Promise<void> {
  let began = performance.now();
  return async () => {
    if (performance.now() - began < TURN_MS) return;
    await setImmediate();
    began = performance.now();
  };
}
