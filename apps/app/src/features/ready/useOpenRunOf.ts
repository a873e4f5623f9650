import type { JobDetail } from '@nucleon/contract/wire';
import { replayRun } from '@nucleon/core/run/replay';
import { isOver } from '@nucleon/core/run/runState';
import { useEffect, useState } from 'react';
import { keptEvents, keptRunIds } from '../run/keptRuns';

/** A run of this hole that was begun and not ended, on this device or as the server knows; its id. */
export function useOpenRunOf(holeId: string, job: JobDetail | null): string | null {
  const [here, setHere] = useState<string | null>(null);
  useEffect(() => {
    let over = false;
    void openRunHere(holeId)
      .catch(() => null)
      .then((runId) => {
        if (!over) setHere(runId);
      });
    return () => {
      over = true;
    };
  }, [holeId]);
  if (here) return here;
  const last = job?.pieces.flatMap(({ holes }) => holes).find(({ id }) => id === holeId)?.lastRun;
  return last && !last.over ? last.runId : null;
}

async function openRunHere(holeId: string): Promise<string | null> {
  for (const runId of await keptRunIds()) {
    const state = replayRun((await keptEvents(runId)).map(({ event }) => event))?.state;
    if (state?.subject.holeId === holeId && !isOver(state)) return runId;
  }
  return null;
}
