import { formatDuration } from '../units/formatQuantity';
import { advance } from './advance';
import { elapsedBetween } from './elapsed';
import { flagged, openedRun, reduceRun } from './reduceRun';
import type { RunAct, RunEvent, Stamp } from './runEvent';
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

export interface Replayed {
  readonly state: RunState;
  /** The time the state stands at. */
  readonly stamp: Stamp;
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
  for (const event of ordered.slice(ordered.indexOf(opening) + 1)) {
    const { ms, jumpMs } = elapsedBetween(before, event);
    state = advance(state, ms / 1000);
    if (jumpMs !== null)
      state = flagged(
        state,
        event,
        'clock-was-set',
        `The clock was set ${jumpMs < 0 ? 'back' : 'forward'} by about ${formatDuration(Math.abs(jumpMs) / 1000)}; the run’s own time was kept.`,
      );
    if (event.n > before.n + 1)
      state = flagged(
        state,
        event,
        'event-missing',
        `${event.n - before.n - 1} entries before this one have not arrived.`,
      );
    if (!gone.has(event.id)) state = reduceRun(state, event);
    before = event;
  }
  return { state, stamp: before };
}

/** The same run at a later moment, with nothing done since. */
export const atMoment = ({ state, stamp }: Replayed, now: Stamp): RunState =>
  advance(state, elapsedBetween(stamp, now).ms / 1000);
