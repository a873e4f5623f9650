import {
  AROUND_IDS,
  BIT_SWAP_S,
  liftS,
  PAUSE_IDS,
  START_S,
  type Around,
  type Pause,
} from '../physics/cutting/pauses';
import { solidCentreSeatTime } from '../physics/cutting/stages';
import { fatigue, restAllowance } from '../physics/effort/armForce';
import { handForce } from '../physics/effort/pressing';
import type { PressedCut } from '../physics/cutting/pressedTime';
import {
  AROUND_SD,
  cuttingTimeParts,
  logNormalSpan,
  partsSd,
  spanSd,
  PAUSES_SD,
  sumSpread,
} from '../physics/spread';
import type { LayerCut, MaterialCut } from '../setup/cutLayers';
import type { PlannedStage, TimeSpread } from '../documents/plan';
import { cutIfOther, type PossibleMaterial } from '../setup/possibilities';
import { mixtureQuantile, type LogNormalPart } from '../math/logNormalMixture';
import type { ResolvedSetup } from '../setup/resolvedSetup';

export interface TimeInputs {
  /** sd of ln(thickness). */
  readonly thicknessSd: number;
  /** What the piece may be, where nobody is sure. */
  readonly possible: readonly PossibleMaterial[];
  readonly setup: ResolvedSetup;
  readonly headline: MaterialCut;
  readonly layers: readonly LayerCut[];
  readonly stages: readonly PlannedStage[];
  readonly liftCount: number;
  readonly waterChangeCount: number;
  /** Into the whole: its groove is still to be won. */
  readonly isFresh: boolean;
  /** Another bit was on before. */
  readonly swapped: boolean;
}

/** The time of one operation. */
export interface OperationTime {
  /** Between first touch and through, s. */
  readonly pauses: Partial<Readonly<Record<Pause, number>>>;
  /** Before and after, s. */
  readonly around: Partial<Readonly<Record<Around, number>>>;
}

/** The time of one cut. */
export interface CutTime extends OperationTime {
  /** Infinity where some stage does not cut at all. */
  readonly cuttingS: number;
  readonly restsS: number;
  readonly restShare: number;
  /** Cutting with its rests; null where some stage does not cut at all. */
  readonly work: TimeSpread | null;
  /** sd of ln(cutting time). */
  readonly sd: number;
  readonly cuts: readonly PressedCut[];
}

/** The time of a whole hole. */
export interface TimeBreakdown {
  /** null when some stage does not cut at all. */
  readonly spread: TimeSpread | null;
  /** Setting up and taking down with it; null when some stage does not cut at all. */
  readonly altogether: TimeSpread | null;
  readonly cuttingS: number;
  /** Rests the arms need while they press, s; and over the cutting. */
  readonly restsS: number;
  readonly restShare: number;
  /** Between first touch and through, s. */
  readonly pauses: Readonly<Record<Pause, number>>;
  readonly pausesS: number;
  /** Before and after, s. */
  readonly around: Readonly<Record<Around, number>>;
  /** Everything that is cut, with its rests, by how hard it is pressed. */
  readonly cuts: readonly PressedCut[];
  /** sd of ln(cutting time). */
  readonly sd: number;
}

/** All stages of one cut, the rests arms need, and the pauses between. */
export function planTime(inputs: TimeInputs): CutTime {
  const { setup, stages, headline, possible, layers } = inputs;
  const { geometry } = setup.finishing;
  const cuttingS = stages.reduce((sum, stage) => sum + (stage.timeS ?? Infinity), 0);
  const handN = handForce(headline.force.feedForceN, setup.hold, setup.machine, setup.feedAid);
  const restShare = restAllowance(handN) * fatigue(cuttingS);
  const cuts = pressedCuts(inputs, 1 + restShare);
  const parts = cuttingTimeParts(cuts, headline.material, setup.hold, {
    thickness: inputs.thicknessSd,
    mix: mixSpread(layers),
  });
  const workS = cuttingS * (1 + restShare);
  const logged = setup.logged?.time;
  const work = !Number.isFinite(workS)
    ? null
    : logged
      ? logNormalSpan(workS, logged.sd)
      : cuttingSpread(inputs, workS, parts);
  return {
    cuttingS,
    restsS: Number.isFinite(cuttingS) ? cuttingS * restShare : 0,
    restShare,
    pauses: {
      start: inputs.isFresh ? START_S[setup.start] : 0,
      seatCentre: solidCentreSeatTime(geometry, layers[0]?.pilotMm ?? 0),
      lifts: inputs.liftCount * liftS(setup.hold),
      waterChanges: inputs.waterChangeCount * setup.coolant.changeS,
      bitSwaps: inputs.swapped ? BIT_SWAP_S : 0,
    },
    around: {},
    work,
    sd: work && possible.length === 0 ? spanSd(work) : partsSd(parts),
    cuts,
  };
}

/** Every stage with its leaf's own pressures. */
function pressedCuts({ stages, layers, headline }: TimeInputs, rested: number): PressedCut[] {
  const cutAt = ({ fromMm, toMm }: PlannedStage): MaterialCut => {
    const depth = (fromMm + toMm) / 2;
    const here = layers.find(({ layer }) => depth >= layer.fromMm && depth <= layer.toMm);
    return here?.slowest ?? headline;
  };
  return stages.map((stage) => {
    const cut = cutAt(stage);
    return {
      seconds: (stage.timeS ?? Infinity) * rested,
      pressureMpa: stage.forceN / cut.contact.contactAreaMm2,
      idleMpa: cut.window.pressureMpa.glaze / 2,
    };
  });
}

export const sumOf = (parts: Readonly<Record<string, number>>): number =>
  Object.values(parts).reduce((sum, one) => sum + one, 0);

/** The time of one operation, its cutting, pauses and what stands around it independent of each other. */
export function operationSpread(
  work: TimeSpread | null,
  { pauses, around }: OperationTime,
): TimeSpread {
  return sumSpread([
    ...(work ? [work] : []),
    logNormalSpan(sumOf(pauses), PAUSES_SD),
    logNormalSpan(sumOf(around), AROUND_SD),
  ]);
}

/** The same hands in the same piece: what makes one cut slow makes all of them slow. */
const together = (works: readonly (TimeSpread | null)[]): TimeSpread | null =>
  works.reduce(
    (sum, one) =>
      sum && one && { p10: sum.p10 + one.p10, p50: sum.p50 + one.p50, p90: sum.p90 + one.p90 },
    { p10: 0, p50: 0, p90: 0 },
  );

/** What a log tells is of the whole, pauses and all; what is calculated is of parts that are independent. */
const withPauses = (work: TimeSpread, pausesS: number, loggedSd: number | null): TimeSpread =>
  loggedSd === null
    ? sumSpread([work, logNormalSpan(pausesS, PAUSES_SD)])
    : logNormalSpan(work.p50 + pausesS, loggedSd);

/**
 * All operations of a hole together.
 * @param loggedSd sd of ln(time) that the log leaves of the main cut; null where it tells nothing
 */
export function totalTime(
  cuts: readonly CutTime[],
  all: readonly OperationTime[],
  loggedSd: number | null,
): TimeBreakdown {
  const pauses = totals(
    PAUSE_IDS,
    all.map((one) => one.pauses),
  );
  const around = totals(
    AROUND_IDS,
    all.map((one) => one.around),
  );
  const work = together(cuts.map((one) => one.work));
  const pausesS = sumOf(pauses);
  const cuttingS = cuts.reduce((sum, one) => sum + one.cuttingS, 0);
  const restsS = cuts.reduce((sum, one) => sum + one.restsS, 0);
  const [first] = cuts;
  const spread = work && withPauses(work, pausesS, loggedSd);
  return {
    cuttingS,
    restsS,
    restShare: Number.isFinite(cuttingS) && cuttingS > 0 ? restsS / cuttingS : 0,
    pauses,
    pausesS,
    around,
    cuts: cuts.flatMap((one) => one.cuts),
    sd: cuts.length === 1 || !work ? (first?.sd ?? 0) : spanSd(work),
    spread,
    altogether: spread && sumSpread([spread, logNormalSpan(sumOf(around), AROUND_SD)]),
  };
}

const totals = <K extends string>(
  ids: readonly K[],
  all: readonly Partial<Readonly<Record<K, number>>>[],
): Record<K, number> =>
  Object.fromEntries(
    ids.map((id) => [id, all.reduce((sum, one) => sum + (one[id] ?? 0), 0)]),
  ) as Record<K, number>;

/** Tenth, middle and ninetieth of the cutting, over everything the piece may be. */
function cuttingSpread(
  { possible, headline }: TimeInputs,
  workS: number,
  parts: readonly LogNormalPart[],
): TimeSpread {
  const slower =
    possible.length === 0
      ? [{ times: 1, share: 1 }]
      : possible.map(({ material, share }) => ({
          times: headline.rateMmPerS / cutIfOther(headline, material).rateMmPerS,
          share,
        }));
  const all = slower.flatMap(({ times, share }) =>
    parts.map((part) => ({
      median: part.median * times * workS,
      sd: part.sd,
      share: part.share * share,
    })),
  );
  const at = (q: number): number => mixtureQuantile(all, q);
  // Known, the middle is the time at the middle of everything, which timeline and run go by.
  const p50 = possible.length === 0 ? workS : at(0.5);
  return { p10: Math.min(at(0.1), p50), p50, p90: Math.max(at(0.9), p50) };
}

/**
 * sd of ln(rate) within a mix: its fastest to slowest body taken as the span from the 10th to the
 * 90th of a hundred.
 */
function mixSd(parts: LayerCut['parts']): number {
  if (parts.length < 2) return 0;
  const rates = parts.map((part) => part.cut.rateMmPerS);
  return Math.log(Math.max(...rates) / Math.min(...rates)) / 2.5632;
}

/** Spread of the mixes, weighted by the time their leaves take. */
export function mixSpread(layers: readonly LayerCut[]): number {
  let totalS = 0;
  let weighted = 0;
  for (const { layer, parts, rateMmPerS } of layers) {
    const seconds = (layer.toMm - layer.fromMm) / rateMmPerS;
    if (!Number.isFinite(seconds)) continue;
    totalS += seconds;
    weighted += seconds * mixSd(parts);
  }
  return totalS > 0 ? weighted / totalS : 0;
}
