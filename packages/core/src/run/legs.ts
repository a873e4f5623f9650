import { COOLANTS, type CoolantId } from '../data/coolants';
import { OPERATION_KINDS } from '../data/operations';
import type { PlannedOperation, Step } from '../documents/plan';
import type { RunPlan } from '../documents/runEvent';
import { BIT_SWAP_S, liftS } from '../physics/cutting/pauses';
import { legsBefore } from './legsBefore';

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

export type StopKind =
  'lift' | 'water-change' | 'core-break' | 'water-off' | 'step-change' | 'flip';

/** Something to do at a depth on the way. */
export interface Stop {
  readonly kind: StopKind;
  readonly depthMm: number;
  readonly haltS: number;
  /** As the plan says it; empty for a lift, which is said as it comes. */
  readonly title: string;
  readonly detail: string;
}

/** The bit of a leg, as it is drawn and worn. */
export interface LegBit {
  /** null where the planner took a new one. */
  readonly bitId: string | null;
  readonly bitName: string;
  readonly diameterMm: number;
  readonly rimWidthMm: number;
  readonly solid: boolean;
  readonly usableDepthMm: number;
  readonly lifeDepthMm: number;
}

/** One bit going down from one face, between two depths. */
export interface Leg extends LegBit {
  /** The operation it is; null in runs planned before there were any. */
  readonly operationId: string | null;
  readonly side: 1 | 2;
  readonly fromMm: number;
  readonly depthMm: number;
  readonly strokes: readonly Stroke[];
  /** By depth; what hands do after it stands at its foot. */
  readonly stops: readonly Stop[];
  /** How it ends: another leg follows, it is through, or it is as deep as it goes. */
  readonly then: 'next' | 'through' | 'at-depth';
  /** At its foot there is nothing more to go through: a face, a cavity, or the cut from the other side. */
  readonly givesWay: boolean;
}

/** The first of two halves that meet inside. */
export const isHalf = ({ givesWay, stops }: Leg): boolean =>
  !givesWay && stops.some(({ kind }) => kind === 'flip');

/** Everything on the way down, cut by cut. */
export const legsOf = (plan: RunPlan): readonly Leg[] =>
  plan.operations ? legsOfOperations(plan.operations) : legsBefore(plan);

function legsOfOperations(operations: readonly PlannedOperation[]): readonly Leg[] {
  const cuts = operations.filter(({ does }) => OPERATION_KINDS[does].cuts);
  return cuts.map((cut, index): Leg => {
    const next = cuts[index + 1];
    const from = operations.indexOf(cut) + 1;
    const between = next ? operations.slice(from, operations.indexOf(next)) : [];
    return {
      operationId: cut.id,
      bitId: cut.bitId,
      bitName: cut.bitName ?? '',
      diameterMm: cut.bitDiameterMm ?? 0,
      rimWidthMm: cut.rimWidthMm ?? 0,
      solid: cut.solid ?? false,
      usableDepthMm: cut.usableDepthMm ?? 0,
      lifeDepthMm: cut.lifeDepthMm ?? 0,
      side: cut.face === 'near' ? 1 : 2,
      fromMm: cut.fromMm,
      depthMm: cut.toMm,
      strokes: withDwell(cut.stages, cut.seatCentreS),
      stops: [
        ...stopsOn(cut),
        ...between.flatMap((one) => handStops(one, cut.toMm)),
        ...swap(cut, next),
      ],
      then: next ? 'next' : cut.ends === 'inside' ? 'at-depth' : 'through',
      givesWay: cut.ends !== 'inside',
    };
  });
}

/** A solid bit's centre has no speed: it dwells before it goes in. */
export function withDwell(strokes: readonly Stroke[], dwellS: number): readonly Stroke[] {
  const [first, ...rest] = strokes;
  return first && first.timeS !== null
    ? [{ ...first, timeS: first.timeS + dwellS }, ...rest]
    : strokes;
}

/** Lifts, changes of water and its shutting off, on the way down. */
function stopsOn(cut: PlannedOperation): readonly Stop[] {
  const { changeS } = COOLANTS[cut.waterKind as CoolantId];
  const said = (depthMm: number): Pick<Stop, 'title' | 'detail'> => {
    const step = cut.steps.find(
      ({ kind, fromDepthMm, depthsMm }) =>
        kind === 'water-change' && (fromDepthMm === depthMm || depthsMm?.includes(depthMm)),
    );
    return { title: step?.title ?? '', detail: step?.detail ?? '' };
  };
  const lifts = cut.liftsAtMm.map((depthMm): Stop => ({
    kind: 'lift',
    depthMm,
    haltS: liftS(cut.hold ?? 'guided'),
    title: '',
    detail: '',
  }));
  const changes = cut.waterChangesAtMm.map((depthMm): Stop => ({
    kind: 'water-change',
    depthMm,
    haltS: changeS,
    ...said(depthMm),
  }));
  const off = cut.waterOffAtMm;
  const shut: Stop[] =
    off === null ? [] : [{ kind: 'water-off', depthMm: off, haltS: 0, ...said(off) }];
  return [...lifts, ...changes, ...shut].sort((a, b) => a.depthMm - b.depthMm);
}

/** What hands do at the foot of a cut before the next one. */
function handStops({ does, haltS, steps }: PlannedOperation, depthMm: number): readonly Stop[] {
  const kind = OPERATION_KINDS[does];
  if (!kind.between) return [];
  const { title, detail }: Pick<Step, 'title' | 'detail'> = steps[0] ?? { title: '', detail: '' };
  return [{ kind: kind.turns ? 'flip' : 'core-break', depthMm, haltS, title, detail }];
}

function swap(cut: PlannedOperation, next: PlannedOperation | undefined): readonly Stop[] {
  if (
    !next ||
    (next.bitId === cut.bitId &&
      next.bitName === cut.bitName &&
      next.bitDiameterMm === cut.bitDiameterMm)
  )
    return [];
  const step = next.steps.find(({ kind }) => kind === 'step-change');
  return [
    {
      kind: 'step-change',
      depthMm: cut.toMm,
      haltS: BIT_SWAP_S,
      title: step?.title ?? '',
      detail: step?.detail ?? '',
    },
  ];
}
