import { HOLDS, type Hold } from '@nucleon/core/data/choices';
import {
  MACHINE_KIND_IDS,
  MACHINE_KINDS,
  type MachineKindId,
} from '@nucleon/core/data/machines/machineKinds';
import type { Bit, Kit, Machine } from '@nucleon/core/documents/kit';
import { LIMITS } from '@nucleon/core/data/schema/limits';
import type { Setup } from '@nucleon/core/documents/setup';
import type { Plan } from '@nucleon/core/documents/plan';
import { bitAged } from '@nucleon/core/run/learning/bitChange';
import type { Doubt, LoggedHole } from '@nucleon/core/run/learning/loggedHole';
import { makePlan } from '@nucleon/core/words/plan/makePlan';
import { listedCase, numberIn, readList, type ListedHole } from './runsCsv';

/** A longer list is not one workshop’s. */
export const MAX_LOGGED_ROWS = 20_000;

export interface Unread {
  readonly line: number;
  readonly why: string;
}

export type LoggedHolesOutcome =
  | {
      readonly kind: 'read';
      readonly holes: readonly LoggedHole[];
      readonly unread: readonly Unread[];
    }
  | { readonly kind: 'refused'; readonly message: string };

/** Where a crack came, as a share of the depth that was cut by then. */
const CRACKED_AT: Readonly<Record<string, number>> = {
  start: 0.1,
  middle: 0.5,
  'break-through': 1,
  handling: 1,
};
const YES = new Set(['yes', 'true', '1', 'x', 'practice']);

/**
 * Holes of a notebook’s list as they are learned from: the columns of readRunsCsv and, as wished, bit (by name in the
 * kit), bit_holes, machine, hold, person, force_n, cutting_minutes, sheet, practice and cracked_at. Each is set beside the
 * plan of such a hole, pressed as it was, with that bit as old as it was. A bit’s age, where no row tells it, is counted from the list’s beginning.
 */
export function readLoggedHoles(text: string, kit: Kit): LoggedHolesOutcome {
  const list = readList(text, MAX_LOGGED_ROWS);
  if (list.kind === 'refused') return list;
  const unread: Unread[] = [];
  const read: { readonly line: number; readonly hole: ListedHole }[] = [];
  for (const row of list.rows)
    if (row.kind === 'listed') read.push({ line: row.line, hole: row.hole });
    else unread.push({ line: row.line, why: row.why });
  read.sort((a, b) => a.hole.atMs - b.hole.atMs || a.line - b.line);
  const planOf = rememberedPlans(kit);
  const seen = new Set<string>();
  const counted = new Map<string, number>();
  const holes = read.flatMap(({ line, hole }): LoggedHole[] => {
    const bitName = textIn(hole, 'bit');
    const given = numberIn(hole.row, 'bit_holes');
    const holesBefore = given >= 0 ? given : (counted.get(bitName ?? '') ?? 0);
    if (bitName !== null) counted.set(bitName, holesBefore + 1);
    const same = JSON.stringify(hole.row);
    const twice = seen.has(same) && isTellingApart(hole);
    seen.add(same);
    const bit = named(kit.bits ?? [], bitName);
    const force = hole.row.force_n ?? '';
    if (force.trim() !== '' && !(numberIn(hole.row, 'force_n') > 0)) {
      unread.push({ line, why: `force_n is “${force}”; it must be above 0, or left empty.` });
      return [];
    }
    const plan = planOf(hole, bit, holesBefore);
    if (!plan) {
      unread.push({ line, why: 'No plan can be made of a hole like this to set it beside.' });
      return [];
    }
    return [loggedHole(hole, { line, bit, bitName, holesBefore, plan, twice })];
  });
  return { kind: 'read', holes, unread };
}

/** By the hour, or by the age of its bit, no two holes are alike; by the day alone they may be. */
const isTellingApart = ({ row }: ListedHole): boolean =>
  (row.date ?? '').includes(':') || numberIn(row, 'bit_holes') >= 0;

const textIn = ({ row }: ListedHole, name: string): string | null => {
  const text = row[name]?.trim() ?? '';
  return text === '' ? null : text;
};
const isNamed = (name: string | null, other: string): boolean =>
  name !== null && name.toLowerCase() === other.toLowerCase();
const named = <T extends { readonly name: string }>(
  all: readonly T[],
  name: string | null,
): T | null => all.find((one) => isNamed(name, one.name)) ?? null;

function loggedHole(
  hole: ListedHole,
  {
    line,
    bit,
    bitName,
    holesBefore,
    plan,
    twice,
  }: {
    readonly line: number;
    readonly bit: Bit | null;
    readonly bitName: string | null;
    readonly holesBefore: number;
    readonly plan: Plan;
    readonly twice: boolean;
  },
): LoggedHole {
  const cracked = hole.result.crack !== 'none';
  const crackedAt = textIn(hole, 'cracked_at')?.toLowerCase() ?? null;
  const reached = cracked ? (CRACKED_AT[crackedAt ?? ''] ?? null) : 1;
  const doubts: Doubt[] = twice ? ['twice'] : [];
  const cuttingMin = numberIn(hole.row, 'cutting_minutes');
  if (cuttingMin * 60 > hole.tookS * (1 + 1e-9) || (!cracked && crackedAt !== null))
    doubts.push('contradicts');
  return {
    id: `line ${line}`,
    at: new Date(hole.atMs).toISOString(),
    material: hole.material,
    family: plan.setup.bitFamily,
    bit: bit?.id ?? bitName,
    person: textIn(hole, 'person'),
    sheet: textIn(hole, 'sheet'),
    holesBefore,
    // How far a crack came is told by where it came, or not at all.
    takenS: reached === null ? null : hole.tookS,
    plannedS: plan.drillTimeS,
    share: reached ?? 0,
    livesUsed: ((reached ?? 1) * hole.thicknessMm) / plan.bitLife.lifeDepthMm,
    cracked,
    plannedCrack: plan.crackProbability,
    exitChipMm: hole.result.exitChipMm ?? null,
    plannedChipMm: plan.exitChipMm,
    practice: YES.has(textIn(hole, 'practice')?.toLowerCase() ?? ''),
    doubts,
  };
}

/** Ages so near each other wear a bit alike: an eighth of a doubling and less. */
const STEPS_PER_E = 12;
const nearAge = (holes: number): number =>
  Math.round(Math.expm1(Math.round(Math.log1p(holes) * STEPS_PER_E) / STEPS_PER_E));

/** Plans of listed holes; like holes are planned once. */
function rememberedPlans(
  kit: Kit,
): (hole: ListedHole, bit: Bit | null, holesBefore: number) => Plan | null {
  const known = new Map<string, Plan | null>();
  return (hole, bit, holesBefore) => {
    const age = nearAge(holesBefore);
    const machine = machineIn(kit, textIn(hole, 'machine'));
    const held = textIn(hole, 'hold');
    const hold = HOLDS.find((one) => one === held?.toLowerCase()) ?? null;
    const forceN = numberIn(hole.row, 'force_n');
    const { material, thicknessMm, diameterMm } = hole;
    const key = JSON.stringify([
      material,
      thicknessMm,
      diameterMm,
      bit?.id,
      bit ? age : 0,
      machine?.id,
      hold,
      forceN > 0 ? forceN : null,
    ]);
    const had = known.get(key);
    if (had !== undefined) return had;
    const asItWas = bit ? bitAged(bit, age, thicknessMm) : null;
    const planWith = (pressed: Setup): Plan | null => {
      const outcome = makePlan(
        listedCase(hole, 'listed', {
          kit: { bits: asItWas ? [asItWas] : [], machines: machine ? [machine] : [] },
          setup: { ...setupOf(asItWas, machine, hold), ...pressed },
        }),
      );
      return outcome.kind === 'planned' ? outcome.plan : null;
    };
    const usual = planWith({});
    const plan = usual && forceN > 0 ? planWith(pressedBy(forceN, usual)) : usual;
    known.set(key, plan);
    return plan;
  };
}

/** Pressure that comes of a force, by the plan's own. */
function pressedBy(forceN: number, { contactPressureMpa, feedForceN }: Plan): Setup {
  const { max } = LIMITS.contactPressureMpa;
  return { contactPressureMpa: Math.min(max, (contactPressureMpa * forceN) / feedForceN) };
}

const setupOf = (bit: Bit | null, machine: Machine | null, hold: Hold | null): Setup => ({
  ...(bit ? { bit: bit.id } : {}),
  ...(machine ? { machine: machine.id } : {}),
  ...(hold ? { hold } : {}),
});

/** A machine by its name in the kit, or by its kind’s. */
function machineIn({ machines = [] }: Kit, name: string | null): Machine | null {
  const owned = named(machines, name);
  if (owned || name === null) return owned;
  const kind = MACHINE_KIND_IDS.find(
    (id: MachineKindId) => isNamed(name, id) || isNamed(name, MACHINE_KINDS[id].name),
  );
  return kind ? { id: `listed-${kind}`, name: MACHINE_KINDS[kind].name, kind } : null;
}
