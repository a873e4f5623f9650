import { easesOff } from '../physics/cutting/stages';
import type { Moment, PlannedStage } from '../documents/plan';
import type { PlanContext, WorkedOperation } from './planContext';
import { bitKey, type CutPlan } from './planCut';
import { coreMassOf, type CoreOut } from './planCores';
import { sumOf } from './planTime';

/** One thing that happens in the hole, with what there is to say of it. */
export interface TimedMoment extends Pick<Moment, 'kind' | 'side' | 'depthMm' | 'atS' | 'haltS'> {
  /** What a leaf is of. */
  readonly material?: string;
  /** The bit that goes on. */
  readonly bitName?: string;
  /** What is pressed from here on, N. */
  readonly forceN?: number;
  /** Less than before. */
  readonly eased?: boolean;
  /** It is walked round rather than turned over. */
  readonly round?: boolean;
  /** The core that comes out here. */
  readonly core?: Pick<CoreOut, 'massKg' | 'lengthMm'>;
  /** What the barrel lacks of the depth, mm. */
  readonly shortMm?: number;
}

type Draft = Omit<TimedMoment, 'atS'>;

/** Order of what happens at one depth of a cut. */
const ORDER: Readonly<Partial<Record<Moment['kind'], number>>> = {
  'bit-change': 0,
  seat: 1,
  'water-change': 2,
  extension: 3,
  leaf: 4,
  'water-off': 5,
  'ease-off': 6,
  cavity: 7,
  end: 8,
};

/**
 * Depth against time, operation by operation: when each leaf, break, change and easing comes. Lifts are
 * spread over the cut as they fall; halts stand at their own depth. Smaller bits count by their time alone:
 * they go down the whole way before.
 */
export function timelineOf(context: PlanContext): TimedMoment[] {
  const last = context.operations.findLast(({ cut }) => cut !== null)?.cut;
  let atS: number | null = 0;
  let isFirst = true;
  const moments: TimedMoment[] = [];
  for (const one of context.operations) {
    const { cut } = one;
    if (!cut) {
      const moment = handMoment(one);
      if (moment && last && !isAfter(context, one)) moments.push({ ...moment, atS });
      atS = atS === null ? null : atS + sumOf(one.time.pauses);
      continue;
    }
    const isFinal = one.finishes;
    if (isFinal) moments.push(...timed(cut, cutMoments(context, cut, isFirst, cut === last), atS));
    if (isFinal) isFirst = false;
    const { work, pauses } = cut.time;
    const cutS: number = cut.time.cuttingS * (1 + cut.time.restShare) + sumOf(pauses);
    atS = atS === null || !work ? null : atS + cutS;
  }
  return moments;
}

const isAfter = ({ operations }: PlanContext, one: WorkedOperation): boolean =>
  operations.slice(operations.indexOf(one)).every(({ cut }) => cut === null);

/** What hands do between two cuts. */
function handMoment({ operation, core, time }: WorkedOperation): Draft | null {
  if (operation.kind !== 'hand') return null;
  const at = {
    side: operation.face === 'near' ? (1 as const) : (2 as const),
    depthMm: operation.atMm,
    haltS: sumOf(time.pauses),
  };
  switch (operation.does) {
    case 'break-out':
      return core
        ? {
            ...at,
            kind: core.why === 'cavity' ? 'core-drop' : 'core-break',
            core: { massKg: core.massKg, lengthMm: core.lengthMm },
          }
        : { ...at, kind: 'core-break' };
    case 'turn-over':
    case 'go-round':
      return { ...at, kind: 'flip', round: operation.does === 'go-round' };
    case 'chisel':
      return { ...at, kind: 'chisel' };
    default:
      return null;
  }
}

function cutMoments(
  context: PlanContext,
  cut: CutPlan,
  isFirst: boolean,
  isLast: boolean,
): Draft[] {
  const { operation, water, stages, setup, ends } = cut;
  const side = operation.face === 'near' ? 1 : 2;
  const exit = stages.find((stage) => stage.kind === 'exit');
  const mainN = stages.findLast((stage) => stage.kind === 'main')?.forceN ?? Infinity;
  const at = (
    depthMm: number,
    moment: Omit<Draft, 'side' | 'depthMm' | 'haltS'>,
    haltS = 0,
  ): Draft => ({
    side,
    depthMm,
    haltS,
    ...moment,
  });
  const { extendAtMm, extensionMm } = context.passes;
  const before = cutsBefore(context, cut);
  const extends_ =
    side === 1 &&
    extendAtMm !== null &&
    extendAtMm < operation.toMm - 1e-9 &&
    before.every(({ operation: one }) => extendAtMm >= one.toMm - 1e-9);
  const cavityAbove = before.at(-1)?.ends === 'cavity' ? before.at(-1) : undefined;
  const moments: Draft[] = [
    ...(cut.swapped && !isFirst
      ? [
          at(
            operation.fromMm,
            { kind: 'bit-change', bitName: setup.finishing.bit.name },
            cut.time.pauses.bitSwaps,
          ),
        ]
      : []),
    ...(cut.seated ? [] : [at(operation.fromMm, { kind: 'seat' })]),
    ...leavesMet(context, cut).map(({ depthMm, ...leaf }) => at(depthMm, leaf)),
    ...water.changeAtDepthMm.map((z) => at(z, { kind: 'water-change' }, setup.coolant.changeS)),
    ...(water.offAtMm === null ? [] : [at(water.offAtMm, { kind: 'water-off' })]),
    ...(extends_ ? [at(extendAtMm, { kind: 'extension', shortMm: extensionMm })] : []),
    ...(exit
      ? [
          at(exit.fromMm, {
            kind: 'ease-off',
            eased: easesOff(exit.forceN, mainN),
            forceN: exit.forceN,
          }),
        ]
      : []),
    ...(cavityAbove ? [at(cavityAbove.operation.toMm, { kind: 'cavity' })] : []),
    ...(ends === 'cavity' && isLastOfFace(context, cut)
      ? [at(operation.toMm, { kind: 'cavity' })]
      : []),
    ...(isLast ? [at(operation.toMm, { kind: 'end', ...lastCore(context, cut) })] : []),
  ];
  return moments.sort(
    (a, b) => a.depthMm - b.depthMm || (ORDER[a.kind] ?? 0) - (ORDER[b.kind] ?? 0),
  );
}

type LeafMet = Pick<Draft, 'kind' | 'depthMm' | 'material' | 'forceN'>;

/** The leaves a cut comes into, and the cavities between them. */
const leavesMet = (context: PlanContext, cut: CutPlan): readonly LeafMet[] =>
  cut.layers.flatMap(({ layer: { fromMm: depthMm }, slowest }, index): LeafMet[] => {
    if (!slowest) return index > 0 ? [{ kind: 'cavity', depthMm }] : [];
    // The leaf the hole begins in is what the plan is of.
    const isNew = depthMm > 1e-9 && (index > 0 || isLeafTop(context, cut));
    const { material, force } = slowest;
    return isNew
      ? [{ kind: 'leaf', depthMm, material: material.name, forceN: force.feedForceN }]
      : [];
  });

const cutsOfFace = (
  { operations }: PlanContext,
  { operation: { face } }: CutPlan,
): readonly CutPlan[] =>
  operations.flatMap(({ cut }) => (cut && cut.operation.face === face ? [cut] : []));

const cutsBefore = (context: PlanContext, cut: CutPlan): readonly CutPlan[] => {
  const own = cutsOfFace(context, cut);
  return own.slice(0, own.indexOf(cut));
};

const isLastOfFace = (context: PlanContext, cut: CutPlan): boolean =>
  cutsOfFace(context, cut).at(-1) === cut;

/** Whether a cut begins where a leaf does, rather than inside one. */
const isLeafTop = ({ layers, piece }: PlanContext, { operation }: CutPlan): boolean =>
  layers.some(({ layer }) => {
    const top = operation.face === 'near' ? layer.fromMm : piece.thicknessMm - layer.toMm;
    return Math.abs(top - operation.fromMm) < 1e-6;
  });

/** The core that is left at the end, where it weighs anything. */
function lastCore(context: PlanContext, last: CutPlan): Pick<Draft, 'core'> {
  const { operations } = context;
  const at = operations.findIndex(({ cut }) => cut === last);
  const from = operations.slice(0, at).findLastIndex(({ operation }) => operation.kind === 'hand');
  const standing = operations.slice(from + 1, at + 1).flatMap(({ cut }) => (cut ? [cut] : []));
  const own = bitKey(last.setup);
  // What a smaller bit stood round has come out with that bit.
  const cored = standing.filter(
    ({ setup }) => !setup.finishing.geometry.solid && bitKey(setup) === own,
  );
  const massKg = cored.reduce((sum, cut) => sum + coreMassOf(cut), 0);
  const lengthMm = cored.reduce((sum, cut) => sum + cut.bitDepthMm, 0);
  return massKg > 0 ? { core: { massKg, lengthMm } } : {};
}

/** Puts the clock to each moment: the stages’ own times, lifts where they fall, halts as they come. */
function timed(cut: CutPlan, moments: readonly Draft[], startS: number | null): TimedMoment[] {
  const { stages, lifts, time, operation } = cut;
  const { pauses } = time;
  const liftS = lifts.length > 0 ? (pauses.lifts ?? 0) / lifts.length : 0;
  const rested = 1 + time.restShare;
  let haltedS = 0;
  return moments.map((moment) => {
    const cutS = cuttingTo(stages, moment.depthMm);
    const liftsS = lifts.filter((depth) => depth < moment.depthMm - 1e-9).length * liftS;
    // Swapped to, and its groove won, before it goes any deeper.
    const beforeS =
      moment.depthMm > operation.fromMm + 1e-9
        ? (pauses.start ?? 0) +
          (pauses.seatCentre ?? 0) +
          (cut.swapped ? swapNotShown(cut, moments) : 0)
        : 0;
    const atS =
      startS === null || cutS === null ? null : startS + beforeS + cutS * rested + liftsS + haltedS;
    haltedS += moment.haltS;
    return { ...moment, atS };
  });
}

/** A change of bit that has no moment of its own still takes its time, s. */
const swapNotShown = ({ time }: CutPlan, moments: readonly Draft[]): number =>
  moments.some(({ kind }) => kind === 'bit-change') ? 0 : (time.pauses.bitSwaps ?? 0);

/** Cutting time down to a depth, s; null where some of it does not cut. */
function cuttingTo(stages: readonly PlannedStage[], depthMm: number): number | null {
  let seconds = 0;
  for (const { fromMm, toMm, timeS } of stages) {
    if (fromMm >= depthMm - 1e-9) break;
    if (timeS === null) return null;
    seconds += (timeS * (Math.min(toMm, depthMm) - fromMm)) / (toMm - fromMm);
  }
  return seconds;
}
