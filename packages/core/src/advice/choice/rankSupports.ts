import { isBuilding, isFlat } from '../../data/pieceForms';
import { type DrillCase, withSetup } from '../../setup/drillCase';
import type { JobFault } from '../../setup/jobFault';
import type { Piece } from '../../documents/piece';
import type { Setup, SupportSetup } from '../../documents/setup';
import { contextOf } from '../../plan/contextOf';
import type { PlanContext } from '../../plan/planContext';
import type { Bend } from '../../physics/plate/bender';
import type { Bending } from '../../documents/bending';
import { SUPPORT_IDS, SUPPORTS, type Support, type SupportId } from '../../data/supports';
import { outcomeOf, type Outcome } from './outcome';
import { stabilityOf, type Stability } from './stability';

/** What lying on something asks for besides. */
export const SUPPORT_NEEDS = [
  'cradle',
  'flat-piece',
  'fresh-place',
  'weight',
  'drying',
  'catch-plug',
] as const;
export type SupportNeed = (typeof SUPPORT_NEEDS)[number];

/** One thing to lay the piece on, with what it comes to. */
export interface RankedSupport {
  readonly kind: SupportId;
  readonly outcome: Outcome;
  /** What it was worked out from. */
  readonly context: PlanContext;
  readonly bending: Bending;
  /** Bending, heat and built-in together, MPa. */
  readonly stressMpa: number;
  readonly stability: Stability | null;
  /** A flat piece, or a bed that follows an odd one. */
  readonly suits: boolean;
  readonly needs: readonly SupportNeed[];
  /** What of the kit is this; null where nothing is. */
  readonly have: string | null;
  readonly current: boolean;
  readonly setup: Setup;
}

export type SupportsOutcome =
  | {
      readonly kind: 'ranked';
      readonly ranked: readonly RankedSupport[];
      /** Those on which it is in trouble, and those that go under no built piece. */
      readonly troubled: readonly RankedSupport[];
      readonly barred: readonly SupportId[];
    }
  | { readonly kind: 'faulty'; readonly faults: readonly JobFault[] };

/**
 * Everything the piece could lie on, the least expected cost first: the same force, bit and water on
 * each. Walls and floors lie on nothing, and rank nothing.
 */
export function rankSupports(drillCase: DrillCase, bend: Bend): SupportsOutcome {
  const { piece } = drillCase;
  const now = contextOf(drillCase, bend);
  if (now.kind === 'faulty') return now;
  if (isBuilding(piece)) return { kind: 'ranked', ranked: [], troubled: [], barred: [] };
  const scene = { drillCase, now: now.context, bend };
  const tried = SUPPORT_IDS.filter((id) => canBeUnder(id, piece)).flatMap(
    (id) => tryOn(scene, id) ?? [],
  );
  const ranked = tried
    .filter(({ bending }) => bending.kind !== 'trouble')
    .sort(
      (a, b) =>
        Number(b.suits) - Number(a.suits) ||
        a.outcome.cost.totalMoney - b.outcome.cost.totalMoney ||
        a.stressMpa - b.stressMpa ||
        a.kind.localeCompare(b.kind),
    );
  return {
    kind: 'ranked',
    ranked,
    troubled: tried.filter(({ bending }) => bending.kind === 'trouble'),
    barred: SUPPORT_IDS.filter((id) => !canBeUnder(id, piece)),
  };
}

interface Scene {
  readonly drillCase: DrillCase;
  readonly now: PlanContext;
  readonly bend: Bend;
}

function tryOn(scene: Scene, id: SupportId): RankedSupport | null {
  const { drillCase, now, bend } = scene;
  const { piece, hole, kit, habits } = drillCase;
  const support: Support = SUPPORTS[id];
  const current = id === now.setup.support.id;
  const setup: Setup = { ...hole.setup, support: supportOf(hole.setup?.support, id, current) };
  const worked = contextOf(withSetup(drillCase, setup), bend);
  if (worked.kind === 'faulty') return null;
  const { context } = worked;
  const { bending } = context;
  return {
    kind: id,
    outcome: outcomeOf(context, habits),
    context,
    bending,
    stressMpa: context.crack.stressMpa,
    stability: bending.kind === 'bent' ? stabilityOf(bending.deflectionMm) : null,
    suits: isFlat(piece) || support.follows,
    needs: needsOf(scene, id),
    have: (kit.supports ?? []).find((one) => one.kind === id && one.retired !== true)?.name ?? null,
    current,
    setup,
  };
}

/** The place and the piece stay as they are; only what lies under it changes. */
const supportOf = (
  given: SupportSetup | undefined,
  kind: SupportId,
  current: boolean,
): SupportSetup => {
  if (current && given) return given;
  const { thicknessMm: _thickness, edgesHeld: _edges, ...rest } = given ?? { kind };
  return { ...rest, kind };
};

/** What lies in a tray or takes a shape is no use behind a piece that stands built. */
const canBeUnder = (id: SupportId, { assembled }: Piece): boolean =>
  !(assembled && (id === 'wet-sand' || id === 'mouldable-plastic'));

/** From here on a bed does not follow a piece that is not flat, N/mm³. */
const HARD_BED = 10;

function needsOf({ drillCase: { piece }, now }: Scene, id: SupportId): readonly SupportNeed[] {
  const support: Support = SUPPORTS[id];
  const { coolant } = now.setup;
  const isBath = coolant.kind === 'standing' && coolant.id !== 'pool';
  const needs: Readonly<Record<SupportNeed, boolean>> = {
    cradle: !isFlat(piece) && !support.follows && id !== 'nothing',
    'flat-piece': isFlat(piece) && support.foundationNPerMm3 >= HARD_BED,
    'fresh-place': support.usedUp,
    weight: isBath && support.inWater === 'floats',
    drying: support.inWater === 'swells' && coolant.kind !== 'dry',
    'catch-plug': id === 'nothing',
  };
  return SUPPORT_NEEDS.filter((need) => needs[need]);
}
