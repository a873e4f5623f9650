import type { Leg, Stop, Stroke } from './leg';
import { priorRate, rateFactor } from './rateBelief';
import { isCutting, legOf, stopsAhead, type Happening, type RunState } from './runState';
import { type RunPhase } from '../data/phases';

/** Depths closer than this are one, mm. */
export const SAME_DEPTH_MM = 1e-6;

/**
 * How much faster another force makes it: u ∝ F − F_idle (Preston’s relation with the plan’s own idle
 * force, half of what glazes), so g = (f·F − F_idle)/(F − F_idle), never below nothing.
 */
export function forceSpeedUp(state: RunState, stroke: Stroke): number {
  const idleN = state.plan.forceWindowN.glaze / 2;
  if (state.forceFactor === 1 || stroke.forceN <= idleN) return 1;
  return Math.max(0, (state.forceFactor * stroke.forceN - idleN) / (stroke.forceN - idleN));
}

/**
 * Times as fast as planned here, beside what the run has shown: by force, or in a bar what that goes at. Its rate is
 * taken as calculated, so a bar says nothing of how the piece itself cuts.
 */
export function speedUpOf(state: RunState, stroke: Stroke): number {
  const { bar } = legOf(state);
  if (state.phase !== 'bar' || !bar) return forceSpeedUp(state, stroke);
  const asPlanned = plannedRate(stroke);
  return asPlanned > 0 ? bar.rateMmPerS / (asPlanned * rateFactor(state.rate)) : 0;
}

/** mm/s; 0 where it does not cut. */
const plannedRate = ({ fromMm, toMm, timeS }: Stroke): number =>
  timeS === null || timeS <= 0 ? 0 : (toMm - fromMm) / timeS;

/** The stroke that lies ahead at a depth; the last one at the end. */
export const strokeAt = (leg: Leg, depthMm: number): Stroke | undefined =>
  leg.strokes.find(({ toMm }) => depthMm < toMm - SAME_DEPTH_MM) ?? leg.strokes.at(-1);

/** mm/s as planned, times what the run has shown and what the force makes of it. */
export function rateNow(state: RunState, stroke: Stroke): number {
  return plannedRate(stroke) * rateFactor(state.rate) * speedUpOf(state, stroke);
}

/** The phase that belongs to a depth. */
export function phaseAt(leg: Leg, depthMm: number): 'seat' | 'cut' | 'ease-off' {
  const kind = strokeAt(leg, depthMm)?.kind;
  return kind === 'seat' ? 'seat' : kind === 'exit' ? 'ease-off' : 'cut';
}

/** The phase to go on with at a depth: a bar that is not behind yet comes first. */
export const phaseHere = (state: RunState, depthMm = state.depthMm): RunPhase =>
  state.inBar ? 'bar' : phaseAt(legOf(state), depthMm);

export const nextStop = (state: RunState): Stop | undefined => stopsAhead(state)[0];

/** The stops the clock brings: what is done once it gives way waits until it does. */
export function clockStops(state: RunState): readonly Stop[] {
  const leg = legOf(state);
  return stopsAhead(state).filter(
    (stop) => !(leg.givesWay && isFootStop(stop) && isAtFoot(leg, stop.depthMm)),
  );
}

const isAtFoot = (leg: Leg, depthMm: number): boolean => depthMm >= leg.depthMm - SAME_DEPTH_MM;

const enter = (state: RunState, phase: RunPhase, what: Happening): RunState => ({
  ...state,
  phase,
  story: [
    ...state.story,
    { atS: state.elapsedS, phase, depthMm: state.depthMm, by: 'clock', what },
  ],
});

/** Arrived at a stop: a lift passes by itself, the water is shut in passing, the rest waits for a hand. */
function arrive(state: RunState, stop: Stop): RunState {
  const what = { code: 'stop', stop } as const;
  if (stop.kind === 'lift') return enter({ ...state, liftLeftS: stop.haltS }, 'lift', what);
  return enter(state, stop.kind === 'water-off' ? 'water-change' : stop.kind, what);
}

/** At the foot of a cut: what hands do there, one after the other, then the next cut. */
export function atFoot(state: RunState): RunState {
  const due = nextStop(state);
  if (due) return arrive(state, due);
  return legOf(state).then === 'next' ? enterLeg(state, state.leg + 1) : state;
}

/** The next cut, from where it begins; what was learnt of rate and depth goes with it on the same bit. */
export function enterLeg(state: RunState, leg: number): RunState {
  const [before, now] = [legOf(state), state.legs[leg]];
  if (!now) return state;
  const goesOn = isSameBit(before, now) && before.side === now.side && now.fromMm > 0;
  const next: RunState = {
    ...state,
    leg,
    depthMm: now.fromMm,
    anchor: { depthMm: now.fromMm, sdMm: goesOn ? depthSdMm(state) : 0 },
    workS: 0,
    stopsDone: [],
    liftLeftS: 0,
    inBar: false,
    forceFactor: goesOn ? state.forceFactor : 1,
    rate: isSameBit(before, now) ? state.rate : priorRate(state.plan.clock.sd),
  };
  return { ...next, phase: phaseAt(now, now.fromMm) };
}

const isSameBit = (one: Leg, other: Leg): boolean =>
  one.bitName === other.bitName && one.diameterMm === other.diameterMm;

/** How well the depth is known: σ² = σ_anchor² + ((z − z_anchor)·σ_ln k)². */
export const depthSdMm = ({ anchor, depthMm, rate }: RunState): number =>
  Math.hypot(anchor.sdMm, (depthMm - anchor.depthMm) * rate.sd);

/** Past what halted it, on with what belongs to the depth; a stop of the plan’s own is then behind. */
export function goOn(state: RunState): RunState {
  const due = nextStop(state);
  const isDue = due !== undefined && due.depthMm <= state.depthMm + SAME_DEPTH_MM;
  const on: RunState = {
    ...state,
    stopsDone: isDue ? [...state.stopsDone, legOf(state).stops.indexOf(due)] : state.stopsDone,
    liftLeftS: 0,
    phase: phaseHere(state),
  };
  return isDue && isFootStop(due) && isAtFoot(legOf(state), due.depthMm) ? atFoot(on) : on;
}

/** Stops that stand at the foot of a cut, and lead to the next. */
const isFootStop = ({ kind }: Stop): boolean =>
  kind === 'core-break' || kind === 'flip' || kind === 'step-change';

/** Lets time pass: the rim goes down, stops come due, a lift ends. Pure; seconds not below 0. */
export function advance(state: RunState, seconds: number): RunState {
  let now = state;
  let leftS = seconds;
  while (leftS > 0) {
    const { state: next, usedS } = oneStretch(now, leftS);
    now = next;
    leftS -= usedS;
    if (!isCutting(now) && now.phase !== 'lift') return wait(now, leftS);
  }
  return now;
}

/** Time that cuts nothing. */
const wait = (state: RunState, seconds: number): RunState => ({
  ...state,
  elapsedS: state.elapsedS + seconds,
  pausedS: state.pausedS + (state.phase === 'paused' ? seconds : 0),
});

/** Up to the next thing that changes, or as far as the time goes. */
function oneStretch(state: RunState, leftS: number): { state: RunState; usedS: number } {
  if (state.phase === 'lift') {
    const usedS = Math.min(leftS, state.liftLeftS);
    const lifting = {
      ...state,
      liftLeftS: state.liftLeftS - usedS,
      elapsedS: state.elapsedS + usedS,
    };
    return { state: lifting.liftLeftS <= 1e-9 ? goOn(lifting) : lifting, usedS };
  }
  if (!isCutting(state)) return { state, usedS: 0 };

  const leg = legOf(state);
  const [stop] = clockStops(state);
  if (stop && stop.depthMm <= state.depthMm + SAME_DEPTH_MM)
    return { state: arrive(state, stop), usedS: 0 };
  const stroke = strokeAt(leg, state.depthMm);
  if (!stroke) return { state: pass(state, leftS, 0, 0), usedS: leftS };
  const from = Math.max(state.depthMm, stroke.fromMm);
  const to = Math.min(stroke.toMm, Math.max(from, stop?.depthMm ?? Infinity));
  const rate = rateNow(state, stroke);
  const speedUp = speedUpOf(state, stroke);
  const needS = rate > 0 ? (to - from) / rate : Infinity;
  const atEnd = isAtFoot(leg, state.depthMm);
  if (atEnd || needS > leftS) {
    const depthMm = atEnd ? leg.depthMm : from + rate * leftS;
    return { state: pass(state, leftS, depthMm - state.depthMm, speedUp), usedS: leftS };
  }
  const there = pass(state, needS, to - state.depthMm, speedUp);
  const phase = phaseAt(leg, to);
  const done = to >= leg.depthMm - SAME_DEPTH_MM;
  const turned = done
    ? leg.givesWay
      ? there
      : atFoot(there)
    : phase === there.phase || there.inBar
      ? there
      : enter(there, phase, { code: 'phase', phase });
  return { state: turned, usedS: needS };
}

/** Cutting for so long, so much deeper. */
const pass = (state: RunState, seconds: number, deeperMm: number, speedUp: number): RunState => ({
  ...state,
  depthMm: state.depthMm + deeperMm,
  elapsedS: state.elapsedS + seconds,
  cuttingS: state.cuttingS + seconds,
  barMm: state.phase === 'bar' ? withBar(state, deeperMm) : state.barMm,
  workS: state.workS + seconds * speedUp,
});

/** So much more of a bar behind in this leg, mm. */
const withBar = ({ barMm, leg }: RunState, deeperMm: number): RunState['barMm'] => ({
  ...barMm,
  [leg]: (barMm[leg] ?? 0) + deeperMm,
});

/** Cutting between two depths as planned at k = 1, s; Infinity where some of it does not cut. */
export function plannedBetween(leg: Leg, fromMm: number, toMm: number): number {
  return leg.strokes.reduce((sum, stroke) => {
    const length = Math.min(toMm, stroke.toMm) - Math.max(fromMm, stroke.fromMm);
    if (length <= 0) return sum;
    return (
      sum +
      (stroke.timeS === null ? Infinity : (stroke.timeS * length) / (stroke.toMm - stroke.fromMm))
    );
  }, 0);
}
