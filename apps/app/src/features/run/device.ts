import type { Stamp } from '@nucleon/core/documents/runEvent';
import { v7 as newId } from 'uuid';

const DEVICE_KEY = 'nucleon.device';

let mine: string | null = null;

/** This device’s own name in every record: made once, kept. */
export function deviceId(): string {
  mine ??= globalThis.localStorage.getItem(DEVICE_KEY);
  return mine ?? nameDevice(newId());
}

/** Calls the device what it was called before: what a browser keeps with its settings a crash may take. */
export function nameDevice(name: string): string {
  mine = name;
  globalThis.localStorage.setItem(DEVICE_KEY, name);
  return name;
}

/** One load of the page: its steady clock begins with it. */
const SESSION = newId();

export const stampNow = (): Stamp => ({
  at: new Date().toISOString(),
  tickMs: Math.round(performance.now()),
  session: SESSION,
});
