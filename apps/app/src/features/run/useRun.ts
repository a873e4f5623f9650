import { atMoment, replayRun, type Replayed } from '@nucleon/core/run/replay';
import type { RunAct, RunEvent } from '@nucleon/core/documents/runEvent';
import { isOver, type RunState } from '@nucleon/core/run/runState';
import { useEffect, useMemo, useState } from 'react';
import { deviceId, stampNow } from './device';
import { useRuns } from './runStore';

/** The clock on the run screen moves so often, ms. */
const TICK_MS = 250;

export interface LiveRun {
  readonly runId: string;
  readonly state: RunState;
  readonly events: readonly RunEvent[];
  /** This device moves the run; else it watches. */
  readonly drives: boolean;
  readonly act: (act: RunAct) => RunEvent;
  /** The last act here that may be taken back. */
  readonly undoable: RunEvent | null;
}

/** A run as it stands this moment; null until its record is here. */
export function useRun(runId: string): LiveRun | null {
  const kept = useRuns(({ known }) => known[runId]);
  const events = useMemo(() => kept?.map(({ event }) => event) ?? [], [kept]);
  const replayed = useMemo(() => replayRun(events), [events]);
  const state = useNow(replayed);
  if (!state) return null;
  const me = deviceId();
  return {
    runId,
    state,
    events,
    drives: state.driver === me,
    act: (act) => useRuns.getState().add(runId, act),
    undoable: lastUndoable(events, me),
  };
}

function useNow(replayed: Replayed | null): RunState | null {
  const [, setTick] = useState(0);
  const moves = replayed !== null && !isOver(replayed.state) && replayed.state.phase !== 'prepare';
  useEffect(() => {
    if (!moves) return undefined;
    const timer = setInterval(() => {
      setTick((tick) => tick + 1);
    }, TICK_MS);
    return () => {
      clearInterval(timer);
    };
  }, [moves]);
  if (!replayed) return null;
  return moves ? atMoment(replayed, stampNow()) : replayed.state;
}

const TAKEN_BACK: ReadonlySet<RunAct['kind']> = new Set([
  'start',
  'pause',
  'resume',
  'measure',
  'next',
  'through',
  'sign',
  'crack',
  'abort',
]);

function lastUndoable(events: readonly RunEvent[], device: string): RunEvent | null {
  const gone = new Set(events.flatMap(({ act }) => (act.kind === 'undo' ? [act.of] : [])));
  const mine = events.filter(
    (event) => event.device === device && TAKEN_BACK.has(event.act.kind) && !gone.has(event.id),
  );
  return mine.reduce<RunEvent | null>(
    (last, one) => (last === null || one.n > last.n ? one : last),
    null,
  );
}
