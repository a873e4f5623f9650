import { type DrillCase, withSetup } from '../../setup/drillCase';
import type { Fault } from '../../documents/fault';
import type { Piece } from '../../documents/piece';
import type { Setup, SupportSetup } from '../../documents/setup';
import { contextOf } from '../../plan/makePlan';
import type { PlanContext } from '../../plan/planContext';
import { stressText } from '../../plan/stressOf';
import type { Bend } from '../../physics/plate/bender';
import type { Bending } from '../../documents/bending';
import { SUPPORT_IDS, SUPPORTS, type Support, type SupportId } from '../../data/supports';
import { METRIC, type UnitSystem } from '../../words/units/unitSystem';
import { outcomeOf, type Outcome } from './outcome';
import { stabilityOf, type Stability } from './stability';
import { placeInWords } from '../../words/advice/placeInWords';

/** One thing to lay the piece on, with what it comes to. */
export interface RankedSupport {
  readonly kind: SupportId;
  readonly name: string;
  readonly note: string;
  readonly outcome: Outcome;
  readonly bending: Bending;
  /** Bending, heat and built-in together, MPa. */
  readonly stressMpa: number;
  readonly stability: Stability | null;
  /** A flat piece, or a bed that follows an odd one. */
  readonly suits: boolean;
  /** What it wants, each to follow “wants”. */
  readonly needs: readonly string[];
  /** What of the kit is this; null where nothing is. */
  readonly have: string | null;
  readonly why: string;
  readonly current: boolean;
  readonly setup: Setup;
}

export type SupportsOutcome =
  | {
      readonly kind: 'ranked';
      readonly ranked: readonly RankedSupport[];
      /** Those that cannot, and why. */
      readonly barred: readonly { readonly name: string; readonly why: string }[];
    }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/**
 * Everything the piece could lie on, the least expected cost first: the same force, bit and water on
 * each. Walls and floors lie on nothing, and rank nothing.
 */
export function rankSupports(
  drillCase: DrillCase,
  bend: Bend,
  units: UnitSystem = METRIC,
): SupportsOutcome {
  const { piece } = drillCase;
  const now = contextOf(drillCase, units, bend);
  if (now.kind === 'faulty') return now;
  if (piece.form === 'wall' || piece.form === 'floor')
    return { kind: 'ranked', ranked: [], barred: [] };
  const scene = { drillCase, now: now.context, bend, units };
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
  const [first] = ranked;
  return {
    kind: 'ranked',
    ranked: ranked.map((one, index) => ({
      ...one,
      why: first ? placeInWords(one.outcome, first.outcome, index, units) : '',
    })),
    barred: [
      ...tried
        .filter(({ bending }) => bending.kind === 'trouble')
        .map(({ name, text }) => ({ name, why: text })),
      ...SUPPORT_IDS.filter((id) => !canBeUnder(id, piece)).map((id) => ({
        name: SUPPORTS[id].name,
        why: 'A built piece does not lie in a bed: hold a board or foam behind it.',
      })),
    ],
  };
}

interface Scene {
  readonly drillCase: DrillCase;
  readonly now: PlanContext;
  readonly bend: Bend;
  readonly units: UnitSystem;
}

function tryOn(scene: Scene, id: SupportId): (RankedSupport & { readonly text: string }) | null {
  const { drillCase, now, bend, units } = scene;
  const { piece, hole, kit, habits } = drillCase;
  const support: Support = SUPPORTS[id];
  const current = id === now.setup.support.id;
  const setup: Setup = { ...hole.setup, support: supportOf(hole.setup?.support, id, current) };
  const worked = contextOf(withSetup(drillCase, setup), units, bend);
  if (worked.kind === 'faulty') return null;
  const { context } = worked;
  const { bending } = context;
  return {
    kind: id,
    name: id === 'nothing' ? heldName(context) : support.name,
    note: support.note,
    outcome: outcomeOf(context, habits),
    bending,
    stressMpa: context.crack.stressMpa,
    stability: bending.kind === 'bent' ? stabilityOf(bending.deflectionMm) : null,
    suits: isFlat(piece) || support.follows,
    needs: needsOf(scene, id),
    have: (kit.supports ?? []).find((one) => one.kind === id && one.retired !== true)?.name ?? null,
    why: '',
    current,
    setup,
    text: stressText(context),
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

const heldName = ({ setup }: PlanContext): string =>
  setup.support.edgesHeld === 'four'
    ? 'Held round its edges'
    : setup.support.edgesHeld === 'two'
      ? 'Over two battens'
      : SUPPORTS.nothing.name;

/** What lies in a tray or takes a shape is no use behind a piece that stands built. */
const canBeUnder = (id: SupportId, { assembled }: Piece): boolean =>
  !(assembled && (id === 'wet-sand' || id === 'mouldable-plastic'));

const isFlat = ({ form }: Piece): boolean => form === 'sheet' || form === 'slab';

/** From here on a bed does not follow a piece that is not flat, N/mm³. */
const HARD_BED = 10;

function needsOf({ drillCase: { piece }, now }: Scene, id: SupportId): readonly string[] {
  const support: Support = SUPPORTS[id];
  const isBath = now.setup.coolant.kind === 'standing' && now.setup.coolant.id !== 'pool';
  const lines = [
    !isFlat(piece) && !support.follows && id !== 'nothing'
      ? 'a cradle, or a bed that follows: a round or odd piece touches this in a line or at points'
      : null,
    isFlat(piece) && support.foundationNPerMm3 >= HARD_BED
      ? 'a piece as flat as it is: lay it on and feel for rocking'
      : null,
    support.usedUp ? 'a fresh place for each hole' : null,
    isBath && support.inWater === 'floats' ? 'a weight on it: it floats in the bath' : null,
    support.inWater === 'swells' && now.setup.coolant.kind !== 'dry'
      ? 'drying after: it swells where it stays wet'
      : null,
    id === 'nothing' ? 'a hand or tape behind for the plug' : null,
  ];
  return lines.filter((line) => line !== null);
}
