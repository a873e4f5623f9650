import { easesOff } from '../../physics/cutting/stages';
import { timesWords } from '../sentence';
import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import type { Start } from '../../data/choices';
import { formatDuration, formatForce, formatRpm } from '../units/formatQuantity';
import { formatLengthShort } from '../units/length';
import { depthsText } from './depthsText';
import { fullRingDepth, radiusAt } from '../../layout/curve';
import type { PlannedStage, Step } from '../../documents/plan';
import type { UnitSystem } from '../../data/unitSystem';
import type { CutPlan } from '../../plan/planCut';
import type { PlanInUnits } from './planInUnits';
import { renewal } from './waterWords';

const START_DETAIL: Record<Start, string> = {
  tilt: 'Tilt the bit, cut a crescent, then stand it upright as the groove deepens.',
  guide: 'Bit in the guide, straight down, motor on before it touches.',
  tape: 'Cross of tape on the mark, light touch, no leaning until a ring shows.',
  seat: 'Bring the rim down on the mark and let it dwell until a full ring shows.',
  pilot: 'Follow the pilot hole; let the rim find its own ring.',
};

/** One bit on its way down: seated, pressed, lifted, flushed, eased off. */
export function cutSteps(context: PlanInUnits, cut: CutPlan): Step[] {
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

/** Through, and out of the hole. */
export function outSteps({ opensFarFace, hole }: PlanInUnits, { setup }: CutPlan): Step[] {
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
