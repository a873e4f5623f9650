import { isHeldByStand } from '../../data/holds';
import { isOfToday } from '../../setup/hazards/coverage';
import type { HazardCode } from '../../setup/hazards/judgeHazards';
import { COOLANTS, type CoolantId } from '../../data/coolants';
import type { Bit } from '../../documents/kit';
import type { BitDue } from '../../run/learning/bitDue';
import type { Hole } from '../../documents/hole';
import type { Piece } from '../../documents/piece';
import { MACHINE_KINDS, type MachineKindId } from '../../data/machines/machineKinds';
import type { BarePlan } from '../../documents/plan';
import { formatRpm, formatVolume } from '../units/formatQuantity';
import { formatLengthShort } from '../units/length';
import type { UnitSystem } from '../../data/unitSystem';
import { learningWords } from '../screens/learning';
import { capitalised } from '../sentence';

/** The parts of the list, in the order hands come to them. */
export const READY_SECTIONS = ['piece', 'mark', 'kit', 'machine', 'water', 'you'] as const;
export type ReadySection = (typeof READY_SECTIONS)[number];

/** How long a tick holds: this run, the working day, or the job. */
export type ReadyKeeps = 'run' | 'day' | 'job';

export interface ReadyItem {
  readonly id: string;
  readonly section: ReadySection;
  readonly title: string;
  readonly detail: string;
  readonly keeps: ReadyKeeps;
  /** Another page helps to settle it. */
  readonly opens?: 'bit-check' | 'marks' | 'practice' | 'packing';
}

export interface ReadyScene {
  readonly plan: BarePlan;
  readonly piece: Piece;
  readonly hole: Hole;
  readonly bit: Bit | null;
  /** When the log says to change it; null where it does not yet. */
  readonly due: BitDue | null;
  /** A practice piece of the same kind is in the job, and whether a hole in it is done. */
  readonly practice: 'none' | 'to-do' | 'done';
  readonly now: Date;
  readonly units: UnitSystem;
}

/** A look at the rim holds for so long, days. */
const CHECK_HOLDS_DAYS = 30;
const DAY_MS = 24 * 3600 * 1000;
/** Below this a bit is looked at before a piece that matters. */
const DOUBTFUL_SHARPNESS = 0.6;

/** Whether a gate of this plan asks after something: now, or answered in this day's work. */
const isAskedBy = (hazard: HazardCode, { plan, now }: ReadyScene): boolean =>
  plan.gates.some(({ code, level }) => code === hazard && level !== 'note') ||
  plan.settledGates.some(
    ({ code, settledBy }) =>
      code === hazard && settledBy !== undefined && isOfToday(settledBy, now),
  );

/**
 * What to see to before the motor starts: short, only what this hole asks for, and nothing a gate asks already.
 */
export function readyCheck(scene: ReadyScene): readonly ReadyItem[] {
  return [
    ...you(scene),
    ...power(scene),
    ...kit(scene),
    ...bench(scene),
    ...mark(scene),
    ...practice(scene),
  ];
}

function you(scene: ReadyScene): ReadyItem[] {
  const { plan } = scene;
  const dry = COOLANTS[plan.water.method as CoolantId].kind === 'dry';
  const worn = [
    ...(isAskedBy('eyes', scene) ? [] : ['glasses on']),
    'sleeves and hair back',
    ...(dry && !isAskedBy('dust', scene) ? ['respirator on'] : []),
  ];
  return [
    {
      id: 'protection',
      section: 'you',
      title: 'Dressed for it',
      detail: `${capitalised(worn.join(', '))}. Gloves for carrying glass, none near the turning bit.`,
      keeps: 'day',
    },
  ];
}

function power(scene: ReadyScene): ReadyItem[] {
  const kind = MACHINE_KINDS[scene.plan.setup.machineKind as MachineKindId];
  const battery = kind.power === 'battery';
  if (!battery && isAskedBy('mains-and-water', scene)) return [];
  return [
    battery
      ? {
          id: 'battery',
          section: 'machine',
          title: 'Battery charged',
          detail: 'And a spare within reach: half a hole is hard to take up again.',
          keeps: 'day',
        }
      : {
          id: 'mains',
          section: 'machine',
          title: 'Plug and cable',
          detail:
            'Residual-current device tested today, a drip loop in the cable, the plug out of the splash.',
          keeps: 'day',
        },
  ];
}

function kit(scene: ReadyScene): ReadyItem[] {
  const { plan, bit, now, units } = scene;
  const { setup } = plan;
  const hammers = MACHINE_KINDS[setup.machineKind as MachineKindId].hammer !== 'none';
  const items: ReadyItem[] = [
    {
      id: 'packing',
      section: 'kit',
      title: 'Everything laid out',
      detail: 'Tick the packing list: a rod is hard to fetch with a core stuck in the barrel.',
      keeps: 'job',
      opens: 'packing',
    },
  ];
  const first = plan.operations?.find(({ bitName }) => bitName !== null);
  const due = bit && bitCheckDue(bit, now);
  if (due)
    items.push({
      id: 'bit-check',
      section: 'kit',
      title: 'Look at the bit',
      detail: due,
      keeps: 'day',
      opens: 'bit-check',
    });
  if (scene.due)
    items.push({
      id: 'bit-due',
      section: 'kit',
      title: 'Change the bit, or go on with it as it is',
      detail: learningWords.dueOf(scene.due, units),
      keeps: 'run',
    });
  items.push({
    id: 'rotation',
    section: 'machine',
    title:
      hammers && !isAskedBy('hammer', scene) ? 'Right way round, hammer off' : 'Right way round',
    detail: `${first?.bitName ?? setup.bitName} chucked true, spun by hand; ${formatRpm(first?.rpm ?? plan.rpm)} set on ${(first?.machineName ?? setup.machineName).toLowerCase()}; collar or stop at ${formatLengthShort(first?.toMm ?? plan.depthPerSideMm, units)}.`,
    keeps: 'run',
  });
  return items;
}

/** Why a look at the rim is due; null where it is not. */
export function bitCheckDue(bit: Bit, now: Date): string | null {
  if (bit.state === 'bald' || bit.state === 'out-of-true')
    return `It was last found ${bit.state === 'bald' ? 'bald' : 'out of true'}.`;
  const last = bit.sharpnessLog?.at(-1);
  const days = last ? (now.getTime() - Date.parse(last.at)) / DAY_MS : Infinity;
  if (!last && (bit.holesCut ?? 0) > 0) return 'It has drilled and was never looked at.';
  if (last && days > CHECK_HOLDS_DAYS) return `Last looked at ${Math.floor(days)} days ago.`;
  if ((bit.sharpness ?? 1) < DOUBTFUL_SHARPNESS) return 'It was tired when last looked at.';
  return null;
}

function bench({ plan, units }: ReadyScene): ReadyItem[] {
  const { setup, water } = plan;
  const held = isHeldByStand(setup.hold);
  return [
    ...(held
      ? [
          {
            id: 'dry-run',
            section: 'machine' as const,
            title: 'Dry run, power off',
            detail: `Bring the bit down by hand: it reaches past ${plan.exitForceN === null ? formatLengthShort(plan.depthMm, units) : 'the far face'}, on the mark, chuck and table clear.`,
            keeps: 'run' as const,
          },
        ]
      : []),
    ...(COOLANTS[water.method as CoolantId].kind === 'dry'
      ? []
      : [
          {
            id: 'water',
            section: 'water' as const,
            title: 'Water is there',
            detail:
              water.fillL === null
                ? `${water.name} runs where the rim will be.`
                : `${formatVolume(water.fillL, units)} poured, clear, over the face.`,
            keeps: 'run' as const,
          },
        ]),
    {
      id: 'light',
      section: 'mark' as const,
      title: 'Light from the side',
      detail: 'Glare on water hides the mark and the first crack.',
      keeps: 'day' as const,
    },
  ];
}

const mark = ({ hole }: ReadyScene): ReadyItem[] => [
  {
    id: 'mark',
    section: 'mark',
    title: 'The mark is right',
    detail: hole.mark?.measured
      ? 'Measured and checked across. Check again that it is the right one.'
      : 'Measure it again after the tape is on.',
    keeps: 'run',
    opens: 'marks',
  },
];

const practice = ({ practice: state, piece }: ReadyScene): ReadyItem[] =>
  state !== 'to-do' || piece.practice
    ? []
    : [
        {
          // Ticked, the record says that it was done without: practising takes the line away.
          id: 'practice-waived',
          section: 'mark',
          title: 'Without practising first?',
          detail:
            'There is a practice piece in this job and nothing drilled in it yet. Tick to do without.',
          keeps: 'job',
          opens: 'practice',
        },
      ];
