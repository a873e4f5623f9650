import { MAX_EVENTS } from '@nucleon/contract/runLimits';
import type { RunEvent } from '@nucleon/core/documents/runEvent';
import { ApiProblem } from '../../api/problem';
import { postEvents, putRunPhoto } from '../../api/runs';
import { dropPhoto, everyWaitingPhoto, keepPhoto } from '../result/keptPhotos';
import type { WaitingPhoto } from './benchDb';
import { keptEvents, keptRunIds } from './keptRuns';
import { useRuns } from './runStore';

/**
 * Sends what the server does not have of a run, oldest first, until nothing is left. What it will not have is
 * marked with its reason and never sent again by itself; the rest goes on.
 * @returns how many entries it took
 * @throws Unreachable; what was taken by then is marked
 */
export async function sendRun(runId: string): Promise<number> {
  if (!useRuns.getState().known[runId]) await useRuns.getState().load(runId);
  const { known, take, refuse } = useRuns.getState();
  const waiting = (known[runId] ?? [])
    .filter(({ sent, refused }) => !sent && refused === null)
    .map(({ event }) => event)
    .sort((a, b) => a.n - b.n)
    .slice(0, MAX_EVENTS);
  if (waiting.length === 0) return 0;
  const refused = await refusedOf(runId, waiting);
  refuse(runId, refused);
  const taken = waiting.filter(({ id }) => !refused.has(id)).map(({ id }) => id);
  take(runId, [], taken);
  return taken.length + (await sendRun(runId));
}

/** Sends these; what of them the server will not have, and why. */
async function refusedOf(
  runId: string,
  events: readonly RunEvent[],
): Promise<ReadonlyMap<string, string>> {
  try {
    const { refused } = await postEvents(runId, { events });
    return new Map(refused.map(({ id, message }) => [id, message]));
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error;
    const named = new Map<string, string>();
    for (const { pointer, message } of error.body.faults ?? []) {
      const event = events[Number(/^\/events\/(\d+)/.exec(pointer)?.[1])];
      if (event && !named.has(event.id)) named.set(event.id, message);
    }
    // Nothing of what was sent is stored: those not named are sent once more, without the others.
    if (named.size === 0) return new Map(events.map(({ id }) => [id, error.body.detail]));
    const others = events.filter(({ id }) => !named.has(id));
    const rest = others.length > 0 ? await refusedOf(runId, others) : new Map<string, string>();
    return new Map([...named, ...rest]);
  }
}

/**
 * Sends pictures that wait, each once the server has the record of its run. One that it will not have stays,
 * with its reason.
 * @throws Unreachable
 */
export async function sendPictures(photos: readonly WaitingPhoto[]): Promise<void> {
  for (const photo of photos) {
    if (photo.refused !== null || !(await hasRecord(photo.runId))) continue;
    try {
      await putRunPhoto(photo.runId, photo.photoId, photo.picture);
      await dropPhoto(photo.photoId);
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      // The server does not know the run yet: the picture waits for it.
      if (error.body.code !== 'not-found')
        await keepPhoto({ ...photo, refused: error.body.detail });
    }
  }
}

async function hasRecord(runId: string): Promise<boolean> {
  const known = useRuns.getState().known[runId] ?? (await keptEvents(runId));
  return known.every(({ sent }) => sent);
}

/** Runs of which something has not been sent and may be. */
export async function waitingRunIds(): Promise<readonly string[]> {
  const waits = await Promise.all(
    (await keptRunIds()).map(async (runId) => ({
      runId,
      waits: (await keptEvents(runId)).some(({ sent, refused }) => !sent && refused === null),
    })),
  );
  return waits.filter(({ waits: does }) => does).map(({ runId }) => runId);
}

/** Events and pictures that wait on this device, whichever screen is open. @throws Unreachable */
export async function sendWaiting(): Promise<void> {
  for (const runId of await waitingRunIds()) await sendRun(runId);
  await sendPictures(await everyWaitingPhoto());
}
