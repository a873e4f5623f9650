import type { Moment } from '../documents/plan';
import type { RunPlan } from '../documents/runEvent';

/** A stretch of depth at one force and speed. */
export interface Stroke {
  readonly kind: 'seat' | 'main' | 'exit';
  readonly fromMm: number;
  readonly toMm: number;
  readonly forceN: number;
  readonly rpm: number;
  /** As planned; null where it does not cut. */
  readonly timeS: number | null;
}

export type StopKind = 'lift' | 'water-change' | 'core-break' | 'water-off';

/** Something to do at a depth on the way. */
export interface Stop {
  readonly kind: StopKind;
  readonly depthMm: number;
  readonly haltS: number;
  /** As the plan says it; empty for a lift, which is said as it comes. */
  readonly title: string;
  readonly detail: string;
}

/** One bit going down from one face. */
export interface Leg {
  readonly bitName: string;
  readonly side: 1 | 2;
  readonly depthMm: number;
  readonly strokes: readonly Stroke[];
  /** By depth. */
  readonly stops: readonly Stop[];
  /** What comes after it. */
  readonly then: 'step-change' | 'flip' | 'through' | 'at-depth';
}

/** Everything on the way down, bit by bit and face by face. */
export function legsOf(plan: RunPlan): readonly Leg[] {
  const twoSided = plan.stages.some(({ side }) => side === 2);
  const opens = plan.exitForceN !== null;
  const pilots = plan.pilots.map(({ bitName, rpm, forceN, timeS }, index): Leg => ({
    bitName,
    side: 1,
    depthMm: plan.depthMm,
    strokes: [
      {
        kind: 'main',
        fromMm: 0,
        toMm: plan.depthMm,
        forceN,
        rpm,
        timeS: timeS === null ? null : timeS + (index === 0 ? plan.clock.seatCentreS : 0),
      },
    ],
    stops: [],
    then: 'step-change',
  }));
  const near = sideLeg(plan, 1, twoSided ? 'flip' : opens ? 'through' : 'at-depth');
  return [
    ...pilots,
    pilots.length > 0 ? near : withDwell(near, plan.clock.seatCentreS),
    ...(twoSided ? [sideLeg(plan, 2, 'through')] : []),
  ];
}

function sideLeg(plan: RunPlan, side: 1 | 2, then: Leg['then']): Leg {
  const strokes = plan.stages.filter((stage) => stage.side === side);
  return {
    bitName: plan.setup.bitName,
    side,
    depthMm: strokes.at(-1)?.toMm ?? plan.depthPerSideMm,
    strokes,
    stops: stopsOf(plan, side),
    then,
  };
}

/** A solid bit's centre has no speed: it dwells before it goes in. */
function withDwell(leg: Leg, dwellS: number): Leg {
  const [first, ...rest] = leg.strokes;
  return first
    ? {
        ...leg,
        strokes: [{ ...first, timeS: first.timeS === null ? null : first.timeS + dwellS }, ...rest],
      }
    : leg;
}

/** Which moments of the plan are done by hand on the way; the rest is the run's own. */
const AS_STOP: Partial<Record<Moment['kind'], StopKind>> = {
  'water-change': 'water-change',
  'water-off': 'water-off',
  'core-break': 'core-break',
  'core-drop': 'core-break',
};

function stopsOf(plan: RunPlan, side: 1 | 2): readonly Stop[] {
  const lifts = plan.lifts.map((depthMm): Stop => ({
    kind: 'lift',
    depthMm,
    haltS: plan.clock.liftS,
    title: '',
    detail: '',
  }));
  const moments = plan.timeline.flatMap((moment): Stop[] => {
    const kind = AS_STOP[moment.kind];
    return kind && moment.side === side
      ? [
          {
            kind,
            depthMm: moment.depthMm,
            haltS: moment.haltS,
            title: moment.title,
            detail: moment.detail,
          },
        ]
      : [];
  });
  return [...lifts, ...moments].sort((a, b) => a.depthMm - b.depthMm);
}
