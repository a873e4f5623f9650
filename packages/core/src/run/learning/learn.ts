import type { LoggedFactors } from '../../documents/experience';
import type { TimeSpread } from '../../documents/plan';
import { Z_90 } from '../../math/normal';
import { CHIP_SIZES_MM } from '../chipSizes';
import { fitBreakage } from './breakageModel';
import type { LoggedHole } from './loggedHole';
import { fitMixed, type MixedFit, type Target, type Trial } from './mixedModel';

export interface Learned {
  /** All that was logged, and how much of it is believed. */
  readonly runs: number;
  readonly used: number;
  /** Those that are, oldest first. */
  readonly believed: readonly LoggedHole[];
  /** How many of these are in a stone with a kind of bit; none of null. */
  readonly holesOf: (material: string | null, family: string | null) => number;
  readonly rate: MixedFit;
  /** Which holes are not believed, and why. */
  readonly doubted: readonly Pick<LoggedHole, 'id' | 'doubts' | 'choice'>[];
  /** Share of holes whose time fell inside a band of eight in ten made without them; null of too few. */
  readonly calibration: { readonly timeBand80: number | null; readonly n: number };
  /** Of which that is the share; none of too few. */
  readonly calibrated: readonly Calibrated[];
  /** What the log tells of a hole like this; null of what it tells nothing. */
  readonly factors: (target: Target) => Pick<LoggedFactors, 'time' | 'chip' | 'hazard'>;
}

/** A timed hole, and whether a band of eight in ten made without it held it. */
export interface Calibrated {
  readonly at: string;
  readonly material: string;
  readonly inside: boolean;
}

/** Less of the depth than this tells nothing of the rate. */
const MIN_SHARE = 0.1;
/** sd of ln(chip/planned) and of ln(time/planned) that plans come with where none says. */
const USUAL_SD = 0.55;
/** Fewer holes than this calibrate nothing. */
const MIN_TO_CALIBRATE = 10;
/** Odds as the hazard model takes them. */
const MIN_CRACK = 1e-4;

/**
 * What a log tells of the plans to come: rates, chips and breaking. Practice holes count for rate and hand, not for
 * breaking; holes that are not believed are left out of all.
 * @param now holes later than that are not believed
 */
export function learn(holes: readonly LoggedHole[], now: Date): Learned {
  const judged = judge(holes, now);
  const believed = judged.filter(
    ({ doubts, choice }) => choice === 'put-back' || doubts.length === 0,
  );
  const rateTrials = believed.flatMap(rateTrial);
  const rate = fitMixed(rateTrials, USUAL_SD);
  const calibrated = calibrate(rateTrials, rate);
  const chips = fitMixed(believed.flatMap(chipTrial), USUAL_SD, 'normal');
  const breakage = fitBreakage(
    believed
      .filter(({ practice }) => !practice)
      .map((one) => ({ ...one, planned: Math.max(MIN_CRACK, one.plannedCrack) })),
  );
  const pairs = new Map<string, number>();
  const pairOf = (material: string | null, family: string | null) => `${material} ${family}`;
  for (const { material, family } of believed) {
    const pair = pairOf(material, family);
    pairs.set(pair, (pairs.get(pair) ?? 0) + 1);
  }
  return {
    holesOf: (material, family) => pairs.get(pairOf(material, family)) ?? 0,
    runs: holes.length,
    used: believed.length,
    believed: believed.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at)),
    rate,
    doubted: judged.filter(({ doubts }) => doubts.length > 0),
    calibration: {
      timeBand80:
        calibrated.length > 0
          ? calibrated.filter(({ inside }) => inside).length / calibrated.length
          : null,
      n: rateTrials.length,
    },
    calibrated,
    factors: (target) => ({
      time: rate.effects.length > 0 ? rate.predict(target) : null,
      chip: chips.effects.length > 0 ? chips.predict(target) : null,
      hazard: breakage.trials > 0 ? breakage.predict(target) : null,
    }),
  };
}

/** Twice the same run, later than now, or beyond what a hole can take: kept and marked. */
function judge(holes: readonly LoggedHole[], now: Date): readonly LoggedHole[] {
  const seen = new Set<string>();
  return holes.map((hole) => {
    const doubts = new Set(hole.doubts);
    if (seen.has(hole.id)) doubts.add('twice');
    seen.add(hole.id);
    if (Date.parse(hole.at) > now.getTime()) doubts.add('future');
    if (Math.abs(lnRatioOf(hole) ?? 0) > ABSURD) doubts.add('absurd');
    if (hole.choice === 'left-out') doubts.add('left-out');
    return { ...hole, doubts: [...doubts] };
  });
}

/** ln of a hundred times as long, or as short: a slip of units, not a hole. */
const ABSURD = Math.log(100);

function lnRatioOf({ takenS, plannedS, share }: LoggedHole): number | null {
  if (takenS === null || takenS <= 0 || !plannedS || plannedS.p50 <= 0 || share < MIN_SHARE)
    return null;
  return Math.log(takenS / (plannedS.p50 * share));
}

const sdOf = ({ p10, p90 }: TimeSpread): number =>
  p90 > p10 && p10 > 0 ? Math.log(p90 / p10) / (2 * Z_90) : USUAL_SD;

function rateTrial(hole: LoggedHole): (Trial & Pick<LoggedHole, 'at'>)[] {
  const lnRatio = lnRatioOf(hole);
  return lnRatio === null || !hole.plannedS
    ? []
    : [{ ...hole, lnRatio, plannedSd: sdOf(hole.plannedS) }];
}

/** A chip held beside six drawn sizes lies between the middles to its neighbours. */
function chipTrial(hole: LoggedHole): Trial[] {
  const { exitChipMm, plannedChipMm } = hole;
  if (exitChipMm === null || !plannedChipMm || plannedChipMm.p50 <= 0) return [];
  const [low, high] = chipBounds(exitChipMm);
  const ln = (mm: number): number => Math.log(mm / plannedChipMm.p50);
  const within = [low > 0 ? ln(low) : -Infinity, ln(high)] as const;
  const middle = low > 0 && high < Infinity ? Math.sqrt(low * high) : low > 0 ? low : high;
  const plannedSd =
    plannedChipMm.p90 > plannedChipMm.p50
      ? Math.log(plannedChipMm.p90 / plannedChipMm.p50) / Z_90
      : USUAL_SD;
  return [{ ...hole, share: 1, lnRatio: ln(middle), within, plannedSd }];
}

/** Where a chip that was read as one of the sizes may really lie, mm; another is measured, to a tenth of itself. */
export function chipBounds(exitChipMm: number): readonly [low: number, high: number] {
  const at = CHIP_SIZES_MM.findIndex((size) => size === exitChipMm);
  if (at < 0) return [exitChipMm * 0.9, exitChipMm * 1.1];
  const [before, after] = [CHIP_SIZES_MM[at - 1], CHIP_SIZES_MM[at + 1]];
  const middle = (a: number, b: number): number => (a === 0 ? b / 2 : Math.sqrt(a * b));
  return [
    before === undefined ? 0 : middle(before, exitChipMm),
    after === undefined ? Infinity : middle(exitChipMm, after),
  ];
}

/** Each hole against a band made without it, with the variances that all of them share. */
const calibrate = (
  trials: readonly (Trial & Pick<LoggedHole, 'at'>)[],
  { withoutIt }: Pick<MixedFit, 'withoutIt'>,
): readonly Calibrated[] =>
  trials.length < MIN_TO_CALIBRATE
    ? []
    : trials.map(({ at, material, lnRatio }, i) => {
        const { mean, sd } = withoutIt(i);
        return { at, material, inside: Math.abs(lnRatio - mean) <= Z_90 * sd };
      });
