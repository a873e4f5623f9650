import { advance } from './advance';
import { elapsedBetween, type Elapsed } from './elapsed';
import { flagged, openedRun, reduceRun } from './reduceRun';
import type { RunAct, RunEvent, Stamp } from '../documents/runEvent';
import type { RunState } from './runState';

export type Opening = RunEvent & { readonly act: Extract<RunAct, { kind: 'open' }> };
const isOpening = (event: RunEvent): event is Opening => event.act.kind === 'open';

/** The record in its order, each event once: by n, then by clock, then by id where two devices met. */
export function inOrder(events: readonly RunEvent[]): readonly RunEvent[] {
  const byId = new Map(events.map((event) => [event.id, event]));
  return [...byId.values()].sort(
    (a, b) => a.n - b.n || a.at.localeCompare(b.at) || a.id.localeCompare(b.id),
  );
}

/** Ids that were taken back; taking back an undo brings the act back. */
export function takenBack(events: readonly RunEvent[]): ReadonlySet<string> {
  const gone = new Set<string>();
  for (const { id, act } of [...events].reverse()) {
    if (act.kind === 'undo' && !gone.has(id)) gone.add(act.of);
  }
  return gone;
}

/** A session’s last stamp, and the run’s own time then, ms since it was opened. */
interface SessionClock {
  readonly stamp: Stamp;
  readonly runMs: number;
}

export interface Replayed {
  readonly state: RunState;
  /** The last event’s stamp: the time the state stands at. */
  readonly stamp: Stamp;
  readonly clocks: Readonly<Record<string, SessionClock>>;
}

/**
 * The run’s own time at a stamp. Each session goes by its own clock from its last stamp, so that two devices
 * whose clocks differ do not pull the run back and forth; a session not seen yet goes on from the last event.
 */
function runTimeAt({ clocks, stamp: last }: Omit<Replayed, 'state'>, to: Stamp): Elapsed {
  const from = clocks[to.session] ?? clocks[last.session];
  if (!from) return { ms: 0, jumpMs: null };
  const { ms, jumpMs } = elapsedBetween(from.stamp, to);
  return { ms: from.runMs + ms, jumpMs };
}

/**
 * The run as its record tells it: time passes between the events, each act is applied in turn.
 * @param events any order, repeats allowed
 * @returns null where the opening event is missing
 */
export function replayRun(events: readonly RunEvent[]): Replayed | null {
  const ordered = inOrder(events);
  const opening = ordered.find(isOpening);
  if (!opening) return null;
  const gone = takenBack(ordered);
  let state = openedRun(opening);
  let before: RunEvent = opening;
  let clocks: Replayed['clocks'] = { [opening.session]: { stamp: opening, runMs: 0 } };
  let nowMs = 0;
  for (const event of ordered.slice(ordered.indexOf(opening) + 1)) {
    const { ms, jumpMs } = runTimeAt({ clocks, stamp: before }, event);
    state = advance(state, Math.max(0, ms - nowMs) / 1000);
    nowMs = Math.max(nowMs, ms);
    clocks = { ...clocks, [event.session]: { stamp: event, runMs: nowMs } };
    if (jumpMs !== null)
      state = flagged(state, event, { code: 'clock-was-set', jumpS: jumpMs / 1000 });
    if (event.n > before.n + 1)
      state = flagged(state, event, { code: 'event-missing', count: event.n - before.n - 1 });
    if (!gone.has(event.id)) state = reduceRun(state, event);
    before = event;
  }
  return { state, stamp: before, clocks };
}

/** The same run at a later moment, with nothing done since. */
export function atMoment(replayed: Replayed, now: Stamp): RunState {
  const { state, stamp, clocks } = replayed;
  const stoodMs = clocks[stamp.session]?.runMs ?? 0;
  return advance(state, Math.max(0, runTimeAt(replayed, now).ms - stoodMs) / 1000);
}
