import { COOLANTS, type CoolantId } from '../data/coolants';
import { diagnose, type RankedCause } from './diagnose';
import type { RunScene } from '../data/signs/causes';
import { SIGNS, type SignScene } from '../data/signs/signs';
import { rateFactor } from './rateBelief';
import { wayDown } from './runFigures';
import { materialClassOf } from './runMaterial';
import { legOf, type RunState } from './runState';

export const signSceneOf = ({ plan }: Pick<RunState, 'plan'>): SignScene => ({
  class: materialClassOf(plan),
  solidBit: plan.setup.solid,
  standingWater: COOLANTS[plan.water.method as CoolantId].kind === 'standing',
  opensFarFace: plan.exitForceN !== null,
});

/** How the run stands, as the diagnosis looks at it. */
export function runSceneOf(state: RunState): RunScene {
  const { plan, depthMm } = state;
  const leg = legOf(state);
  const { doneMm, wholeMm } = wayDown(state);
  const stops = (kind: string): readonly number[] =>
    leg.stops.filter((stop) => stop.kind === kind).map((stop) => stop.depthMm);
  const last = (depths: readonly number[]): number =>
    depths.findLast((z) => z <= depthMm) ?? leg.fromMm;
  const gap = (depths: readonly number[]): number => {
    const next = depths.find((z) => z > depthMm) ?? leg.depthMm;
    return Math.max(next - last(depths), 0.1);
  };
  const lifts = stops('lift');
  const changes = stops('water-change');
  const standing = COOLANTS[plan.water.method as CoolantId].kind === 'standing';
  const perFill = plan.water.holesPerFill ?? Infinity;
  const fillMm = changes[0] ?? Math.max(1, perFill) * plan.depthMm;
  const breaks = stops('core-break');
  return {
    sharpness: plan.setup.sharpness,
    depthShare: wholeMm > 0 ? doneMm / wholeMm : 0,
    rateFactor: rateFactor(state.rate),
    sinceLift: lifts.length === 0 ? 0 : (depthMm - last(lifts)) / gap(lifts),
    turbidity: standing ? (depthMm - last(changes)) / fillMm : 0,
    forceFactor: state.forceFactor,
    coreShare: leg.solid ? 0 : (depthMm - last(breaks)) / leg.boreDepthMm,
    heatShare: plan.stressLimitMpa > 0 ? plan.totalStressMpa / plan.stressLimitMpa : 0,
    masonry: materialClassOf(plan) === 'masonry',
    solidBit: leg.solid,
    seating: state.phase === 'seat' || state.resumeTo === 'seat',
    freehand: plan.setup.hold === 'freehand',
  };
}

/** Likeliest first: what the signs noted so far say is the matter. */
export const diagnoseRun = (state: RunState): readonly RankedCause[] =>
  diagnose(
    state.signs.map(({ sign, atS, helped }) => ({
      sign,
      agoS: state.elapsedS - atS,
      helped: helped === null ? null : helped === 'yes',
    })),
    runSceneOf(state),
  );

/** So long after a sign it is asked whether what was done helped, s; and no longer than. */
export const FOLLOW_UP_AFTER_S = 20;
const FOLLOW_UP_UNTIL_S = 180;

/** The last sign that asked for something, when it is time to ask whether that helped. */
export const signToFollow = (state: RunState): RunState['signs'][number] | null => {
  const last = state.signs.findLast(({ sign }) => SIGNS[sign].followUp);
  if (!last || last.helped !== null) return null;
  const agoS = state.elapsedS - last.atS;
  return agoS >= FOLLOW_UP_AFTER_S && agoS <= FOLLOW_UP_UNTIL_S ? last : null;
};
