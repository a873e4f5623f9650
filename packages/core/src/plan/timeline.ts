import { easesOff } from '../physics/cutting/stages';
import { formatLengthShort } from '../words/units/length';
import { formatForce, formatMass } from '../words/units/formatQuantity';
import type { Moment, PlannedStage } from '../documents/plan';
import { coreMass } from './coreMass';
import type { PlanContext } from './planContext';
import { coreBreakS, turnOverS } from '../physics/cutting/pauses';
import { renewal } from '../words/plan/waterWords';

type Draft = Omit<Moment, 'atS'>;

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
export function timelineOf(context: PlanContext): Moment[] {
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
          title: 'Turn it over',
          detail: 'Finish from the other face.',
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
  const { layers, passes, water, stages, units, opensFarFace, setup } = context;
  const mine = stages.filter((stage) => stage.side === side);
  const exit = mine.find((stage) => stage.kind === 'exit');
  const last = mine.at(-1);
  const mainN = mine.findLast((stage) => stage.kind === 'main')?.forceN ?? Infinity;
  const eased = exit !== undefined && easesOff(exit.forceN, mainN);
  const L = (mm: number): string => formatLengthShort(mm, units);
  const at = (depthMm: number, moment: Omit<Draft, 'side' | 'depthMm'>): Draft => ({
    side,
    depthMm,
    ...moment,
  });
  const moments: Draft[] = [
    at(0, { kind: 'seat', haltS: 0, title: 'Seat', detail: 'Gently, until the ring is full.' }),
  ];
  if (side === 1) {
    layers.slice(1).forEach(({ layer, slowest }) => {
      moments.push(
        slowest
          ? at(layer.fromMm, {
              kind: 'leaf',
              haltS: 0,
              title: slowest.material.name,
              detail: `Press with ${formatForce(slowest.force.feedForceN, units)}.`,
            })
          : at(layer.fromMm, {
              kind: 'cavity',
              haltS: 0,
              title: 'Cavity',
              detail: 'Least force: the drill must not fall in.',
            }),
      );
    });
    for (const depth of water.changeAtDepthMm)
      moments.push(
        at(depth, {
          kind: 'water-change',
          haltS: setup.coolant.changeS,
          title: renewal(setup.coolant.id),
          detail: 'Motor off first.',
        }),
      );
    if (water.offAtMm !== null)
      moments.push(
        at(water.offAtMm, {
          kind: 'water-off',
          haltS: 0,
          title: 'Water off',
          detail: 'Before the far face: the room behind stays dry.',
        }),
      );
  }
  for (const one of passes.breaks) {
    const mass = formatMass(coreMass(context, one), units);
    moments.push(
      at(
        one.atMm,
        one.why === 'cavity'
          ? {
              kind: 'core-drop',
              haltS: coreBreakS(one, setup.finishing.geometry.diameterMm),
              title: 'Core drops free',
              detail: `About ${mass}, ${L(one.lengthMm)} long.`,
            }
          : {
              kind: 'core-break',
              haltS: coreBreakS(one, setup.finishing.geometry.diameterMm),
              title: 'Break out the core',
              detail: `About ${mass}, ${L(one.lengthMm)} long.`,
            },
      ),
    );
  }
  if (passes.extendAtMm !== null)
    moments.push(
      at(passes.extendAtMm, {
        kind: 'extension',
        haltS: 0,
        title: 'Extension on',
        detail: `The barrel ends ${L(passes.extensionMm)} short of the depth.`,
      }),
    );
  if (exit)
    moments.push(
      at(exit.fromMm, {
        kind: 'ease-off',
        haltS: 0,
        title: eased ? 'Ease off' : 'Nearly through',
        detail: eased
          ? `Down to ${formatForce(exit.forceN, units)}.`
          : `Keep to ${formatForce(exit.forceN, units)}, no more.`,
      }),
    );
  if (last && (side === 2 || !(opensFarFace && setup.sides === 'two')))
    moments.push(
      at(last.toMm, {
        kind: 'end',
        haltS: 0,
        title: opensFarFace ? 'Through' : 'At depth',
        detail: lastCore(context),
      }),
    );
  return moments;
}

function lastCore(context: PlanContext): string {
  const { passes, depthPerSideMm, units } = context;
  if (passes.lastCoreMm <= 0) return '';
  const kg = coreMass(context, {
    atMm: depthPerSideMm,
    lengthMm: passes.lastCoreMm,
    why: 'barrel-full',
  });
  return kg > 0 ? `The last core weighs about ${formatMass(kg, units)}.` : '';
}

/** Puts the clock to each moment: the stages' own times, lifts where they fall, halts as they come. */
function timed(
  context: PlanContext,
  moments: readonly Draft[],
  side: 1 | 2,
  startS: number | null,
): Moment[] {
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
