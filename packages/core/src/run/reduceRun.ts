import { SIGNS, type SignEffect, type SignId } from '../data/signs/signs';
import {
  atFoot,
  goOn,
  nextStop,
  phaseAt,
  phaseHere,
  plannedBetween,
  SAME_DEPTH_MM,
} from './advance';
import { afterPhase } from './afterThrough';
import { legsOf } from './legs';
import { isHalf } from './leg';
import { priorRate, seenRate } from './rateBelief';
import type { RunAct, RunEvent } from '../documents/runEvent';
import {
  canMeasure,
  isCutting,
  isOnPiece,
  isOver,
  legOf,
  type Happening,
  type Misfit,
  type RunState,
} from './runState';
import { type RunPhase } from '../data/phases';

/** How well a depth is known: read off a rule, or set by eye on the drawing, mm. */
const RULE_SD_MM = 0.25;
const EYE_SD_MM = 0.6;
/** A hollow tone tells that the end is near, not where, mm. */
const HEARD_SD_MM = 0.8;
/** The sudden give tells the end to within what the web lets go in, mm. */
const GIVE_SD_MM = 0.3;
/** A force is never eased to less than this share of the plan by signs alone. */
const MIN_FORCE_FACTOR = 0.4;
const MAX_FORCE_FACTOR = 1.5;

/** The first state of a run, from the act that opens it. */
export function openedRun(
  event: RunEvent & { readonly act: Extract<RunAct, { kind: 'open' }> },
): RunState {
  const { plan, subject } = event.act;
  return {
    plan,
    subject,
    legs: legsOf(plan),
    phase: 'prepare',
    resumeTo: null,
    leg: 0,
    depthMm: 0,
    anchor: { depthMm: 0, sdMm: 0 },
    workS: 0,
    rate: priorRate(plan.clock.sd),
    forceFactor: 1,
    stopsDone: [],
    liftLeftS: 0,
    elapsedS: 0,
    cuttingS: 0,
    inBar: false,
    barMm: {},
    pausedS: 0,
    startedAt: null,
    driver: event.device,
    signs: [],
    hot: false,
    story: [],
    flags: [],
    result: null,
  };
}

/** Acts that any device may add; the rest moves the run and is the driver’s alone. */
const ANYONES: ReadonlySet<RunAct['kind']> = new Set(['drive', 'sign', 'helped', 'result', 'undo']);

/**
 * One act on a run that has been brought up to its time. What does not fit where the run stands moves
 * nothing: it is kept in the record with a flag.
 */
export function reduceRun(state: RunState, event: RunEvent): RunState {
  const { act } = event;
  if (event.device !== state.driver && !ANYONES.has(act.kind))
    return flagged(state, event, { code: 'not-the-driver', act: act.kind });
  switch (act.kind) {
    case 'open':
      return flagged(state, event, { code: 'opened-twice' });
    case 'start':
      return state.phase === 'prepare'
        ? withHappening(
            { ...state, phase: phaseAt(legOf(state), 0), startedAt: event.at },
            { code: 'started' },
          )
        : outOfTurn(state, event);
    case 'pause':
      return isOver(state) || state.phase === 'paused' || state.phase === 'prepare'
        ? outOfTurn(state, event)
        : halted(state, { code: 'paused' });
    case 'resume':
      return state.phase === 'paused' && state.resumeTo
        ? withHappening({ ...state, phase: state.resumeTo, resumeTo: null }, { code: 'went-on' })
        : outOfTurn(state, event);
    case 'measure':
      return measured(state, event, act.depthMm, act.by);
    case 'next':
      return nextPhase(state, event);
    case 'through':
      return gaveWay(state, event);
    case 'sign':
      return seen(state, event, act.sign);
    case 'helped':
      return {
        ...state,
        signs: state.signs.map((one) =>
          one.eventId === act.of ? { ...one, helped: act.answer } : one,
        ),
      };
    case 'crack':
      return isOver(state)
        ? outOfTurn(state, event)
        : withHappening({ ...state, phase: 'cracked' }, { code: 'cracked' });
    case 'abort':
      return isOver(state)
        ? outOfTurn(state, event)
        : withHappening({ ...state, phase: 'aborted' }, { code: 'given-up', why: act.why });
    case 'undo':
      // Left out before replaying, with what it takes back.
      return state;
    case 'drive':
      return { ...state, driver: event.device };
    case 'result':
      return { ...state, result: act.result };
  }
}

const withHappening = (state: RunState, what: Happening): RunState => ({
  ...state,
  story: [
    ...state.story,
    { atS: state.elapsedS, phase: state.phase, depthMm: state.depthMm, by: 'person', what },
  ],
});

export const flagged = (
  state: RunState,
  event: Pick<RunEvent, 'id'>,
  misfit: Misfit,
): RunState => ({ ...state, flags: [...state.flags, { eventId: event.id, ...misfit }] });

const outOfTurn = (state: RunState, event: RunEvent): RunState =>
  flagged(state, event, { code: 'out-of-turn', act: event.act.kind, phase: state.phase });

/** Standing still; a lift cut short is not taken up again. */
function halted(state: RunState, what: Happening): RunState {
  const lifted = state.phase === 'lift' ? goOn(state) : state;
  return withHappening({ ...lifted, phase: 'paused', resumeTo: lifted.phase }, what);
}

/** The rim set where it was measured; the rate of the stretch behind it is learnt, the rest re-timed. */
function measured(state: RunState, event: RunEvent, depthMm: number, by: 'rule' | 'eye'): RunState {
  const leg = legOf(state);
  const at = state.phase === 'paused' ? state.resumeTo : state.phase;
  if (at === null || !canMeasure(state) || !Number.isFinite(depthMm) || depthMm < 0)
    return outOfTurn(state, event);
  const z = Math.min(depthMm, leg.depthMm);
  const known =
    depthMm > leg.depthMm + SAME_DEPTH_MM
      ? flagged(state, event, { code: 'depth-beyond-end', depthMm, endMm: leg.depthMm })
      : state;
  const there = anchored(known, z, by === 'rule' ? RULE_SD_MM : EYE_SD_MM);
  const moved = at === 'lift' ? { ...there, liftLeftS: 0 } : there;
  const waits =
    at === 'water-change' || at === 'core-break' || at === 'flip' || at === 'step-change';
  // What it waits for; the anchor has put it behind where the rim is deeper.
  const due = nextStop(state);
  // Still short of what it waited for: it goes on cutting.
  const stays = waits && due !== undefined && z >= due.depthMm - SAME_DEPTH_MM;
  const phase = stays ? at : phaseHere(state, z);
  const set: RunState =
    state.phase === 'paused' ? { ...moved, resumeTo: phase } : { ...moved, phase };
  return withHappening(set, { code: by === 'rule' ? 'measured' : 'moved-on-drawing' });
}

/** Depth known here: what it took to come here says how fast it goes. */
function anchored(state: RunState, z: number, sdMm: number): RunState {
  const leg = legOf(state);
  const from = state.anchor;
  const rate =
    z > from.depthMm
      ? seenRate(
          state.rate,
          plannedBetween(leg, from.depthMm, z),
          state.workS,
          z - from.depthMm,
          Math.hypot(from.sdMm, sdMm),
        )
      : state.rate;
  // What waited for a hand and was done stays done; lifts deeper than this come again.
  const stopsDone = leg.stops.flatMap((stop, index) =>
    stop.depthMm < z - SAME_DEPTH_MM || (stop.kind !== 'lift' && state.stopsDone.includes(index))
      ? [index]
      : [],
  );
  return {
    ...state,
    depthMm: z,
    anchor: { depthMm: z, sdMm },
    workS: 0,
    rate,
    stopsDone,
  };
}

/** What is due is done. */
function nextPhase(state: RunState, event: RunEvent): RunState {
  switch (state.phase) {
    case 'lift':
    case 'water-change':
    case 'core-break':
    case 'chisel':
      return withHappening(goOn(state), { code: 'done-went-on' });
    case 'bar':
      return withHappening(
        { ...state, inBar: false, phase: phaseAt(legOf(state), state.depthMm) },
        { code: 'past-the-bar' },
      );
    case 'flip':
    case 'step-change':
      return withHappening(goOn(state), {
        code: state.phase === 'flip' ? 'turned-over' : 'bit-changed',
      });
    case 'cool':
      return state.resumeTo
        ? withHappening(
            { ...state, phase: state.resumeTo, resumeTo: null, hot: false },
            { code: 'cooled-went-on' },
          )
        : withHappening(afterPhase(state), { code: 'next' });
    case 'through':
    case 'withdraw':
    case 'free-core':
    case 'clean':
      return withHappening(afterPhase(state), { code: 'next' });
    default:
      return outOfTurn(state, event);
  }
}

/** The far face let go, or a blind hole is at depth: the end of this leg, sooner or later than calculated. */
function gaveWay(state: RunState, event: RunEvent): RunState {
  if (!canMeasure(state)) return outOfTurn(state, event);
  const leg = legOf(state);
  const there = anchored({ ...state, resumeTo: null, liftLeftS: 0 }, leg.depthMm, GIVE_SD_MM);
  const isInside =
    leg.then === 'at-depth' || (leg.then === 'next' && !leg.givesWay && !isHalf(leg));
  const what = { code: isInside ? 'at-depth' : 'through' } as const;
  // A first half that breaks through leaves nothing for the second.
  if (leg.then === 'next' && !isHalf(leg)) return atFoot(withHappening(there, what));
  return withHappening({ ...there, phase: leg.then === 'at-depth' ? 'withdraw' : 'through' }, what);
}

/** A sign does what it always asks for; what it means here is for the diagnosis to say. */
function seen(state: RunState, event: RunEvent, id: SignId): RunState {
  const noted: RunState = {
    ...state,
    signs: [
      ...state.signs,
      { eventId: event.id, sign: id, atS: state.elapsedS, depthMm: state.depthMm, helped: null },
    ],
  };
  const { effect } = SIGNS[id];
  const at = state.phase === 'paused' ? state.resumeTo : state.phase;
  return withHappening(effect && at !== null && isOnPiece(at) ? acted(noted, effect, at) : noted, {
    code: 'sign',
    sign: id,
  });
}

function acted(state: RunState, effect: SignEffect, at: RunPhase): RunState {
  const leg = legOf(state);
  const back = at === 'lift' ? phaseHere(state) : at;
  switch (effect.kind) {
    case 'force': {
      const wished = state.forceFactor * effect.factor;
      return {
        ...state,
        forceFactor: Math.min(MAX_FORCE_FACTOR, Math.max(MIN_FORCE_FACTOR, wished)),
      };
    }
    case 'stop':
      return { ...state, phase: 'paused', resumeTo: back, liftLeftS: 0 };
    case 'cool':
      return { ...state, phase: 'cool', resumeTo: back, liftLeftS: 0, hot: true };
    case 'lift':
      return isCutting(state)
        ? { ...state, phase: 'lift', liftLeftS: state.plan.clock.liftS }
        : state;
    case 'bar':
      return leg.bar
        ? { ...state, phase: 'paused', resumeTo: 'bar', inBar: true, liftLeftS: 0 }
        : { ...state, phase: 'paused', resumeTo: back, liftLeftS: 0 };
    case 'halt':
      // Metal is often seen once it stands still.
      if (effect.phase === 'chisel')
        return { ...state, phase: 'chisel', resumeTo: null, inBar: false, liftLeftS: 0 };
      return isCutting(state) ? { ...state, phase: effect.phase } : state;
    case 'nearly-through': {
      const exit = leg.strokes.find(({ kind }) => kind === 'exit');
      return exit && isCutting(state) && state.depthMm < exit.fromMm
        ? { ...anchored(state, exit.fromMm, HEARD_SD_MM), phase: 'ease-off' }
        : state;
    }
  }
}
