import { MOST_EVENTS } from '@nucleon/contract/runLimits';
import { postEvents } from '../../api/runs';
import { keptEvents, keptRunIds, type KeptEvent } from './keptRuns';
import { useRuns } from './runStore';

/**
 * Sends what the server does not have of a run, oldest first, until nothing is left.
 * @param refused ids that it would not have before: left out, and added to
 * @returns how many events it took
 * @throws Unreachable or ApiProblem; what was taken by then is marked
 */
export async function sendRun(runId: string, refused: Set<string>): Promise<number> {
  const known: readonly KeptEvent[] = useRuns.getState().known[runId] ?? keptEvents(runId);
  const waiting = known
    .filter(({ sent, event }) => !sent && !refused.has(event.id))
    .map(({ event }) => event)
    .sort((a, b) => a.n - b.n)
    .slice(0, MOST_EVENTS);
  if (waiting.length === 0) return 0;
  const taken = await postEvents(runId, { events: waiting });
  for (const { id } of taken.refused) refused.add(id);
  useRuns.getState().take(
    runId,
    [],
    waiting.flatMap(({ id }) => (refused.has(id) ? [] : [id])),
  );
  return waiting.length + (await sendRun(runId, refused));
}

/** Runs of which something has not been sent. */
export const waitingRunIds = (): readonly string[] =>
  keptRunIds().filter((runId) => keptEvents(runId).some(({ sent }) => !sent));
