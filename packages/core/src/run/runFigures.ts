import { Z_90 } from '../math/normal';
import {
  clockStops,
  depthSdMm,
  forceSpeedUp,
  plannedBetween,
  speedUpOf,
  strokeAt,
} from './advance';
import { easesAtEnd } from '../physics/cutting/stages';
import type { Stop, StopKind } from './leg';
import { rateFactor } from './rateBelief';
import { isCutting, isOver, legOf, stopsAhead, type RunState } from './runState';

export interface DepthBand {
  readonly fromMm: number;
  readonly toMm: number;
}

/** Where the rim is in eight runs of ten, within the leg. */
export function depthBand(state: RunState): DepthBand {
  const half = Z_90 * depthSdMm(state);
  const { fromMm: start, depthMm: end } = legOf(state);
  return {
    fromMm: Math.max(start, state.depthMm - half),
    toMm: Math.min(end, state.depthMm + half),
  };
}

export interface TimeLeft {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

/** What these stops cost, s. */
const haltsOf = (stops: readonly Stop[]): number =>
  stops.reduce((sum, { haltS }) => sum + haltS, 0);

/** Until it is through, s; null where it would not cut so far, or the cut is over. */
export function timeLeft(state: RunState): TimeLeft | null {
  if (isOver(state) || state.leg >= state.legs.length) return null;
  const leg = legOf(state);
  const stroke = strokeAt(leg, state.depthMm);
  const speedUp = stroke ? forceSpeedUp(state, stroke) : 1;
  const here = plannedBetween(leg, state.depthMm, leg.depthMm) / speedUp;
  const later = state.legs.slice(state.leg + 1);
  const cutS =
    here + later.reduce((sum, one) => sum + plannedBetween(one, one.fromMm, one.depthMm), 0);
  if (!Number.isFinite(cutS)) return null;
  const haltS =
    haltsOf(stopsAhead(state)) + later.reduce((sum, one) => sum + haltsOf(one.stops), 0);
  const k = rateFactor(state.rate);
  const at = (z: number): number => (cutS / k) * Math.exp(z * state.rate.sd) + haltS;
  return { p10: at(-Z_90), p50: at(0), p90: at(Z_90) };
}

/** What comes next on the way down, and when. */
export interface ComingUp {
  readonly kind: StopKind | 'ease-off' | 'nearly-through' | 'end';
  readonly depthMm: number;
  /** As expected; null where it would not get there. */
  readonly inS: number | null;
}

/** The next stop, easing off, or the end of the leg, whichever is first; null where nothing is cut. */
export function comingUp(state: RunState): ComingUp | null {
  if (!isCutting(state) && state.phase !== 'lift') return null;
  const leg = legOf(state);
  const stop = clockStops(state)[state.phase === 'lift' ? 1 : 0];
  const ease = leg.strokes.find(({ kind, fromMm }) => kind === 'exit' && fromMm > state.depthMm);
  const marks: readonly Omit<ComingUp, 'inS'>[] = [
    ...(stop ? [{ kind: stop.kind, depthMm: stop.depthMm }] : []),
    ...(ease
      ? [
          {
            kind: easesAtEnd(leg.strokes) ? ('ease-off' as const) : ('nearly-through' as const),
            depthMm: ease.fromMm,
          },
        ]
      : []),
    { kind: 'end', depthMm: leg.depthMm },
  ];
  const next = marks.reduce((first, one) => (one.depthMm < first.depthMm ? one : first));
  const stroke = strokeAt(leg, state.depthMm);
  const pace = rateFactor(state.rate) * (stroke ? speedUpOf(state, stroke) : 1);
  const cutS = plannedBetween(leg, state.depthMm, next.depthMm) / pace;
  return { ...next, inS: Number.isFinite(cutS) ? cutS + state.liftLeftS : null };
}

/** The force to press with now, N; null where nothing is pressed. */
export function forceNow(state: RunState): number | null {
  if (!isCutting(state) && state.phase !== 'lift') return null;
  const leg = legOf(state);
  if (state.phase === 'bar' && leg.bar) return leg.bar.feedForceN;
  const stroke = strokeAt(leg, state.depthMm);
  return stroke ? stroke.forceN * state.forceFactor : null;
}

/** The speed to turn at now, rpm; null where the motor is off. */
export function rpmNow(state: RunState): number | null {
  if (!isCutting(state) && state.phase !== 'lift') return null;
  const leg = legOf(state);
  if (state.phase === 'bar' && leg.bar) return leg.bar.rpm;
  return strokeAt(leg, state.depthMm)?.rpm ?? null;
}

/** Depth gone down so far, over all bits and faces, mm; and the whole way. */
export function wayDown(state: RunState): { readonly doneMm: number; readonly wholeMm: number } {
  const length = (legs: RunState['legs']): number =>
    legs.reduce((sum, { fromMm, depthMm }) => sum + depthMm - fromMm, 0);
  const here = state.depthMm - legOf(state).fromMm;
  return { doneMm: length(state.legs.slice(0, state.leg)) + here, wholeMm: length(state.legs) };
}
