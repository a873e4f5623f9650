import { isBuilding } from '../../data/pieceForms';
import { type DrillCase, withSetup } from '../../setup/drillCase';
import { COOLANT_IDS, COOLANTS, type CoolantId } from '../../data/coolants';
import type { JobFault } from '../../setup/jobFault';
import { MACHINE_KINDS } from '../../data/machines/machineKinds';
import type { Machine, Kit } from '../../documents/kit';
import type { Setup } from '../../documents/setup';
import { contextOf } from '../../plan/contextOf';
import type { PlanContext } from '../../plan/planContext';
import type { WaterPlan } from '../../documents/plan';
import type { Bend } from '../../physics/plate/bender';
import { outcomeOf, type Outcome } from './outcome';
import type { HazardCode, RaisedGate } from '../../setup/hazards/judgeHazards';
import { canWet } from './waterMeans';

/** One way of wetting this hole, with what it comes to. */
export interface RankedWater {
  readonly kind: CoolantId;
  readonly outcome: Outcome;
  /** What it was worked out from. */
  readonly context: PlanContext;
  readonly tempRiseK: number;
  readonly water: WaterPlan;
  readonly have: string | null;
  readonly current: boolean;
  readonly setup: Setup;
}

/** Why a way of wetting does not do here. */
export type WaterBar =
  | {
      readonly code: 'building-in-tray' | 'built-in-tray' | 'no-tray-holds-it' | 'too-big-for-tray';
    }
  | { readonly code: 'not-a-glass-grinder' | 'oil-is-for-beads' }
  | { readonly code: 'no-spindle-water'; readonly machine: string }
  | {
      readonly code: 'thrown-off';
      readonly rimSpeedMPerS: number;
      readonly throwOffMPerS: number;
    }
  | { readonly code: 'gate'; readonly gate: RaisedGate };

export interface BarredWater {
  readonly kind: CoolantId;
  readonly bar: WaterBar;
}

export type WaterOutcome =
  | {
      readonly kind: 'ranked';
      readonly ranked: readonly RankedWater[];
      readonly barred: readonly BarredWater[];
    }
  | { readonly kind: 'faulty'; readonly faults: readonly JobFault[] };

/** Every way of wetting, the least expected cost first; all else as planned. */
export function rankWater(drillCase: DrillCase, bend: Bend): WaterOutcome {
  const { hole, kit, habits } = drillCase;
  const now = contextOf(drillCase, bend);
  if (now.kind === 'faulty') return now;
  const { setup: resolved, gates } = now.context;
  const standing = new Set(gates.open.map(({ code }) => code));
  const ranked: RankedWater[] = [];
  const barred: BarredWater[] = [];
  for (const kind of COOLANT_IDS) {
    const current = kind === resolved.coolant.id;
    const setup: Setup = {
      ...hole.setup,
      ...(resolved.machineOwned ? { machine: resolved.machine.id } : {}),
      hold: resolved.hold,
      water: current && hole.setup?.water ? hole.setup.water : { ...hole.setup?.water, kind },
    };
    const worked = contextOf(withSetup(drillCase, setup), bend);
    if (worked.kind === 'faulty') continue;
    const { context } = worked;
    const bar = barOf(kind, context, kit) ?? newStop(context, standing);
    if (bar) {
      barred.push({ kind, bar });
      continue;
    }
    const owned = (kit.water ?? []).find((one) => one.kind === kind && !one.retired);
    ranked.push({
      kind,
      outcome: outcomeOf(context, habits),
      context,
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
  return { kind: 'ranked', ranked, barred };
}

/** A stop that this way of wetting would raise anew. */
function newStop({ gates }: PlanContext, standing: ReadonlySet<HazardCode>): WaterBar | null {
  const gate = gates.open.find(
    ({ finding, code }) => finding.level === 'stop' && !standing.has(code),
  );
  return gate ? { code: 'gate', gate } : null;
}

const hasSpindleWater = (kit: Kit, machine: Machine): boolean =>
  (machine.spindleWater ?? MACHINE_KINDS[machine.kind].spindleWater) ||
  (kit.couplings ?? []).some(({ carriesWater, retired }) => carriesWater === true && !retired);

/** What a form of piece, or the rim's speed, does not allow. */
function barOf(
  kind: CoolantId,
  { piece, setup, headline }: PlanContext,
  kit: Kit,
): WaterBar | null {
  const { rimSpeedMPerS } = headline.speed;
  const { kind: how, throwOffMPerS } = COOLANTS[kind];
  const inBath = kind === 'still-bath' || kind === 'oil-bath';
  if (isBuilding(piece) && COOLANTS[kind].inTray) return { code: 'building-in-tray' };
  if (piece.assembled && inBath) return { code: 'built-in-tray' };
  const trays = (kit.water ?? []).filter((one) => one.kind === kind && !one.retired);
  if (trays.length > 0 && !trays.some((tray) => canWet(tray, piece)))
    return { code: 'no-tray-holds-it' };
  if (trays.length === 0 && !canWet({ kind }, piece)) return { code: 'too-big-for-tray' };
  if (kind === 'grinder-feed' && setup.machine.kind !== 'glass-grinder')
    return { code: 'not-a-glass-grinder' };
  if (kind === 'spindle' && !hasSpindleWater(kit, setup.machine))
    return { code: 'no-spindle-water', machine: setup.machine.name };
  if (kind === 'oil-bath' && piece.form !== 'bead') return { code: 'oil-is-for-beads' };
  return how !== 'dry' && throwOffMPerS !== null && rimSpeedMPerS > throwOffMPerS * 1.001
    ? { code: 'thrown-off', rimSpeedMPerS, throwOffMPerS }
    : null;
}
