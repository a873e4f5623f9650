import type { RunAct, RunEvent } from '@nucleon/core/run/runEvent';
import { v7 as newId } from 'uuid';
import { create } from 'zustand';
import { deviceId, stampNow } from './device';
import { isRunKey, keepEvent, keptEvents, type KeptEvent } from './keptRuns';

interface Runs {
  /** What is known of each run that was opened here, by event id. */
  readonly known: Readonly<Record<string, readonly KeptEvent[] | undefined>>;
  /** Reads again what the device keeps: another tab may have written. */
  readonly load: (runId: string) => void;
  /** Writes an act into the record, on the device first. Returns the event. */
  readonly add: (runId: string, act: RunAct) => RunEvent;
  /** Takes in what the server has, and marks what it has taken. */
  readonly take: (
    runId: string,
    fromServer: readonly RunEvent[],
    sentIds: readonly string[],
  ) => void;
}

export const useRuns = create<Runs>()((set, get) => ({
  known: {},
  load: (runId) => {
    set(({ known }) => ({ known: { ...known, [runId]: keptEvents(runId) } }));
  },
  add: (runId, act) => {
    const before = get().known[runId] ?? keptEvents(runId);
    const event: RunEvent = {
      id: newId(),
      n: 1 + before.reduce((most, { event: { n } }) => Math.max(most, n), 0),
      device: deviceId(),
      ...stampNow(),
      act,
    };
    const kept = { event, sent: false };
    keepEvent(runId, kept);
    set(({ known }) => ({ known: { ...known, [runId]: [...before, kept] } }));
    return event;
  },
  take: (runId, fromServer, sentIds) => {
    const byId = new Map(
      (get().known[runId] ?? keptEvents(runId)).map((kept) => [kept.event.id, kept]),
    );
    let changed = false;
    const put = (kept: KeptEvent): void => {
      if (byId.get(kept.event.id)?.sent) return;
      byId.set(kept.event.id, kept);
      keepEvent(runId, kept);
      changed = true;
    };
    for (const event of fromServer) put({ event, sent: true });
    for (const id of sentIds) {
      const kept = byId.get(id);
      if (kept) put({ ...kept, sent: true });
    }
    if (changed || !get().known[runId])
      set(({ known }) => ({ known: { ...known, [runId]: [...byId.values()] } }));
  },
}));

/** Opens a run: its first event holds the plan it follows. */
export function openRun(act: Extract<RunAct, { kind: 'open' }>): string {
  const runId = newId();
  useRuns.getState().add(runId, act);
  return runId;
}

if (typeof window !== 'undefined' && typeof window.addEventListener === 'function')
  window.addEventListener('storage', ({ key }) => {
    if (!isRunKey(key)) return;
    const runId = key?.split('.')[2];
    if (runId && useRuns.getState().known[runId]) useRuns.getState().load(runId);
  });
