import { replayRun } from '@nucleon/core/run/replay';
import { isOver } from '@nucleon/core/run/runState';
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

/** Writes an event down; false where the device has no room, even after letting go of what it need not keep. */
export function keepEvent(runId: string, kept: KeptEvent): boolean {
  const write = (): boolean => {
    try {
      globalThis.localStorage.setItem(keyOf(runId, kept.event.id), JSON.stringify(kept));
      return true;
    } catch {
      return false;
    }
  };
  if (write()) return true;
  tidyRuns(runId);
  return write();
}

/** Lets go of runs that are over and that the server has whole, all but the one at hand. */
export function tidyRuns(atHand: string): void {
  for (const runId of keptRunIds()) {
    const kept = keptEvents(runId);
    const state = replayRun(kept.map(({ event }) => event))?.state;
    if (runId !== atHand && state && isOver(state) && kept.every(({ sent }) => sent))
      dropRun(runId);
  }
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
