import type { RunAct, RunEvent } from '@nucleon/core/run/runEvent';
import { v7 as newId } from 'uuid';
import { create } from 'zustand';
import { deviceId, stampNow } from './device';
import { isRunKey, keepEvent, keptEvents, keptRunIds, tidyRuns, type KeptEvent } from './keptRuns';

/** So many runs a device keeps before it lets go of those that are over and sent. */
const MOST_KEPT = 20;

interface Runs {
  /** What is known of each run that was opened here, by event id. */
  readonly known: Readonly<Record<string, readonly KeptEvent[] | undefined>>;
  /** The device has no room left: what is done now lives in this page alone until the server has it. */
  readonly isFull: boolean;
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
  isFull: false,
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
    const isFull = !keepEvent(runId, kept);
    set(({ known }) => ({ isFull, known: { ...known, [runId]: [...before, kept] } }));
    return event;
  },
  take: (runId, fromServer, sentIds) => {
    const byId = new Map(
      (get().known[runId] ?? keptEvents(runId)).map((kept) => [kept.event.id, kept]),
    );
    const taken = [...fromServer, ...sentIds.flatMap((id) => byId.get(id)?.event ?? [])].filter(
      ({ id }) => byId.get(id)?.sent !== true,
    );
    for (const event of taken) {
      const kept = { event, sent: true };
      byId.set(event.id, kept);
      keepEvent(runId, kept);
    }
    if (taken.length > 0 || !get().known[runId])
      set(({ known }) => ({ known: { ...known, [runId]: [...byId.values()] } }));
  },
}));

/** Opens a run: its first event holds the plan it follows. */
export function openRun(act: Extract<RunAct, { kind: 'open' }>): string {
  const runId = newId();
  if (keptRunIds().length > MOST_KEPT) tidyRuns(runId);
  useRuns.getState().add(runId, act);
  return runId;
}

if (typeof window !== 'undefined' && typeof window.addEventListener === 'function')
  window.addEventListener('storage', ({ key }) => {
    if (!isRunKey(key)) return;
    const runId = key?.split('.')[2];
    if (runId && useRuns.getState().known[runId]) useRuns.getState().load(runId);
  });
