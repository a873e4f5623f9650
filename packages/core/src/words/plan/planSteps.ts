import { FEED_AIDS } from '../../data/machines/feedAids';
import { easesOff } from '../../physics/cutting/stages';
import { capitalised, timesWords } from '../sentence';
import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import { COOLANTS } from '../../data/coolants';
import type { Hold, Start } from '../../data/choices';
import {
  formatDuration,
  formatFlow,
  formatForce,
  formatMass,
  formatRpm,
  formatVolume,
} from '../units/formatQuantity';
import { formatLength, formatLengthShort } from '../units/length';
import { coreMass } from '../../setup/coreMass';
import { depthsText } from './depthsText';
import { fullRingDepth, radiusAt } from '../../layout/curve';
import type { FollowUp } from '../../documents/fit';
import type { PlannedStage, Step } from '../../documents/plan';
import type { PlanInUnits } from './planInUnits';
import { renewal } from './waterWords';

const START_DETAIL: Record<Start, string> = {
  tilt: 'Tilt the bit, cut a crescent, then stand it upright as the groove deepens.',
  guide: 'Bit in the guide, straight down, motor on before it touches.',
  tape: 'Cross of tape on the mark, light touch, no leaning until a ring shows.',
  seat: 'Bring the rim down on the mark and let it dwell until a full ring shows.',
  pilot: 'Follow the pilot hole; let the rim find its own ring.',
};

const HOLD_DETAIL: Record<Hold, string> = {
  freehand: 'Free hand',
  guided: 'By hand in a guide',
  press: 'In the press',
  rig: 'On the stand',
};

/** The hole from mark to clean-up, with the person's own choices in it. */
export function planSteps(context: PlanInUnits): Step[] {
  const twoSided = context.opensFarFace && context.setup.sides === 'two';
  return [
    ...prepare(context),
    ...drillSide(context, 1),
    ...(twoSided ? [flip(context), ...drillSide(context, 2)] : []),
    ...finish(context),
  ];
}

function prepare(context: PlanInUnits): Step[] {
  const { setup, piece, hole, units } = context;
  const { bit, geometry } = setup.finishing;
  return [
    ...partSteps(context, 'before'),
    { kind: 'prepare', title: 'Mark the hole', detail: markDetail(context) },
    {
      kind: 'prepare',
      title: 'Look at the bit',
      detail: `${bit.name}, ${formatLength(geometry.diameterMm, units)}: spin it, the rim must run true; ${BIT_FAMILIES[bit.family].abrasive === 'carbide' ? 'its edges must be sharp' : 'diamonds must stand proud'}. Set ${formatRpm(context.headline.speed.rpm)} on ${setup.machine.name.toLowerCase()}.`,
    },
    {
      kind: 'prepare',
      title: `Bed ${piece.name.toLowerCase()}`,
      detail:
        setup.support.id === 'nothing'
          ? `${HOLD_DETAIL[setup.hold]}. ${setup.support.note}`
          : `${setup.support.name}, ${formatLength(setup.support.atThicknessMm, units)}. ${setup.support.note} ${HOLD_DETAIL[setup.hold]}.`,
    },
    ...(setup.feedAid === 'none'
      ? []
      : [
          {
            kind: 'prepare' as const,
            title: FEED_AIDS[setup.feedAid].name,
            detail: FEED_AIDS[setup.feedAid].how,
          },
        ]),
    { kind: 'prepare', title: 'Water', detail: waterDetail(context) },
    ...(hole.fall && !context.fit?.fall
      ? [
          {
            kind: 'prepare' as const,
            title: 'Set the fall',
            detail: `One in ${hole.fall.oneIn}, the ${hole.fall.lowSide} face lower.`,
          },
        ]
      : []),
  ];
}

/** What the part itself asks for, before the drilling and after it. */
const partSteps = ({ fit }: PlanInUnits, when: FollowUp['when']): Step[] =>
  (fit?.followUps ?? [])
    .filter((one) => one.when === when)
    .map(({ title, detail }) => ({ kind: when === 'before' ? 'prepare' : 'done', title, detail }));

function markDetail({ hole, units, setup }: PlanInUnits): string {
  const at = `${formatLength(hole.xMm, units)} from the left, ${formatLength(hole.yMm, units)} from the bottom`;
  return setup.finishing.geometry.solid
    ? `A dot ${at}.`
    : `${capitalised(at)}. Draw the circle of ${formatLength(setup.finishing.geometry.diameterMm, units)} or four ticks on it: the middle goes with the core.`;
}

function waterDetail({ setup, water, units }: PlanInUnits): string {
  const { note } = COOLANTS[setup.coolant.id];
  if (water.fillL !== null)
    return `${setup.coolant.name}: pour ${formatVolume(water.fillL, units)}, ${formatLength(setup.coolant.atCoverMm, units)} over the face.`;
  if (water.flowLPerMin !== null)
    return `${setup.coolant.name}: ${formatFlow(water.flowLPerMin, units)}, a cup in ${formatDuration(water.secondsPerCup ?? 0)}. ${note}`;
  return `${setup.coolant.name}. ${note}`;
}

function drillSide(context: PlanInUnits, side: 1 | 2): Step[] {
  const { setup, stages, units, lifts, water } = context;
  const mine = stages.filter((stage) => stage.side === side);
  const seat = mine.find((stage) => stage.kind === 'seat');
  const mains = mine.filter((stage) => stage.kind === 'main');
  const exit = mine.find((stage) => stage.kind === 'exit');
  const steps: Step[] = [];
  if (seat) {
    if (side === 1) steps.push(...bedIn(context, seat));
    steps.push({
      kind: 'seat',
      title: `Seat with ${formatForce(seat.forceN, units)}`,
      detail: `${START_DETAIL[setup.start]} ${formatRpm(seat.rpm)} for the first ${formatLengthShort(seat.toMm, units)}.${curveDetail(context)}`,
      fromDepthMm: 0,
      toDepthMm: seat.toMm,
    });
  }
  mains.forEach((stage, index) => {
    const layer = context.layers.find(
      (cut) => cut.layer.fromMm <= stage.fromMm + 1e-9 && cut.layer.toMm > stage.fromMm,
    );
    const name =
      mains.length > 1 && layer?.slowest
        ? ` through ${layer.slowest.material.name.toLowerCase()}`
        : '';
    const pour = side === 1 && index === 0 ? swapDetail(context) : '';
    steps.push({
      kind: 'cut',
      title: `Press with ${formatForce(stage.forceN, units)}${name}`,
      detail: `${formatRpm(stage.rpm)}, about ${formatDuration(stage.timeS ?? 0)} to ${formatLengthShort(stage.toMm, units)}.${pour}${index === 0 ? restDetail(context) : ''}`,
      fromDepthMm: stage.fromMm,
      toDepthMm: stage.toMm,
    });
  });
  if (lifts.length > 0) steps.push(liftStep(context));
  if (side === 1)
    steps.push(
      ...waterChanges(water.changeAtDepthMm, context),
      ...coreBreaks(context),
      ...waterOff(context),
    );
  if (exit) steps.push(easeOff(context, exit, mains.at(-1)?.forceN ?? exit.forceN));
  return steps;
}

/** Shorter rests are a breath, s. */
const MIN_REST_S = 20;

/** Arms that press near their most have to let go between times. */
const restDetail = ({ time }: PlanInUnits): string =>
  time.restsS >= MIN_REST_S
    ? ` Rest the arms ${formatDuration(time.restsS)} in all: let go at every lift.`
    : '';

/** A new plated rim is sharp beyond what it keeps: the first millimetre wears it in. */
const bedIn = ({ setup, units, depthPerSideMm }: PlanInUnits, seat: PlannedStage): Step[] =>
  setup.finishing.bit.holesCut === 0 &&
  BIT_FAMILIES[setup.finishing.bit.family].abrasive === 'plated'
    ? [
        {
          kind: 'seat',
          title: 'Bed the new bit in',
          detail: `Its first hole: no more than ${formatForce(seat.forceN, units)} for the first ${formatLengthShort(Math.min(1, depthPerSideMm), units)}, then as planned.`,
          fromDepthMm: 0,
          toDepthMm: Math.min(1, depthPerSideMm),
        },
      ]
    : [];

/** On a round wall the rim bites in a crescent first. */
function curveDetail({ piece, hole, setup, units }: PlanInUnits): string {
  const R = hole.face === 'base' ? null : radiusAt(piece.outline, hole.yMm);
  if (R === null) return '';
  const s = fullRingDepth(R, setup.finishing.geometry.diameterMm);
  return ` On this curve it bites at two sides first: the ring is full from ${formatLengthShort(s, units)}.`;
}

function easeOff({ setup, units }: PlanInUnits, exit: PlannedStage, mainN: number): Step {
  const meets = setup.sides === 'two';
  const watch = meets
    ? 'The two cuts meet in the middle.'
    : 'Listen for a hollow tone; hold the plug.';
  const eased = easesOff(exit.forceN, mainN);
  const force = formatForce(exit.forceN, units);
  return {
    kind: 'ease-off',
    title: eased ? `Ease off to ${force}` : `Keep to ${force}, no more`,
    detail: `From ${formatLengthShort(exit.fromMm, units)}: ${eased ? 'less force, same speed' : 'nearly through, and this is gentle enough'}. ${watch}`,
    fromDepthMm: exit.fromMm,
    toDepthMm: exit.toMm,
  };
}

const swapDetail = ({ setup }: PlanInUnits): string =>
  setup.bits.length > 1 ? ` Steps: ${setup.bits.map((one) => one.bit.name).join(', then ')}.` : '';

function liftStep({ lifts, units }: PlanInUnits): Step {
  const first = lifts[0] ?? 0;
  const gap = lifts.length > 1 ? (lifts[1] ?? first) - first : 0;
  const rhythm = gap > 0 ? `, then about every ${formatLengthShort(gap, units)}` : '';
  return {
    kind: 'lift',
    title: lifts.length === 1 ? 'Lift once to flush' : `Lift ${lifts.length} times to flush`,
    detail: `First at ${formatLengthShort(first, units)}${rhythm}. Just enough to let water in: never clear of the groove.`,
    fromDepthMm: first,
    toDepthMm: lifts.at(-1) ?? first,
    depthsMm: lifts,
  };
}

const waterChanges = (depths: readonly number[], { setup, units }: PlanInUnits): Step[] =>
  depths.length === 0
    ? []
    : [
        {
          kind: 'water-change',
          title: `${renewal(setup.coolant.id)} ${timesWords(depths.length)}`,
          detail: `It is too thick with fines ${depthsText(depths, units)}. Stop the motor first.`,
          depthsMm: depths,
        },
      ];

const waterOff = ({ water, units, piece }: PlanInUnits): Step[] =>
  water.offAtMm === null
    ? []
    : [
        {
          kind: 'water-change',
          title: `Shut the water at ${formatLengthShort(water.offAtMm, units)}`,
          detail: `${formatLengthShort(piece.thicknessMm - water.offAtMm, units)} before the far face, so that none runs into the room behind. The groove stays wet for a while: press lightly, keep turning.`,
          fromDepthMm: water.offAtMm,
          toDepthMm: water.offAtMm,
        },
      ];

const coreBreaks = (context: PlanInUnits): Step[] =>
  context.passes.breaks.map((one) => {
    const at = formatLengthShort(one.atMm, context.units);
    const mass = formatMass(coreMass(context, one), context.units);
    return one.why === 'cavity'
      ? {
          kind: 'core-break',
          title: `The core drops free at ${at}`,
          detail: `About ${mass}: push it out of the barrel before the next leaf. Go on inside the first hole, on the guide rod if there is one, with the least force until the ring is full.`,
          fromDepthMm: one.atMm,
          toDepthMm: one.atMm,
        }
      : {
          kind: 'core-break',
          title: `Break out the core at ${at}`,
          detail: `About ${mass}. Snap it and draw it out without prying on the good edge; rim back in the groove before the motor starts.${one.atMm === context.passes.extendAtMm ? ' Now the extension goes on.' : ''}`,
          fromDepthMm: one.atMm,
          toDepthMm: one.atMm,
        };
  });

const flip = ({ depthPerSideMm, units }: PlanInUnits): Step => ({
  kind: 'flip',
  title: 'Turn the piece over',
  detail: `At ${formatLength(depthPerSideMm, units)}. Carry the centre to the other face and finish from there.`,
});

function finish(context: PlanInUnits): Step[] {
  const { opensFarFace, setup, hole, units } = context;
  const stopFirst =
    setup.hold === 'rig'
      ? 'Keep it turning until nearly out, then stop.'
      : 'Stop the motor with the rim still in the hole, then lift.';
  const core: Step[] = setup.finishing.geometry.solid
    ? []
    : hole.depth.kind === 'ring'
      ? []
      : [
          {
            kind: 'free-core',
            title: 'Free the core',
            detail: 'Look inside the barrel: push it out before the next hole.',
          },
        ];
  return [
    ...(opensFarFace
      ? [
          {
            kind: 'through' as const,
            title: 'Through',
            detail: 'Sudden give: stop pressing, let it turn.',
          },
        ]
      : []),
    { kind: 'withdraw', title: 'Withdraw', detail: stopFirst },
    ...core,
    {
      kind: 'clean',
      title: 'Rinse and look',
      detail: `Rinse the fines before they dry. Check ${formatLength(hole.diameterMm, units)}, chips on both faces, hidden cracks; ease the sharp edge, wet.`,
    },
    ...partSteps(context, 'after'),
    { kind: 'done', title: 'Done', detail: 'Note how it went: the wear of the bit is counted on.' },
  ];
}
