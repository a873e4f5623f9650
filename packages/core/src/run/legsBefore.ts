import type { Moment } from '../documents/plan';
import type { RunPlan } from '../documents/runEvent';
import { withDwell, type Leg, type LegBit, type Stop, type StopKind } from './leg';

/** The legs of a run planned by model 1.8 or before: smaller bits, then one bit from one face or both. */
export function legsBefore(plan: RunPlan): readonly Leg[] {
  const twoSided = plan.stages.some(({ side }) => side === 2);
  const dry = plan.water.method === 'none';
  const opens = plan.exitForceN !== null;
  const turnS = plan.timeline.find(({ kind }) => kind === 'flip')?.haltS ?? 0;
  const { bitName, bitDiameterMm, rimWidthMm, solid, usableDepthMm, bitId } = plan.setup;
  const own: LegBit = {
    bitId,
    bitName,
    diameterMm: bitDiameterMm,
    rimWidthMm,
    solid,
    boreDepthMm: usableDepthMm,
    lifeDepthMm: plan.bitLife.lifeDepthMm,
  };
  const side = (side: 1 | 2, stops: readonly Stop[], then: Leg['then']): Leg => {
    const strokes = plan.stages.filter((stage) => stage.side === side);
    const depthMm = strokes.at(-1)?.toMm ?? plan.depthPerSideMm;
    return {
      ...own,
      operationId: null,
      bar: null,
      dry,
      helper: null,
      side,
      fromMm: 0,
      depthMm,
      strokes,
      stops: [...stopsOf(plan, side), ...stops.map((stop) => ({ ...stop, depthMm }))],
      then,
      givesWay: then === 'through',
    };
  };
  const near = side(
    1,
    twoSided ? [handStop('flip', turnS)] : [],
    twoSided ? 'next' : opens ? 'through' : 'at-depth',
  );
  const smaller = plan.pilots.map(
    ({ forceN, rpm, timeS, bitId: id, lifeDepthMm, ...bit }): Leg => ({
      ...bit,
      bitId: id ?? null,
      lifeDepthMm: lifeDepthMm ?? 0,
      boreDepthMm: plan.depthMm,
      operationId: null,
      bar: null,
      dry,
      helper: null,
      side: 1,
      fromMm: 0,
      depthMm: plan.depthMm,
      strokes: [{ kind: 'main', fromMm: 0, toMm: plan.depthMm, forceN, rpm, timeS }],
      stops: [{ ...handStop('step-change', plan.clock.bitSwapS), depthMm: plan.depthMm }],
      then: 'next',
      givesWay: opens,
    }),
  );
  const [first, ...rest] = [...smaller, near, ...(twoSided ? [side(2, [], 'through')] : [])];
  return first
    ? [{ ...first, strokes: withDwell(first.strokes, plan.clock.seatCentreS) }, ...rest]
    : [];
}

const handStop = (kind: StopKind, haltS: number): Stop => ({
  kind,
  depthMm: 0,
  haltS,
  title: '',
  detail: '',
});

/** Which moments of the plan are done by hand on the way; the rest is the run's own. */
const AS_STOP: Partial<Record<Moment['kind'], StopKind>> = {
  'water-change': 'water-change',
  'water-off': 'water-off',
  'core-break': 'core-break',
  'core-drop': 'core-break',
};

function stopsOf(plan: RunPlan, side: 1 | 2): readonly Stop[] {
  const lifts = plan.lifts.map((depthMm): Stop => ({
    ...handStop('lift', plan.clock.liftS),
    depthMm,
  }));
  const moments = plan.timeline.flatMap((moment): Stop[] => {
    const kind = AS_STOP[moment.kind];
    const { depthMm, haltS, title, detail } = moment;
    return kind && moment.side === side ? [{ kind, depthMm, haltS, title, detail }] : [];
  });
  return [...lifts, ...moments].sort((a, b) => a.depthMm - b.depthMm);
}
