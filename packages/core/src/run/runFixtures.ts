import { caseWith, type JobParts } from '../setup/jobFixtures';
import { makePlan } from '../words/plan/makePlan';
import type { Plan } from '../documents/plan';
import { replayRun } from './replay';
import type { RunAct, RunEvent } from '../documents/runEvent';
import type { RunState } from './runState';

export const planWith = (parts: JobParts = {}): Plan => {
  const outcome = makePlan(caseWith(parts));
  if (outcome.kind === 'faulty') throw new Error(JSON.stringify(outcome.faults));
  return outcome.plan;
};

const T0 = Date.parse('2026-05-04T10:00:00Z');

export interface Written {
  readonly events: RunEvent[];
  /** Adds an act so many seconds after the opening. */
  readonly at: (seconds: number, act: RunAct, over?: Partial<RunEvent>) => RunEvent;
  readonly state: () => RunState;
}

/** A run’s record as a device writes it, opened at second 0. */
export function writeRun(parts: JobParts = {}, plan: Plan = planWith(parts)): Written {
  const events: RunEvent[] = [];
  const at = (seconds: number, act: RunAct, over: Partial<RunEvent> = {}): RunEvent => {
    const event: RunEvent = {
      id: `e${events.length}`,
      n: events.length + 1,
      at: new Date(T0 + seconds * 1000).toISOString(),
      tickMs: seconds * 1000,
      session: 's1',
      device: 'phone',
      act,
      ...over,
    };
    events.push(event);
    return event;
  };
  const { reasons: _reasons, ...bare } = plan;
  at(0, {
    kind: 'open',
    plan: bare,
    ready: [],
    subject: {
      jobId: 'job',
      jobName: 'Test',
      pieceId: 'pane',
      pieceName: 'Pane',
      holeId: 'hole',
      holeName: 'Hole',
      material: 'float-glass',
      thicknessMm: 6,
      diameterMm: 25,
    },
  });
  return {
    events,
    at,
    state: () => {
      const replayed = replayRun(events);
      if (!replayed) throw new Error('the run was never opened');
      return replayed.state;
    },
  };
}
