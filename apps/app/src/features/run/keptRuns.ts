import { replayRun } from '@nucleon/core/run/replay';
import { isOver } from '@nucleon/core/run/runState';
import { benchDb, writeEvents, type KeptEvent } from './benchDb';

/** Keys of one run's entries: every second part there can be. */
const ofRun = (runId: string): IDBKeyRange => IDBKeyRange.bound([runId, ''], [runId, '\uffff']);

/** Writes entries down, on the disk when it answers; false where the device has no room, even after tidying. */
export async function keepEvents(runId: string, kept: readonly KeptEvent[]): Promise<boolean> {
  const write = (): Promise<boolean> =>
    writeEvents(runId, kept).then(
      () => true,
      () => false,
    );
  if (await write()) return true;
  await tidyRuns(runId).catch(() => undefined);
  return write();
}

/** All that the device has of a run, in no order. */
export const keptEvents = async (runId: string): Promise<readonly KeptEvent[]> =>
  (await benchDb()).getAll('events', ofRun(runId));

/** Runs of which the device has something. */
export async function keptRunIds(): Promise<readonly string[]> {
  const keys = await (await benchDb()).getAllKeys('events');
  return [...new Set(keys.map(([runId]) => runId))];
}

/** Lets go of runs that are over and that the server has whole, all but the one at hand. */
export async function tidyRuns(atHand: string): Promise<void> {
  for (const runId of await keptRunIds()) {
    const kept = await keptEvents(runId);
    const state = replayRun(kept.map(({ event }) => event))?.state;
    if (runId !== atHand && state && isOver(state) && kept.every(({ sent }) => sent))
      await (await benchDb()).delete('events', ofRun(runId));
  }
}
