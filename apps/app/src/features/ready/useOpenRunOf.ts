import type { JobDetail } from '@nucleon/contract/wire';
import { replayRun } from '@nucleon/core/run/replay';
import { isOver } from '@nucleon/core/run/runState';
import { useMemo } from 'react';
import { keptEvents, keptRunIds } from '../run/keptRuns';

/** A run of this hole that was begun and not ended, on this device or as the server knows; its id. */
export function useOpenRunOf(holeId: string, job: JobDetail | null): string | null {
  return useMemo(() => {
    for (const runId of keptRunIds()) {
      const replayed = replayRun(keptEvents(runId).map(({ event }) => event));
      if (replayed && replayed.state.subject.holeId === holeId && !isOver(replayed.state))
        return runId;
    }
    const last = job?.pieces.flatMap(({ holes }) => holes).find(({ id }) => id === holeId)?.lastRun;
    return last && !last.over ? last.runId : null;
  }, [holeId, job]);
}
