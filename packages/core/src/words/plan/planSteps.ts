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
import { depthsText } from './depthsText';
import { fullRingDepth, radiusAt } from '../../layout/curve';
import type { FollowUp } from '../../documents/fit';
import type { PlannedStage, Step } from '../../documents/plan';
import type { UnitSystem } from '../../data/unitSystem';
import { MACHINE_KINDS } from '../../data/machines/machineKinds';
import type { WorkedOperation } from '../../plan/planContext';
import type { CutPlan } from '../../plan/planCut';
import type { PlanInUnits } from './planInUnits';
import { HELP_WORDS } from './helpWords';
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
export const planSteps = (context: PlanInUnits): Step[] =>
  context.operations.flatMap((one) => operationSteps(context, one));

/** One operation, step by step. */
export function operationSteps(context: PlanInUnits, one: WorkedOperation): Step[] {
  const { helper } = one.operation;
  const words = helper && HELP_WORDS[helper];
  return [
    ...(words
      ? [
          {
            kind: 'prepare' as const,
            title: `Second person: ${words.label.toLowerCase()}`,
            detail: words.step,
          },
        ]
      : []),
    ...ownSteps(context, one),
  ];
}

function ownSteps(context: PlanInUnits, one: WorkedOperation): Step[] {
  const { operations, units, hole } = context;
  const { operation, cut } = one;
  if (cut) {
    const cuts = operations.flatMap((other) => (other.cut ? [other.cut] : []));
    return [
      ...(cut === cuts[0] ? setUpSteps(context, cut) : cut.swapped ? [changeTo(context, cut)] : []),
      ...cutSteps(context, cut),
      ...(cut === cuts.at(-1) ? outSteps(context, cut) : []),
    ];
  }
  const at = formatLengthShort(operation.kind === 'hand' ? operation.atMm : 0, units);
  switch (operation.does) {
    case 'mark':
      return [
        ...partSteps(context, 'before'),
        { kind: 'prepare', title: 'Mark the hole', detail: markDetail(context) },
      ];
    case 'break-out':
      return [coreBreak(context, one)];
    case 'chisel':
      return [
        {
          kind: 'core-break',
          title: `Chisel clear at ${at}`,
          detail:
            'Motor off. Small blows, away from the good edge. Hammer off again before the diamond bit goes back.',
        },
      ];
    case 'turn-over':
      return [
        {
          kind: 'flip',
          title: 'Turn the piece over',
          detail:
            `At ${at}. Carry the centre to the other face and finish from there. ${crossingText(context)}`.trim(),
        },
      ];
    case 'go-round':
      return [
        {
          kind: 'flip',
          title: 'Go round to the other side',
          detail:
            `At ${at}. Carry the centre round: measure it from two edges, or follow the pilot. ${crossingText(context)}`.trim(),
        },
      ];
    case 'ease-edge':
      return [
        {
          kind: 'clean',
          title: 'Ease the edge',
          detail: context.fit?.easesEdges
            ? 'Both rims: a sharp one saws through what hangs in it. Fine abrasive, wet, until a thread slides.'
            : 'Fine abrasive, wet, once round each rim: no more than takes the sharpness off.',
        },
      ];
    default:
      return [
        {
          kind: 'clean',
          title: allDry(context) ? 'Clear the dust and look' : 'Rinse and look',
          detail: `${allDry(context) ? 'Draw the dust out with the vacuum, not by breath.' : 'Rinse the fines before they dry.'} Check ${formatLength(hole.diameterMm, units)}, chips on both faces, hidden cracks; ease the sharp edge, wet.`,
        },
        ...partSteps(context, 'after'),
        {
          kind: 'done',
          title: 'Done',
          detail: 'Note how it went: the wear of the bit is counted on.',
        },
      ];
  }
}

const allDry = ({ operations }: PlanInUnits): boolean =>
  operations.every(({ cut }) => !cut || cut.setup.coolant.kind === 'dry');

/** How far the two cuts may miss each other. */
const crossingText = ({ crossingMm, units }: PlanInUnits): string =>
  crossingMm === null
    ? ''
    : `The two cuts meet within about ${formatLengthShort(crossingMm, units)}.`;

/** Everything that is made ready before the first cut. */
function setUpSteps(context: PlanInUnits, cut: CutPlan): Step[] {
  const { piece, hole, units } = context;
  const { setup } = cut;
  const { bit, geometry } = setup.finishing;
  return [
    {
      kind: 'prepare',
      title: 'Look at the bit',
      detail: `${bit.name}, ${formatLength(geometry.diameterMm, units)}: spin it, the rim must run true; ${BIT_FAMILIES[bit.family].abrasive === 'carbide' ? 'its edges must be sharp' : 'diamonds must stand proud'}. Set ${formatRpm(cut.headline.speed.rpm)} on ${setup.machine.name.toLowerCase()}.`,
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
    setup.coolant.kind === 'dry'
      ? {
          kind: 'prepare',
          title: 'Dust',
          detail: 'Dry: extraction at this face, and a respirator.',
        }
      : { kind: 'prepare', title: 'Water', detail: waterDetail(context, cut) },
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

/** The next bit on, with all that changes with it. */
function changeTo(context: PlanInUnits, cut: CutPlan): Step {
  const { units } = context;
  const { setup, headline } = cut;
  const { bit, geometry } = setup.finishing;
  const kind = MACHINE_KINDS[setup.machine.kind];
  // A hammer drill that nobody owns is named with its hammer off.
  const isSaid = !setup.machineOwned && kind.hammer === 'always';
  const hammer = setup.hammer
    ? ' Hammer on for this one.'
    : kind.hammer === 'none' || isSaid
      ? ''
      : ' Hammer off.';
  return {
    kind: 'step-change',
    title: `Change to ${bit.name}`,
    detail: `${formatLength(geometry.diameterMm, units)}, ${formatRpm(headline.speed.rpm)} on ${setup.machine.name.toLowerCase()}.${hammer} ${setup.coolant.kind === 'dry' ? 'Dry, with extraction.' : `${setup.coolant.name}.`}`,
  };
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

function waterDetail({ units }: PlanInUnits, { setup, water }: CutPlan): string {
  const { note } = COOLANTS[setup.coolant.id];
  if (water.fillL !== null)
    return `${setup.coolant.name}: pour ${formatVolume(water.fillL, units)}, ${formatLength(setup.coolant.atCoverMm, units)} over the face.`;
  if (water.flowLPerMin !== null)
    return `${setup.coolant.name}: ${formatFlow(water.flowLPerMin, units)}, a cup in ${formatDuration(water.secondsPerCup ?? 0)}. ${note}`;
  return `${setup.coolant.name}. ${note}`;
}

function cutSteps(context: PlanInUnits, cut: CutPlan): Step[] {
  const { units } = context;
  const { setup, stages, lifts, water, operation, layers } = cut;
  const seat = stages.find((stage) => stage.kind === 'seat');
  const mains = stages.filter((stage) => stage.kind === 'main');
  const exit = stages.find((stage) => stage.kind === 'exit');
  const steps: Step[] = [];
  if (seat) {
    if (operation.face === 'near') steps.push(...bedIn(context, cut, seat));
    steps.push({
      kind: 'seat',
      title: `Seat with ${formatForce(seat.forceN, units)}`,
      detail: `${operation.fromMm > 0 ? IN_HOLE_DETAIL : START_DETAIL[setup.start]} ${formatRpm(seat.rpm)} for the first ${formatLengthShort(seat.toMm - operation.fromMm, units)}.${operation.fromMm > 0 ? '' : curveDetail(context, cut)}`,
      fromDepthMm: operation.fromMm,
      toDepthMm: seat.toMm,
    });
  }
  mains.forEach((stage, index) => {
    const layer = layers.find(
      (one) => one.layer.fromMm <= stage.fromMm + 1e-9 && one.layer.toMm > stage.fromMm,
    );
    const named = mains.length > 1 || context.layers.length > 1;
    const name =
      named && layer?.slowest ? ` through ${layer.slowest.material.name.toLowerCase()}` : '';
    steps.push({
      kind: 'cut',
      title: `Press with ${formatForce(stage.forceN, units)}${name}`,
      detail: `${formatRpm(stage.rpm)}, about ${formatDuration(stage.timeS ?? 0)} to ${formatLengthShort(stage.toMm, units)}.${index === 0 ? restDetail(cut) : ''}`,
      fromDepthMm: stage.fromMm,
      toDepthMm: stage.toMm,
    });
  });
  if (lifts.length > 0) steps.push(liftStep(lifts, setup.coolant.kind === 'dry', units));
  steps.push(...waterChanges(water.changeAtDepthMm, context, cut), ...waterOff(context, cut));
  if (exit) steps.push(easeOff(context, cut, exit, mains.at(-1)?.forceN ?? exit.forceN));
  return steps;
}

const IN_HOLE_DETAIL = 'Into the hole that is there, least force until it cuts all round.';

/** Shorter rests are a breath, s. */
const MIN_REST_S = 20;

/** Arms that press near their most have to let go between times. */
const restDetail = ({ time }: CutPlan): string =>
  time.restsS >= MIN_REST_S
    ? ` Rest the arms ${formatDuration(time.restsS)} in all: let go at every lift.`
    : '';

/** A new plated rim is sharp beyond what it keeps: the first millimetre wears it in. */
const bedIn = (
  { units }: PlanInUnits,
  { setup, operation }: CutPlan,
  seat: PlannedStage,
): Step[] =>
  setup.finishing.bit.holesCut === 0 &&
  BIT_FAMILIES[setup.finishing.bit.family].abrasive === 'plated'
    ? [
        {
          kind: 'seat',
          title: 'Bed the new bit in',
          detail: `Its first hole: no more than ${formatForce(seat.forceN, units)} for the first ${formatLengthShort(Math.min(1, operation.toMm), units)}, then as planned.`,
          fromDepthMm: 0,
          toDepthMm: Math.min(1, operation.toMm),
        },
      ]
    : [];

/** On a round wall the rim bites in a crescent first. */
function curveDetail({ piece, hole, units }: PlanInUnits, { setup }: CutPlan): string {
  const R = hole.face === 'base' ? null : radiusAt(piece.outline, hole.yMm);
  if (R === null) return '';
  const s = fullRingDepth(R, setup.finishing.geometry.diameterMm);
  return ` On this curve it bites at two sides first: the ring is full from ${formatLengthShort(s, units)}.`;
}

function easeOff(
  { units }: PlanInUnits,
  { ends }: CutPlan,
  exit: PlannedStage,
  mainN: number,
): Step {
  const watch =
    ends === 'meets' ? 'The two cuts meet here.' : 'Listen for a hollow tone; hold the plug.';
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

function liftStep(lifts: readonly number[], dry: boolean, units: UnitSystem): Step {
  const first = lifts[0] ?? 0;
  const gap = lifts.length > 1 ? (lifts[1] ?? first) - first : 0;
  const rhythm = gap > 0 ? `, then about every ${formatLengthShort(gap, units)}` : '';
  return {
    kind: 'lift',
    title: `Lift ${lifts.length === 1 ? 'once' : `${lifts.length} times`} ${dry ? 'to clear the dust' : 'to flush'}`,
    detail: `First at ${formatLengthShort(first, units)}${rhythm}. ${dry ? 'Just enough to let the dust out and the rim cool' : 'Just enough to let water in'}: never clear of the groove.`,
    fromDepthMm: first,
    toDepthMm: lifts.at(-1) ?? first,
    depthsMm: lifts,
  };
}

const waterChanges = (
  depths: readonly number[],
  { units }: PlanInUnits,
  { setup }: CutPlan,
): Step[] =>
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

const waterOff = ({ units }: PlanInUnits, { water, operation }: CutPlan): Step[] =>
  water.offAtMm === null
    ? []
    : [
        {
          kind: 'water-change',
          title: `Shut the water at ${formatLengthShort(water.offAtMm, units)}`,
          detail: `${formatLengthShort(operation.toMm - water.offAtMm, units)} before the far face, so that none runs into the room behind. The groove stays wet for a while: press lightly, keep turning.`,
          fromDepthMm: water.offAtMm,
          toDepthMm: water.offAtMm,
        },
      ];

function coreBreak(
  { units, passes, hole, extension }: PlanInUnits,
  { core, operation }: WorkedOperation,
): Step {
  const z = operation.kind === 'hand' ? operation.atMm : 0;
  const at = formatLengthShort(z, units);
  const mass = core ? `About ${formatMass(core.massKg, units)}. ` : '';
  const depth = { fromDepthMm: z, toDepthMm: z };
  if (core?.why === 'cavity')
    return {
      kind: 'core-break',
      title: `The core drops free at ${at}`,
      detail: `${mass}Push it out of the barrel before the next leaf. Go on inside the first hole, on the guide rod if there is one, with the least force until the ring is full.`,
      ...depth,
    };
  if (hole.depth.kind === 'blind' && Math.abs(z - hole.depth.depthMm) < 1e-6)
    return {
      kind: 'free-core',
      title: 'Break out the core',
      detail: `${mass}Wedge it off at its foot and lift it out without prying on the good edge.`,
      ...depth,
    };
  return {
    kind: 'core-break',
    title: `Break out the core at ${at}`,
    detail: `${mass}Snap it and draw it out without prying on the good edge; rim back in the groove before the motor starts.${z === passes.extendAtMm ? ` Now ${extension?.name ?? 'the extension'} goes on.` : ''}`,
    ...depth,
  };
}

/** Through, and out of the hole. */
function outSteps({ opensFarFace, hole }: PlanInUnits, { setup }: CutPlan): Step[] {
  const stopFirst =
    setup.hold === 'rig'
      ? 'Keep it turning until nearly out, then stop.'
      : 'Stop the motor with the rim still in the hole, then lift.';
  const hasCore = !setup.finishing.geometry.solid && hole.depth.kind === 'through';
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
    ...(hasCore
      ? [
          {
            kind: 'free-core' as const,
            title: 'Free the core',
            detail: 'Look inside the barrel: push it out before the next hole.',
          },
        ]
      : []),
  ];
}
