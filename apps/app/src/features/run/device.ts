import type { Stamp } from '@nucleon/core/run/runEvent';
import { v7 as newId } from 'uuid';

const DEVICE_KEY = 'nucleon.device';

/** This device’s own name in every record: made once, kept. */
export function deviceId(): string {
  const had = globalThis.localStorage.getItem(DEVICE_KEY);
  if (had) return had;
  const made = newId();
  globalThis.localStorage.setItem(DEVICE_KEY, made);
  return made;
}

/** One load of the page: its steady clock begins with it. */
const SESSION = newId();

export const stampNow = (): Stamp => ({
  at: new Date().toISOString(),
  tickMs: Math.round(performance.now()),
  session: SESSION,
});
