import type { BitState, Verdict } from '../data/choices';
import type { SignId } from '../data/signs/signs';
import { judgeResult } from './judgeResult';
import type { Leg } from './leg';
import { replayRun } from './replay';
import { wayDown } from './runFigures';
import type { RunEvent, RunSubject } from '../documents/runEvent';
import { isOver } from './runState';
import { type RunPhase } from '../data/phases';

/** One line of the logbook: what was planned, what came of it. */
export interface RunRecord extends RunSubject {
  readonly runId: string;
  readonly bitId: string | null;
  readonly bitName: string;
  readonly machineName: string;
  readonly waterName: string;
  readonly openedAt: string;
  readonly startedAt: string | null;
  readonly phase: RunPhase;
  readonly over: boolean;
  readonly verdict: Verdict | null;
  readonly cracked: boolean;
  readonly depthMm: number;
  readonly wholeDepthMm: number;
  /** Cutting, with lifts and halts at what the plan calculates for them; pauses left out, s. */
  readonly tookS: number;
  readonly plannedS: { readonly p10: number; readonly p50: number; readonly p90: number } | null;
  readonly exitChipMm: number | null;
  readonly plannedChipMm: number | null;
  readonly plannedChipP90Mm: number | null;
  readonly signs: readonly SignId[];
  readonly flagCount: number;
  readonly eventCount: number;
  readonly driver: string;
}

/** How much a run has worn a bit and how many holes it made: what its history is fed with. */
export interface BitUse {
  readonly bitId: string;
  readonly depthMm: number;
  readonly holes: 0 | 1;
  readonly lifeDepthMm: number;
  readonly state: BitState | null;
  readonly at: string;
}

/** A run’s line in the log; null where the opening event has not arrived. */
export function runRecord(runId: string, events: readonly RunEvent[]): RunRecord | null {
  const replayed = replayRun(events);
  if (!replayed) return null;
  const { state } = replayed;
  const { plan, subject, result } = state;
  const { doneMm, wholeMm } = wayDown(state);
  const halted = state.legs.reduce((sum, leg, index) => {
    const taken =
      index < state.leg
        ? leg.stops
        : index === state.leg
          ? leg.stops.filter((_, at) => state.stopsDone.includes(at))
          : [];
    return sum + taken.reduce((all, { haltS }) => all + haltS, 0);
  }, 0);
  return {
    runId,
    ...subject,
    bitId: plan.setup.bitId,
    bitName: plan.setup.bitName,
    machineName: plan.setup.machineName,
    waterName: plan.water.name,
    openedAt: events.find(({ act }) => act.kind === 'open')?.at ?? replayed.stamp.at,
    startedAt: state.startedAt,
    phase: state.phase,
    over: isOver(state),
    verdict: result?.verdict ?? null,
    cracked: state.phase === 'cracked' || (result !== null && result.crack !== 'none'),
    depthMm: doneMm,
    wholeDepthMm: wholeMm,
    tookS: state.cuttingS + halted,
    plannedS: plan.drillTimeS,
    exitChipMm: result?.exitChipMm ?? null,
    plannedChipMm: plan.exitChipMm?.p50 ?? null,
    plannedChipP90Mm: plan.exitChipMm?.p90 ?? null,
    signs: state.signs.map(({ sign }) => sign),
    flagCount: state.flags.length + (result ? judgeResult(result, state).length : 0),
    eventCount: events.length,
    driver: state.driver,
  };
}

/** What to add to each owned bit of this run: the depth it cut, over all its cuts. */
export function bitUses(events: readonly RunEvent[]): readonly BitUse[] {
  const replayed = replayRun(events);
  if (!replayed) return [];
  const { state, stamp } = replayed;
  const over = isOver(state);
  const done = over && state.phase === 'done';
  const bits = new Map<string, Use>();
  state.legs.forEach((leg, index) => {
    const { bitId, lifeDepthMm, fromMm, bar } = leg;
    if (bitId === null) return;
    const end = index < state.leg ? leg.depthMm : index === state.leg ? state.depthMm : fromMm;
    const before = bits.get(bitId);
    const isLast = index === state.legs.length - 1;
    bits.set(bitId, {
      lifeDepthMm,
      depthMm:
        (before?.depthMm ?? 0) + end - fromMm + barWear(state.barMm[index] ?? 0, lifeDepthMm, bar),
      // A hole counts when its last cut with this bit is behind.
      isThrough: isLast ? done : index < state.leg,
      state: bitId === state.plan.setup.bitId ? (state.result?.bitState ?? null) : null,
    });
  });
  return [...bits].flatMap(([bitId, { depthMm, isThrough, ...rest }]) =>
    depthMm <= 0
      ? []
      : [
          {
            ...rest,
            bitId,
            depthMm: over ? depthMm : 0,
            holes: over && isThrough ? 1 : 0,
            at: stamp.at,
          },
        ],
  );
}

/** What a stretch of bar wears beyond its own length, as depth of the leaf: z·(L/L_bar − 1), mm. */
const barWear = (barMm: number, lifeDepthMm: number, bar: Leg['bar']): number =>
  bar && barMm > 0 ? barMm * Math.max(0, lifeDepthMm / bar.lifeDepthMm - 1) : 0;

/** One bit over all its cuts in a run. */
interface Use {
  readonly lifeDepthMm: number;
  readonly depthMm: number;
  readonly isThrough: boolean;
  readonly state: BitState | null;
}
