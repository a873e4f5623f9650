import type { RunEvent } from '@nucleon/core/run/runEvent';

/**
 * Runs kept on the device: one key an event, written before anything else happens, so that a crash or a
 * second tab loses nothing. `nucleon.run.RUN.EVENT` holds the event and whether the server has it.
 */
const PREFIX = 'nucleon.run.';

export interface KeptEvent {
  readonly event: RunEvent;
  readonly sent: boolean;
}

const keyOf = (runId: string, eventId: string): string => `${PREFIX}${runId}.${eventId}`;
export const isRunKey = (key: string | null): boolean => key?.startsWith(PREFIX) ?? false;

export function keepEvent(runId: string, kept: KeptEvent): void {
  globalThis.localStorage.setItem(keyOf(runId, kept.event.id), JSON.stringify(kept));
}

/** All that the device has of a run, in no order. */
export function keptEvents(runId: string): readonly KeptEvent[] {
  const found: KeptEvent[] = [];
  for (const key of runKeys()) {
    if (!key.startsWith(`${PREFIX}${runId}.`)) continue;
    const text = globalThis.localStorage.getItem(key);
    if (text) found.push(JSON.parse(text) as KeptEvent);
  }
  return found;
}

/** Runs of which the device has something. */
export const keptRunIds = (): readonly string[] => [
  ...new Set(runKeys().map((key) => key.slice(PREFIX.length).split('.')[0] ?? '')),
];

/** Lets go of a run the server has whole. */
export function dropRun(runId: string): void {
  for (const key of runKeys())
    if (key.startsWith(`${PREFIX}${runId}.`)) globalThis.localStorage.removeItem(key);
}

function runKeys(): readonly string[] {
  const keys: string[] = [];
  for (let i = 0; i < globalThis.localStorage.length; i++) {
    const key = globalThis.localStorage.key(i);
    if (key !== null && isRunKey(key)) keys.push(key);
  }
  return keys;
}
