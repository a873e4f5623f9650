import type { Experience } from '../documents/experience';
import type { ChipSpread, FromLog, TimeSpread } from '../documents/plan';
import type { CrackOdds } from '../physics/strength/crackOdds';
import { exitChipSd, logNormalP90 } from '../physics/spread';
import { timesOf, type CutPlan } from './planCut';

/** P = 1 − (1 − p)^k: odds whose hazard −ln(1 − p) is k times as great. */
const withHazard = (odds: number, times: number): number => -Math.expm1(times * Math.log1p(-odds));

/** How many times the hazard the log makes of a cut's. */
export const hazardTimes = ({ setup }: Pick<CutPlan, 'setup'>): number =>
  Math.exp(setup.logged?.hazard?.mean ?? 0);

/** Odds of breaking as the log corrects them, each way of breaking alike. */
export function loggedCrack(crack: CrackOdds, times: number): CrackOdds {
  return {
    ...crack,
    byStress: withHazard(crack.byStress, times),
    byHand: withHazard(crack.byHand, times),
    byTreatment: withHazard(crack.byTreatment, times),
    total: withHazard(crack.total, times),
  };
}

/** What the plan took from the log, beside what it would be without: that is what runs are set against. */
export function fromLog(
  experience: Experience | null | undefined,
  main: CutPlan,
  calculated: {
    readonly timeS: TimeSpread | null;
    readonly chip: ChipSpread | null;
    /** The exit's own cut, where a far face is opened. */
    readonly exitCut: CutPlan | null;
    readonly crack: CrackOdds;
  },
): FromLog | null {
  const { logged } = main.setup;
  if (!experience || !logged) return null;
  const { hash, at, holes } = experience;
  return {
    hash,
    at,
    holes,
    alike: logged.holes,
    times: timesOf(main.setup),
    hazardSd: logged.hazard?.sd ?? null,
    asNew: {
      drillTimeS: calculated.timeS,
      exitChipMm: chipAsNew(calculated.chip, calculated.exitCut),
      crackProbability: calculated.crack.total,
    },
  };
}

/** The chip that is calculated at the same force. */
function chipAsNew(chip: ChipSpread | null, cut: CutPlan | null): ChipSpread | null {
  if (!chip || !cut?.exit) return chip;
  const p50 = chip.p50 / cut.exit.conditions.chipTimes;
  const { setup, headline } = cut;
  return {
    p50,
    p90: logNormalP90(p50, exitChipSd(setup.hold, headline.sharpness, headline.bit.diameterMm)),
  };
}
