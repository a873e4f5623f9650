import { isBuilding } from '../../setup/benchFit';
import { type DrillCase, withSetup } from '../../setup/drillCase';
import { COOLANT_IDS, COOLANTS, type CoolantId } from '../../data/coolants';
import type { Fault } from '../../documents/fault';
import { MACHINE_KINDS } from '../../data/machines/machineKinds';
import type { Machine, Kit } from '../../documents/kit';
import type { Setup } from '../../documents/setup';
import { contextOf } from '../../plan/makePlan';
import type { PlanContext } from '../../plan/planContext';
import type { WaterPlan } from '../../documents/plan';
import type { Bend } from '../../physics/plate/bender';
import { METRIC, type UnitSystem } from '../../words/units/unitSystem';
import { formatRimSpeed } from '../../words/units/formatQuantity';
import { outcomeOf, type Outcome } from './outcome';
import { placeInWords } from '../../words/advice/placeInWords';
import { canWet } from './waterMeans';

/** One way of wetting this hole, with what it comes to. */
export interface RankedWater {
  readonly kind: CoolantId;
  readonly name: string;
  readonly note: string;
  readonly outcome: Outcome;
  readonly tempRiseK: number;
  readonly water: WaterPlan;
  readonly have: string | null;
  readonly why: string;
  readonly current: boolean;
  readonly setup: Setup;
}

export interface BarredWater {
  readonly kind: CoolantId;
  readonly name: string;
  readonly why: string;
}

export type WaterOutcome =
  | {
      readonly kind: 'ranked';
      readonly ranked: readonly RankedWater[];
      readonly barred: readonly BarredWater[];
    }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/** Every way of wetting, the least expected cost first; all else as planned. */
export function rankWater(
  drillCase: DrillCase,
  bend: Bend,
  units: UnitSystem = METRIC,
): WaterOutcome {
  const { hole, kit, habits } = drillCase;
  const now = contextOf(drillCase, units, bend);
  if (now.kind === 'faulty') return now;
  const { setup: resolved, gates } = now.context;
  const standing = new Set(gates.open.map(({ code }) => code));
  const ranked: Omit<RankedWater, 'why'>[] = [];
  const barred: BarredWater[] = [];
  for (const kind of COOLANT_IDS) {
    const { name, note } = COOLANTS[kind];
    const current = kind === resolved.coolant.id;
    const setup: Setup = {
      ...hole.setup,
      ...(resolved.machineOwned ? { machine: resolved.machine.id } : {}),
      hold: resolved.hold,
      water: current && hole.setup?.water ? hole.setup.water : { ...hole.setup?.water, kind },
    };
    const worked = contextOf(withSetup(drillCase, setup), units, bend);
    if (worked.kind === 'faulty') continue;
    const { context } = worked;
    const why =
      bars(kind, context, kit, units) ??
      context.gates.open.find(({ level, code }) => level === 'stop' && !standing.has(code))
        ?.message;
    if (why !== undefined) {
      barred.push({ kind, name, why });
      continue;
    }
    const owned = (kit.water ?? []).find((one) => one.kind === kind && !one.retired);
    ranked.push({
      kind,
      name,
      note,
      outcome: outcomeOf(context, habits),
      tempRiseK: context.tempRiseK,
      water: context.water,
      have: owned?.name ?? null,
      current,
      setup,
    });
  }
  ranked.sort(
    (a, b) =>
      a.outcome.cost.totalMoney - b.outcome.cost.totalMoney ||
      a.tempRiseK - b.tempRiseK ||
      a.kind.localeCompare(b.kind),
  );
  const [first] = ranked;
  return {
    kind: 'ranked',
    ranked: ranked.map((one, index) => ({
      ...one,
      why: first ? placeInWords(one.outcome, first.outcome, index, units) : '',
    })),
    barred,
  };
}

const hasSpindleWater = (kit: Kit, machine: Machine): boolean =>
  (machine.spindleWater ?? MACHINE_KINDS[machine.kind].spindleWater) ||
  (kit.couplings ?? []).some(({ carriesWater, retired }) => carriesWater === true && !retired);

/** What a form of piece, or the rim's speed, does not allow. */
function bars(
  kind: CoolantId,
  { piece, setup, headline }: PlanContext,
  kit: Kit,
  units: UnitSystem,
): string | undefined {
  const { rimSpeedMPerS } = headline.speed;
  const { kind: how, throwOffMPerS } = COOLANTS[kind];
  if (
    isBuilding(piece) &&
    (kind === 'still-bath' || kind === 'oil-bath' || kind === 'grinder-feed')
  )
    return 'A wall or floor does not go in a tray.';
  if (piece.assembled && (kind === 'still-bath' || kind === 'oil-bath'))
    return 'A built piece does not go in a tray.';
  const trays = (kit.water ?? []).filter((one) => one.kind === kind && !one.retired);
  if (trays.length > 0 && !trays.some((tray) => canWet(tray, piece)))
    return 'It does not lie in any tray you have.';
  if (trays.length === 0 && !canWet({ kind }, piece))
    return 'It is too big to lie in a bench tray.';
  if (kind === 'grinder-feed' && setup.machine.kind !== 'glass-grinder')
    return 'Only a glass grinder has one.';
  if (kind === 'spindle' && !hasSpindleWater(kit, setup.machine))
    return `${setup.machine.name} brings none through its spindle, and no water swivel is in the kit.`;
  if (kind === 'oil-bath' && piece.form !== 'bead')
    return 'Oil is for beads: it cools less than water.';
  if (how !== 'dry' && throwOffMPerS !== null && rimSpeedMPerS > throwOffMPerS * 1.001)
    return `Thrown off: the rim runs at ${formatRimSpeed(rimSpeedMPerS, units)}, and it holds to ${formatRimSpeed(throwOffMPerS, units)}.`;
  return undefined;
}
