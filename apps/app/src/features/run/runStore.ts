import type { RunAct, RunEvent } from '@nucleon/core/documents/runEvent';
import { v7 as newId } from 'uuid';
import { create } from 'zustand';
import type { KeptEvent } from './benchDb';
import { deviceId, stampNow } from './device';
import { keepEvents, keptEvents, keptRunIds, tidyRuns } from './keptRuns';
import { hearTabs, tellTabs } from './runNews';

/** So many runs a device keeps before it lets go of those that are over and sent. */
const MAX_KEPT = 20;

/** An entry as this page knows it. */
export interface KnownEvent extends KeptEvent {
  /** It is on this device's disk. */
  readonly kept: boolean;
}

interface Runs {
  /** What is known of each run that was opened here, by run. */
  readonly known: Readonly<Record<string, readonly KnownEvent[] | undefined>>;
  /** The device takes no more: what is done now lives in this page alone until the server has it. */
  readonly isFull: boolean;
  /** Reads what the device keeps: from before, or written by another tab. */
  readonly load: (runId: string) => Promise<void>;
  /** Writes an act into the record. What it returns is kept once `known` says so. */
  readonly add: (runId: string, act: RunAct) => RunEvent;
  /** Takes in what the server has, and marks what it has taken. */
  readonly take: (
    runId: string,
    fromServer: readonly RunEvent[],
    sentIds: readonly string[],
  ) => void;
  /** Marks what the server will not have, with its reason; null lets it be sent again. */
  readonly refuse: (runId: string, why: ReadonlyMap<string, string | null>) => void;
}

const unkept = (entries: readonly KnownEvent[] = []): readonly KeptEvent[] =>
  entries.flatMap(({ kept, ...entry }) => (kept ? [] : [entry]));

export const useRuns = create<Runs>()((set, get) => {
  const put = (runId: string, entries: readonly KnownEvent[]): void => {
    set(({ known }) => {
      const byId = new Map((known[runId] ?? []).map((entry) => [entry.event.id, entry]));
      for (const entry of entries) byId.set(entry.event.id, entry);
      return { known: { ...known, [runId]: [...byId.values()] } };
    });
  };
  /** Shows it at once, and as kept when the disk has it. */
  const write = (runId: string, entries: readonly KeptEvent[]): void => {
    const had = new Map((get().known[runId] ?? []).map((entry) => [entry.event.id, entry]));
    put(
      runId,
      entries.map((entry) => ({ ...entry, kept: had.get(entry.event.id)?.kept ?? false })),
    );
    void keepEvents(runId, entries).then((kept) => {
      const now = new Map((get().known[runId] ?? []).map((entry) => [entry.event.id, entry]));
      put(
        runId,
        entries.flatMap(({ event }) => {
          const entry = now.get(event.id);
          return entry && kept ? [{ ...entry, kept }] : [];
        }),
      );
      // There is room again: what found none is written now.
      const missed = get().isFull && kept ? unkept(get().known[runId]) : [];
      set({ isFull: !kept });
      if (missed.length > 0) write(runId, missed);
      if (kept) tellTabs(runId);
    });
  };
  return {
    known: {},
    isFull: false,
    load: async (runId) => {
      const stored = await keptEvents(runId).catch(() => []);
      const mine = new Map((get().known[runId] ?? []).map((entry) => [entry.event.id, entry]));
      put(
        runId,
        stored.map((entry) => ({
          ...entry,
          // What this page knows of it may be newer than what was read.
          sent: entry.sent || (mine.get(entry.event.id)?.sent ?? false),
          kept: true,
        })),
      );
    },
    add: (runId, act) => {
      const before = get().known[runId] ?? [];
      const event: RunEvent = {
        id: newId(),
        n: 1 + before.reduce((max, { event: { n } }) => Math.max(max, n), 0),
        device: deviceId(),
        ...stampNow(),
        act,
      };
      write(runId, [{ event, sent: false, refused: null }]);
      return event;
    },
    take: (runId, fromServer, sentIds) => {
      const byId = new Map((get().known[runId] ?? []).map((entry) => [entry.event.id, entry]));
      const taken = [...fromServer, ...sentIds.flatMap((id) => byId.get(id)?.event ?? [])].filter(
        ({ id }) => byId.get(id)?.sent !== true,
      );
      if (taken.length > 0)
        write(
          runId,
          taken.map((event) => ({ event, sent: true, refused: null })),
        );
      else if (!get().known[runId]) put(runId, []);
    },
    refuse: (runId, why) => {
      const marked = (get().known[runId] ?? []).flatMap(({ event, sent }) => {
        const refused = why.get(event.id);
        return refused === undefined ? [] : [{ event, sent, refused }];
      });
      if (marked.length > 0) write(runId, marked);
    },
  };
});

/** Opens a run: its first event holds the plan it follows. */
export function openRun(act: Extract<RunAct, { kind: 'open' }>): string {
  const runId = newId();
  useRuns.getState().add(runId, act);
  void keptRunIds()
    .then((ids) => (ids.length > MAX_KEPT ? tidyRuns(runId) : undefined))
    .catch(() => undefined);
  return runId;
}

hearTabs((runId) => {
  if (useRuns.getState().known[runId]) void useRuns.getState().load(runId);
});
