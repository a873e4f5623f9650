import { easesOff } from '../physics/cutting/stages';
import type { Moment, PlannedStage } from '../documents/plan';
import { coreMass } from '../setup/coreMass';
import type { PlanContext } from './planContext';
import { coreBreakS, turnOverS } from '../physics/cutting/pauses';

/** One thing that happens in the hole, with what there is to say of it. */
export interface TimedMoment extends Pick<Moment, 'kind' | 'side' | 'depthMm' | 'atS' | 'haltS'> {
  /** What a leaf is of. */
  readonly material?: string;
  /** What is pressed from here on, N. */
  readonly forceN?: number;
  /** Less than before. */
  readonly eased?: boolean;
  /** The core that comes out here. */
  readonly core?: { readonly massKg: number; readonly lengthMm: number };
  /** What the barrel lacks of the depth, mm. */
  readonly shortMm?: number;
}

type Draft = Omit<TimedMoment, 'atS'>;

/** Order of what happens at one depth: the core comes out before the extension goes on. */
const ORDER: Readonly<Record<Moment['kind'], number>> = {
  seat: 0,
  'water-change': 1,
  'core-break': 2,
  'core-drop': 2,
  extension: 3,
  cavity: 4,
  leaf: 5,
  'water-off': 6,
  'ease-off': 7,
  flip: 8,
  end: 9,
};

/**
 * Depth against time: when each leaf, break, change and easing comes. Lifts are spread over the cut
 * as they fall; halts stand at their own depth.
 */
export function timelineOf(context: PlanContext): TimedMoment[] {
  const { setup, depthPerSideMm, opensFarFace } = context;
  const twoSided = opensFarFace && setup.sides === 'two';
  const near = sideMoments(context, 1);
  const far = twoSided ? sideMoments(context, 2) : [];
  const flip: Draft[] = twoSided
    ? [
        {
          kind: 'flip',
          side: 1,
          depthMm: depthPerSideMm,
          haltS: turnOverS(context.piece.form),
        },
      ]
    : [];
  const byDepth = (a: Draft, b: Draft): number =>
    a.depthMm - b.depthMm || ORDER[a.kind] - ORDER[b.kind];
  const first = timed(context, [...near, ...flip].sort(byDepth), 1, 0);
  const turned = first.at(-1);
  const halfS = turned && turned.atS !== null ? turned.atS + turned.haltS : null;
  return [...first, ...(twoSided ? timed(context, far.sort(byDepth), 2, halfS) : [])];
}

function sideMoments(context: PlanContext, side: 1 | 2): Draft[] {
  const { layers, passes, water, stages, opensFarFace, setup } = context;
  const mine = stages.filter((stage) => stage.side === side);
  const exit = mine.find((stage) => stage.kind === 'exit');
  const last = mine.at(-1);
  const mainN = mine.findLast((stage) => stage.kind === 'main')?.forceN ?? Infinity;
  const eased = exit !== undefined && easesOff(exit.forceN, mainN);
  const at = (depthMm: number, moment: Omit<Draft, 'side' | 'depthMm'>): Draft => ({
    side,
    depthMm,
    ...moment,
  });
  const moments: Draft[] = [at(0, { kind: 'seat', haltS: 0 })];
  if (side === 1) {
    layers.slice(1).forEach(({ layer, slowest }) => {
      moments.push(
        slowest
          ? at(layer.fromMm, {
              kind: 'leaf',
              haltS: 0,
              material: slowest.material.name,
              forceN: slowest.force.feedForceN,
            })
          : at(layer.fromMm, { kind: 'cavity', haltS: 0 }),
      );
    });
    for (const depth of water.changeAtDepthMm)
      moments.push(at(depth, { kind: 'water-change', haltS: setup.coolant.changeS }));
    if (water.offAtMm !== null) moments.push(at(water.offAtMm, { kind: 'water-off', haltS: 0 }));
  }
  for (const one of passes.breaks)
    moments.push(
      at(one.atMm, {
        kind: one.why === 'cavity' ? 'core-drop' : 'core-break',
        haltS: coreBreakS(one, setup.finishing.geometry.diameterMm),
        core: { massKg: coreMass(context, one), lengthMm: one.lengthMm },
      }),
    );
  if (passes.extendAtMm !== null)
    moments.push(
      at(passes.extendAtMm, { kind: 'extension', haltS: 0, shortMm: passes.extensionMm }),
    );
  if (exit)
    moments.push(at(exit.fromMm, { kind: 'ease-off', haltS: 0, eased, forceN: exit.forceN }));
  if (last && (side === 2 || !(opensFarFace && setup.sides === 'two')))
    moments.push(at(last.toMm, { kind: 'end', haltS: 0, ...lastCore(context) }));
  return moments;
}

/** The core that is left at the end, where it weighs anything. */
function lastCore(context: PlanContext): Pick<Draft, 'core'> {
  const { passes, depthPerSideMm } = context;
  if (passes.lastCoreMm <= 0) return {};
  const massKg = coreMass(context, {
    atMm: depthPerSideMm,
    lengthMm: passes.lastCoreMm,
    why: 'barrel-full',
  });
  return massKg > 0 ? { core: { massKg, lengthMm: passes.lastCoreMm } } : {};
}

/** Puts the clock to each moment: the stages' own times, lifts where they fall, halts as they come. */
function timed(
  context: PlanContext,
  moments: readonly Draft[],
  side: 1 | 2,
  startS: number | null,
): TimedMoment[] {
  const { stages, lifts, time } = context;
  const mine = stages.filter((stage) => stage.side === side);
  const liftS = lifts.length > 0 ? time.pauses.lifts / (lifts.length * sidesOf(context)) : 0;
  const stagesS = stages.reduce((sum, { timeS }) => sum + (timeS ?? 0), 0);
  // Smaller bits go down the whole way first.
  const rested = 1 + time.restShare;
  const before =
    time.pauses.start +
    time.pauses.seatCentre +
    time.pauses.bitSwaps +
    Math.max(0, time.cuttingS - stagesS) * rested;
  let haltedS = 0;
  return moments.map((moment) => {
    const cutS = cuttingTo(mine, moment.depthMm);
    const liftsS = lifts.filter((depth) => depth < moment.depthMm - 1e-9).length * liftS;
    const atS =
      startS === null || cutS === null
        ? null
        : startS +
          (side === 1 && moment.depthMm > 0 ? before : 0) +
          cutS * rested +
          liftsS +
          haltedS;
    haltedS += moment.haltS;
    return { ...moment, atS };
  });
}

const sidesOf = ({ opensFarFace, setup }: PlanContext): number =>
  opensFarFace && setup.sides === 'two' ? 2 : 1;

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
