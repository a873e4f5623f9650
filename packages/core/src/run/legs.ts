import { COOLANTS, type CoolantId } from '../data/coolants';
import { OPERATION_KINDS } from '../data/operations';
import type { PlannedOperation, Step } from '../documents/plan';
import type { RunPlan } from '../documents/runEvent';
import { BIT_SWAP_S, liftS } from '../physics/cutting/pauses';
import { withDwell, type Leg, type Stop } from './leg';
import { legsBefore } from './legsBefore';

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
      boreDepthMm: cut.boreDepthMm ?? cut.usableDepthMm ?? 0,
      lifeDepthMm: cut.lifeDepthMm ?? 0,
      dry: cut.waterKind === 'none',
      helper: cut.helper,
      side: cut.face === 'near' ? 1 : 2,
      fromMm: cut.fromMm,
      depthMm: cut.toMm,
      bar: cut.bar ?? null,
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

/** Lifts, changes of water and its shutting off, on the way down. */
function stopsOn(cut: PlannedOperation): readonly Stop[] {
  const { changeS } = COOLANTS[cut.waterKind as CoolantId];
  const said = (depthMm: number): Pick<Stop, 'title' | 'detail'> => {
    const step = cut.steps.find(
      ({ kind, fromDepthMm }) =>
        kind === 'water-change' && (fromDepthMm === undefined || fromDepthMm === depthMm),
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
  const own = steps.find((step) => step.kind === 'flip' || step.kind === 'core-break');
  const { title, detail }: Pick<Step, 'title' | 'detail'> = own ?? { title: '', detail: '' };
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
