import { planWith, writeRun } from '@nucleon/core/run/runFixtures';
import type { JobParts } from '@nucleon/core/setup/jobFixtures';
import type { RunAct, RunEvent } from '@nucleon/core/documents/runEvent';
import { benchDb } from './features/run/benchDb';
import { useRuns } from './features/run/runStore';
import type { Sent } from './testingApi';

/** A store like the browser’s, emptied for each test. */
export function fakeStorage(): Map<string, string> {
  const kept = new Map<string, string>();
  globalThis.localStorage = {
    get length() {
      return kept.size;
    },
    key: (index: number) => [...kept.keys()][index] ?? null,
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => {
      kept.set(key, value);
    },
    removeItem: (key: string) => {
      kept.delete(key);
    },
    clear: () => {
      kept.clear();
    },
  };
  return kept;
}

/** A device that keeps nothing yet. */
export async function emptyDevice(): Promise<Map<string, string>> {
  const storage = fakeStorage();
  const db = await benchDb();
  await Promise.all([db.clear('events'), db.clear('pictures')]);
  useRuns.setState({ known: {}, isFull: false });
  return storage;
}

/** The act that opens a run of the usual pane, or of one changed in the named parts. */
export function opening(parts: JobParts = {}): Extract<RunAct, { kind: 'open' }> {
  const [first] = writeRun(parts, planWith(parts)).events;
  if (first?.act.kind !== 'open') throw new Error('not opened');
  return first.act;
}

/** A server that keeps what it is sent, for a run each. */
export function runServer() {
  const kept: RunEvent[] = [];
  return {
    kept,
    answer: ({ method, path, body }: Sent) => {
      if (!path.startsWith('/runs/')) return undefined;
      if (method === 'POST') {
        kept.push(...((body?.events ?? []) as RunEvent[]));
        return { status: 200, body: { upTo: kept.length, refused: [] } };
      }
      const after = Number(/after=(\d+)/.exec(path)?.[1] ?? 0);
      return {
        status: 200,
        body: { run: null, events: kept.slice(after), upTo: kept.length },
      };
    },
  };
}

// Stores that keep themselves look for the browser’s as they are made: import this before them.
fakeStorage();
Object.assign(globalThis, { navigator: {} });
