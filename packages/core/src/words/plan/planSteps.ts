import { FEED_AIDS } from '../../data/machines/feedAids';
import { capitalised } from '../sentence';
import type { HandKindId } from '../../data/operations';
import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import { COOLANTS } from '../../data/coolants';
import type { Hold } from '../../data/choices';
import {
  formatDuration,
  formatFlow,
  formatMass,
  formatRpm,
  formatVolume,
} from '../units/formatQuantity';
import { formatLength, formatLengthShort } from '../units/length';
import type { FollowUp } from '../../documents/fit';
import type { Step } from '../../documents/plan';
import { MACHINE_KINDS } from '../../data/machines/machineKinds';
import { cutsOf, type WorkedOperation } from '../../plan/planContext';
import { bitKey, type CutPlan } from '../../plan/planCut';
import type { PlanInUnits } from './planInUnits';
import { HELP_WORDS } from './helpWords';
import { cutSteps, outSteps } from './cutSteps';

const HOLD_DETAIL: Record<Hold, string> = {
  freehand: 'Free hand',
  guided: 'By hand in a guide',
  press: 'In the press',
  rig: 'On the stand',
};

/** One operation, step by step: all of them are the hole from mark to clean-up. */
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

function ownSteps(context: PlanInUnits, one: WorkedOperation): readonly Step[] {
  const { operation, cut } = one;
  if (operation.kind === 'hand') return HAND_STEPS[operation.does](context, one, operation.atMm);
  if (!cut) return [];
  const cuts = cutsOf(context);
  return [
    ...(cut === cuts[0] ? setUpSteps(context, cut) : cut.swapped ? [changeTo(context, cut)] : []),
    ...cutSteps(context, cut),
    ...(cut === cuts.at(-1) ? outSteps(context, cut) : []),
  ];
}

/** What is done by hand at a depth, mm. */
type HandSteps = (context: PlanInUnits, one: WorkedOperation, atMm: number) => readonly Step[];

const HAND_STEPS: Readonly<Record<HandKindId, HandSteps>> = {
  mark: (context) => [
    ...partSteps(context, 'before'),
    { kind: 'prepare', title: 'Mark the hole', detail: markDetail(context) },
  ],
  'break-out': (context, one) => [coreBreak(context, one)],
  chisel: (context, one, atMm) => [
    context.fit?.roughensWall && one.operation === lastChisel(context)
      ? {
          kind: 'clean',
          title: 'Rough the wall',
          detail:
            'Grout does not hold on a cored wall: chisel it rough all round, and the floor level.',
        }
      : {
          kind: 'core-break',
          title: `Chisel clear at ${formatLengthShort(atMm, context.units)}`,
          detail:
            'Motor off. Small blows, away from the good edge. Hammer off again before the diamond bit goes back.',
        },
  ],
  'turn-over': (context, _, atMm) => [
    {
      kind: 'flip',
      title: 'Turn the piece over',
      detail:
        `At ${formatLengthShort(atMm, context.units)}. Carry the centre to the other face and finish from there. ${crossingText(context)}`.trim(),
    },
  ],
  'go-round': (context, _, atMm) => [
    {
      kind: 'flip',
      title: 'Go round to the other side',
      detail:
        `At ${formatLengthShort(atMm, context.units)}. Carry the centre round: measure it from two edges, or follow the pilot. ${crossingText(context)}`.trim(),
    },
  ],
  'ease-edge': ({ fit }) => [
    {
      kind: 'clean',
      title: 'Ease the edge',
      detail: fit?.easesEdges
        ? 'Both rims: a sharp one saws through what hangs in it. Fine abrasive, wet, until a thread slides.'
        : 'Fine abrasive, wet, once round each rim: no more than takes the sharpness off.',
    },
  ],
  clean: (context) => [
    {
      kind: 'clean',
      title: allDry(context) ? 'Clear the dust and look' : 'Rinse and look',
      detail: `${allDry(context) ? 'Draw the dust out with the vacuum, not by breath.' : 'Rinse the fines before they dry.'} Check ${formatLength(context.hole.diameterMm, context.units)}, chips on both faces, hidden cracks; ease the sharp edge, wet.`,
    },
    ...partSteps(context, 'after'),
    {
      kind: 'done',
      title: 'Done',
      detail: 'Note how it went: the wear of the bit is counted on.',
    },
  ],
};

/** What is chiselled once the cutting is done. */
const lastChisel = ({ operations }: PlanInUnits) =>
  operations.findLast(({ cut, operation }) => cut ?? operation.does === 'chisel')?.operation;

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
      detail: `${bit.name}, ${formatLength(geometry.diameterMm, units)}: spin it, the rim must run true; ${BIT_FAMILIES[bit.family].abrasive === 'carbide' ? 'its edges must be sharp' : 'diamonds must stand proud'}. Set ${formatRpm(cut.headline.speed.rpm)} on ${setup.machine.name.toLowerCase()}. ${collarText(context, cut)}`,
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

/** Where collar or tape goes on this bit, for the deepest it is to go from this face. */
function collarText(context: PlanInUnits, { setup, operation }: CutPlan): string {
  const own = cutsOf(context).filter(
    (one) => bitKey(one.setup) === bitKey(setup) && one.operation.face === operation.face,
  );
  const atMm = Math.max(...own.map(({ stop }) => stop.collarAtMm));
  return `Collar or tape ${formatLengthShort(atMm, context.units)} up from the rim.`;
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
    detail: `${formatLength(geometry.diameterMm, units)}, ${formatRpm(headline.speed.rpm)} on ${setup.machine.name.toLowerCase()}.${hammer} ${setup.coolant.kind === 'dry' ? 'Dry, with extraction.' : `${setup.coolant.name}.`} ${collarText(context, cut)}`,
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
