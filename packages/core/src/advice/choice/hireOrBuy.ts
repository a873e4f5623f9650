import { isBuilding } from '../../data/pieceForms';
import { withSetup, type DrillCase } from '../../setup/drillCase';
import { BIT_FAMILIES, BIT_FAMILY_IDS, type BitFamilyId } from '../../data/bits/bitFamilies';
import { bitPrice, usualBit } from '../../setup/usualBit';
import type { JobFault } from '../../setup/jobFault';
import type { Bit, Machine } from '../../documents/kit';
import { MACHINE_KINDS, type MachineKindId } from '../../data/machines/machineKinds';
import { machineFits, suits } from '../../setup/assumeSetup';
import { contextOf } from '../../plan/contextOf';
import type { PlanContext } from '../../plan/planContext';
import { lifeDepth } from '../../physics/wear/sharpness';
import { HOUR_MONEY, outcomeOf, PIECE_MONEY } from './outcome';

export const WAYS_TO_HAVE_IT = ['cheap-bit', 'good-bit', 'hired-rig', 'ordered-in'] as const;
export type WayToHaveIt = (typeof WAYS_TO_HAVE_IT)[number];

/** Prices in one's own money; all can be changed. */
export interface HirePrices {
  readonly hourMoney: number;
  readonly cheapBitMoney: number;
  readonly goodBitMoney: number;
  readonly rigDayMoney: number;
  /** What one hole costs where others drill it, and what bringing it there costs once. */
  readonly orderedHoleMoney: number;
  readonly orderedTripMoney: number;
}

/** One way of having n holes. */
export interface HireOption {
  readonly way: WayToHaveIt;
  /** What it is done with; null where others drill it. */
  readonly family: BitFamilyId | null;
  readonly machine: MachineKindId | null;
  /** Whether the piece can be taken to those who drill it. */
  readonly movable: boolean;
  /** How many holes one bit does, and a day at the rig. */
  readonly holesPerBit: number;
  readonly holesPerDay: number | null;
  /** Cost of 1 … most holes, in order. */
  readonly costMoney: readonly number[];
  /** Time at the bench for one hole, s; 0 where others drill it. */
  readonly perHoleS: number;
  /** Bits spent on 1 … most holes. */
  readonly bits: readonly number[];
}

export interface HireOrBuy {
  readonly options: readonly HireOption[];
  readonly prices: HirePrices;
  /** From how many holes on which way is cheapest, in rising order; the first is from 1. */
  readonly cheapestFrom: readonly { readonly holes: number; readonly way: WayToHaveIt }[];
}

export type HireOutcome =
  | { readonly kind: 'weighed'; readonly hireOrBuy: HireOrBuy }
  | { readonly kind: 'faulty'; readonly faults: readonly JobFault[] };

export const MAX_HOLES = 60;
/** Hours at a rig in a day, the rest is fetching and cleaning. */
const RIG_DAY_H = 6;
/** Marking, bedding and cleaning for each hole, s. */
const ROUND_HOLE_S = 420;
const RIG_DAY_MONEY = { building: 45, bench: 25 } as const;
const ORDERED_HOLE_MONEY = 15;
const ORDERED_TRIP_MONEY = 20;

/**
 * What one to sixty holes like this cost with a cheap bit, a good bit, a hired rig, or ordered in.
 * Each way is planned as the hole it would be; bits are bought whole as their life is cut away.
 * @param own prices that are known better than the usual ones
 */
export function hireOrBuy(drillCase: DrillCase, own: Partial<HirePrices> = {}): HireOutcome {
  const { hole, habits } = drillCase;
  const asIs = contextOf(drillCase);
  if (asIs.kind === 'faulty') return asIs;
  const { piece, headline } = asIs.context;
  const building = isBuilding(piece);
  const families = familiesFor(asIs.context);
  const price = (family: BitFamilyId): number => bitPrice({ family, diameterMm: hole.diameterMm });
  const byPrice = [...families].sort((a, b) => price(a) - price(b) || a.localeCompare(b));
  const cheap = byPrice[0] ?? asIs.context.setup.finishing.bit.family;
  const life = (family: BitFamilyId): number =>
    lifeDepth(family, headline.material, { dry: false, tooFast: false, tooHard: false }).p50;
  const good = byPrice.reduce((best, one) => (life(one) > life(best) ? one : best), cheap);
  const prices: HirePrices = {
    hourMoney: habits.hourMoney ?? HOUR_MONEY,
    cheapBitMoney: price(cheap),
    goodBitMoney: price(good),
    rigDayMoney: building ? RIG_DAY_MONEY.building : RIG_DAY_MONEY.bench,
    orderedHoleMoney: ORDERED_HOLE_MONEY,
    orderedTripMoney: ORDERED_TRIP_MONEY,
    ...own,
  };
  const rig: MachineKindId = building ? 'stand-core-drill' : 'bench-drill-press';
  const value = piece.valueMoney ?? PIECE_MONEY;
  const tried = (family: BitFamilyId, machine?: MachineKindId): Tried | null =>
    tryWith(drillCase, family, machine, value);
  const cheapTry = tried(cheap);
  const goodTry = good === cheap ? null : tried(good);
  // What cannot be brought to the piece is not hired for it.
  const rigTry = machineFits({ kind: rig }, piece, headline.material) ? tried(good, rig) : null;
  const movable = headline.material.class !== 'masonry' || !building;
  const options = [
    ...(cheapTry ? [ownBit('cheap-bit', cheap, cheapTry, prices.cheapBitMoney, prices)] : []),
    ...(goodTry ? [ownBit('good-bit', good, goodTry, prices.goodBitMoney, prices)] : []),
    ...(rigTry ? [hired(good, rig, rigTry, prices)] : []),
    orderedIn(prices, movable),
  ];
  const cheapestFrom = turningPoints(options);
  return {
    kind: 'weighed',
    hireOrBuy: { options, prices, cheapestFrom },
  };
}

/** What one hole takes, tried as planned with a new bit of a family. */
interface Tried {
  readonly perHoleS: number;
  readonly lossMoney: number;
  readonly holesPerBit: number;
}

function familiesFor({ hole, layers, depthPerSideMm, headline }: PlanContext): BitFamilyId[] {
  const materials = layers.flatMap((layer) => layer.parts.map((part) => part.cut.material));
  return BIT_FAMILY_IDS.filter((family) => {
    const { diameterMm, solid, usableDepthMm } = BIT_FAMILIES[family];
    return (
      hole.diameterMm >= diameterMm[0] &&
      hole.diameterMm <= diameterMm[1] &&
      materials.every((material) => suits(family, material)) &&
      !(BIT_FAMILIES[family].mayRunDry && family !== 'segmented-core' && !headline.dry) &&
      // A core can be broken out once and carried on; a solid bit cannot.
      usableDepthMm[1] * (solid ? 1 : 2) >= depthPerSideMm
    );
  });
}

function tryWith(
  drillCase: DrillCase,
  family: BitFamilyId,
  machineKind: MachineKindId | undefined,
  value: number,
): Tried | null {
  const { hole, kit, habits } = drillCase;
  const { hold, start, bits: _bits, ...setup } = hole.setup ?? {};
  const bit: Bit = { id: 'tried-bit', name: 'New bit', ...usualBit(family, hole.diameterMm) };
  const machine: Machine | null = machineKind
    ? { id: 'tried-machine', name: MACHINE_KINDS[machineKind].name, kind: machineKind }
    : null;
  const trial: DrillCase = {
    ...withSetup(drillCase, {
      ...setup,
      bit: bit.id,
      ...(machine
        ? { machine: machine.id }
        : { ...(hold ? { hold } : {}), ...(start ? { start } : {}) }),
    }),
    kit: {
      ...kit,
      bits: [bit],
      machines: [...(kit.machines ?? []), ...(machine ? [machine] : [])],
    },
  };
  const worked = contextOf(trial);
  if (worked.kind === 'faulty') return null;
  const { context } = worked;
  const outcome = outcomeOf(context, habits);
  if (!outcome.timeS) return null;
  return {
    perHoleS: outcome.timeS.p50 + ROUND_HOLE_S,
    lossMoney: value * outcome.crackProbability,
    holesPerBit: Math.max(1, Math.floor(context.bitLife.lifeDepthMm / context.depthMm)),
  };
}

const counts = Array.from({ length: MAX_HOLES }, (_, index) => index + 1);

function ownBit(
  way: 'cheap-bit' | 'good-bit',
  family: BitFamilyId,
  tried: Tried,
  bitMoney: number,
  { hourMoney }: HirePrices,
): HireOption {
  const bits = counts.map((holes) => Math.ceil(holes / tried.holesPerBit));
  const each = (hourMoney * tried.perHoleS) / 3600 + tried.lossMoney;
  return {
    way,
    family,
    machine: null,
    movable: true,
    holesPerBit: tried.holesPerBit,
    holesPerDay: null,
    costMoney: counts.map((holes, index) => holes * each + (bits[index] ?? 0) * bitMoney),
    perHoleS: tried.perHoleS,
    bits,
  };
}

function hired(
  family: BitFamilyId,
  machine: MachineKindId,
  tried: Tried,
  { hourMoney, rigDayMoney, goodBitMoney }: HirePrices,
): HireOption {
  const each = (hourMoney * tried.perHoleS) / 3600 + tried.lossMoney;
  const aDay = Math.max(1, Math.floor((RIG_DAY_H * 3600) / tried.perHoleS));
  const bits = counts.map((holes) => Math.ceil(holes / tried.holesPerBit));
  return {
    way: 'hired-rig',
    family,
    machine,
    movable: true,
    holesPerBit: tried.holesPerBit,
    holesPerDay: aDay,
    costMoney: counts.map(
      (holes) =>
        holes * each +
        Math.ceil(holes / aDay) * rigDayMoney +
        (holes / tried.holesPerBit) * goodBitMoney,
    ),
    perHoleS: tried.perHoleS,
    bits,
  };
}

const orderedIn = (
  { orderedHoleMoney, orderedTripMoney }: HirePrices,
  movable: boolean,
): HireOption => ({
  way: 'ordered-in',
  family: null,
  machine: null,
  movable,
  holesPerBit: Infinity,
  holesPerDay: null,
  costMoney: counts.map((holes) => orderedTripMoney + holes * orderedHoleMoney),
  perHoleS: 0,
  bits: counts.map(() => 0),
});

function turningPoints(options: readonly HireOption[]): HireOrBuy['cheapestFrom'] {
  const points: { holes: number; way: WayToHaveIt }[] = [];
  counts.forEach((holes, index) => {
    const cheapest = options.reduce((best, one) =>
      (one.costMoney[index] ?? Infinity) < (best.costMoney[index] ?? Infinity) ? one : best,
    );
    if (points.at(-1)?.way !== cheapest.way) points.push({ holes, way: cheapest.way });
  });
  return points;
}
