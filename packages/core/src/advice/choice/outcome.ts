import { bitPrice } from '../../setup/usualBit';
import { effortOf, type Effort } from '../../physics/effort/pressing';
import type { House } from '../../documents/house';
import { normalCdf } from '../../math/normal';
import type { ChipSpread, TimeSpread, WarningCode } from '../../documents/plan';
import type { PlanContext } from '../../plan/planContext';
import { warningsOf } from '../../plan/warnings';
import { exitChipSd } from '../../physics/spread';

/** An hour at the bench, in one's own money, until the workshop says what it is worth. */
export const HOUR_MONEY = 20;
/** A piece nobody has put a value on. */
export const PIECE_MONEY = 20;
/** An exit chip that shows spoils this share of the piece's value: it can often be hidden or eased. */
const CHIP_SPOILS = 0.3;

/** What a hole is expected to cost, in one's own money. */
export interface HoleCost {
  readonly totalMoney: number;
  readonly timeMoney: number;
  /** The bit's price times the share of its life this hole takes. */
  readonly wearMoney: number;
  /** Odds of a crack times the piece, and of a chip that shows times a part of it. */
  readonly lossMoney: number;
  /** Which of hour, bit price and piece value are ours, not the person's. */
  readonly presumed: readonly ('hour' | 'bit' | 'piece')[];
}

/** One way of drilling the hole, in the figures by which ways are told apart. */
export interface Outcome {
  readonly timeS: TimeSpread | null;
  readonly crackProbability: number;
  readonly chipMm: ChipSpread | null;
  /** Odds that the exit chip is wider than allowed; 0 where there is no exit. */
  readonly chipOverOdds: number;
  readonly allowedChipMm: number | null;
  readonly feedForceN: number;
  readonly rpm: number;
  readonly effort: Effort;
  readonly cost: HoleCost;
  readonly warnings: readonly WarningCode[];
}

export function outcomeOf(context: PlanContext, house: House = {}): Outcome {
  const { time, crack, chip, exit, headline, setup } = context;
  const chipOverOdds = chipOver(context);
  return {
    timeS: time.spread,
    crackProbability: crack.total,
    chipMm: chip,
    chipOverOdds,
    allowedChipMm: exit && exit.allowedChipMm,
    feedForceN: headline.force.feedForceN,
    rpm: headline.speed.rpm,
    effort: effortOf(
      headline.force.feedForceN,
      time.cuttingS,
      setup.hold,
      setup.machine,
      setup.feedAid,
    ),
    cost: costOf(context, chipOverOdds, house),
    warnings: warningsOf(context),
  };
}

/** P(W > allowed) of the chip's log-normal. */
function chipOver({ chip, exit, setup, headline }: PlanContext): number {
  if (!chip || !exit || chip.p50 <= 0) return 0;
  const sd = exitChipSd(setup.hold, headline.sharpness, headline.bit.diameterMm);
  return 1 - normalCdf(Math.log(exit.allowedChipMm / chip.p50) / sd);
}

/** Time at the bench's rate, the bit's wear, and what is lost when it goes wrong. */
function costOf(context: PlanContext, chipOverOdds: number, house: House): HoleCost {
  const { time, crack, piece, setup, bitLife, depthMm } = context;
  const hour = house.hourMoney ?? HOUR_MONEY;
  const value = piece.valueMoney ?? PIECE_MONEY;
  const seconds = time.spread?.p50 ?? Infinity;
  const timeMoney = (hour * seconds) / 3600;
  const wearMoney = setup.bits.reduce(
    (sum, { bit }) => sum + (bitPrice(bit) * depthMm) / bitLife.lifeDepthMm,
    0,
  );
  const lossMoney = value * (crack.total + (1 - crack.total) * CHIP_SPOILS * chipOverOdds);
  return {
    totalMoney: timeMoney + wearMoney + lossMoney,
    timeMoney,
    wearMoney,
    lossMoney,
    presumed: [
      ...(house.hourMoney === undefined ? (['hour'] as const) : []),
      ...(setup.finishing.bit.price === undefined ? (['bit'] as const) : []),
      ...(piece.valueMoney === undefined ? (['piece'] as const) : []),
    ],
  };
}
