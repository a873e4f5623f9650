type Heard = () => void;

/** Whoever keeps a run the same here and on the server, by the run. */
const listeners = new Map<string, Set<Heard>>();

/** Another device added to this run. */
export const heardOfRun = (runId: string): void => {
  for (const heard of listeners.get(runId) ?? []) heard();
};

/** @returns what ends it */
export function onRunNews(runId: string, heard: Heard): () => void {
  const own = listeners.get(runId) ?? new Set<Heard>();
  listeners.set(runId, own.add(heard));
  return () => {
    own.delete(heard);
    if (own.size === 0) listeners.delete(runId);
  };
}
