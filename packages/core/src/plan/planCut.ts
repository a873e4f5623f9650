import { depthStop, type DepthStop } from '../physics/holding/depthStop';
import { liftDepths } from '../physics/cutting/lifts';
import type { RimHeat } from '../physics/heat/rimTemperature';
import { thermalStress } from '../physics/heat/thermalStress';
import type { Face } from '../data/operations';
import type { ThicknessSpread } from '../layout/thickness';
import type { Piece } from '../documents/piece';
import type { Hole } from '../documents/hole';
import type { Kit } from '../documents/kit';
import type { PlannedBar, PlannedStage, WaterPlan } from '../documents/plan';
import {
  cutLayer,
  slowestOf,
  type DepthLayer,
  type LayerCut,
  type MaterialCut,
} from '../setup/cutLayers';
import {
  leavesFrom,
  narrowest,
  SAME_MM,
  seenFrom,
  stretchesIn,
  type HoleProfile,
} from '../setup/operations/holeProfile';
import type { CutOperation } from '../setup/operations/operation';
import { reachTo, sticksOut, wholeReach, type Reach } from '../setup/operations/reach';
import { capsOf, type PossibleMaterial } from '../setup/possibilities';
import { SIZE_TOLERANCE_MM, type ResolvedSetup } from '../setup/resolvedSetup';
import { settledSetup } from '../setup/settleInWindow';
import { planBar } from './planBar';
import { heatOf, planWear, type BitLife } from './planRim';
import { allowedChip, planExit, planStages, type ExitPlan } from './planStages';
import { planTime, sumOf, type CutTime } from './planTime';
import { planWater } from './planWater';

/** How a bit's way ends: it opens a face, meets what was cut before, comes into a cavity, or stops inside. */
export type CutEnd = 'face' | 'meets' | 'cavity' | 'inside';

/** What the whole hole is, the same for each of its cuts. */
export interface HoleTask {
  readonly piece: Piece;
  readonly hole: Hole;
  readonly kit: Kit;
  /** From the near face to the far one. */
  readonly leaves: readonly DepthLayer[];
  readonly possible: readonly PossibleMaterial[];
  readonly thickness: ThicknessSpread;
  /** The faces from which the one behind is opened. */
  readonly opensFrom: readonly Face[];
  /** The widest bit: what a smaller one chips inside its rim is cut away, mm. */
  readonly finalMm: number;
  /** What the part hides, mm. */
  readonly coverMm: number | null | undefined;
}

/** What the operations before a cut left to it. */
export interface Left {
  readonly profile: HoleProfile;
  /** Fines that the standing water holds, g. */
  readonly finesG: number;
  /** Depth each bit cut in this hole, mm. */
  readonly cutMm: ReadonlyMap<string, number>;
  /** The bit that was on last. */
  readonly bitId: string | null;
}

/** One bit going down, worked out. Depths from its own face, mm. */
export interface CutPlan {
  readonly operation: CutOperation;
  readonly setup: ResolvedSetup;
  readonly layers: readonly LayerCut[];
  /** The slowest of its leaves. */
  readonly headline: MaterialCut;
  readonly ends: CutEnd;
  /** It goes on in its own hole. */
  readonly seated: boolean;
  /** Another bit was on before. */
  readonly swapped: boolean;
  readonly reach: Reach;
  /** Collar or tape on the bit, and what is left under the chuck. */
  readonly stop: DepthStop;
  /** Rim to holder, mm. */
  readonly sticksOutMm: number;
  readonly exit: ExitPlan | null;
  readonly stages: readonly PlannedStage[];
  readonly lifts: readonly number[];
  readonly water: WaterPlan;
  readonly time: CutTime;
  /** By calculation alone, without what the log tells. */
  readonly asNew: CutTime;
  readonly heat: RimHeat;
  readonly thermalStressMpa: number;
  /** What it adds to the depth its bit has cut, mm. */
  readonly bitDepthMm: number;
  readonly bitLife: BitLife;
  /** Should a bar be met. */
  readonly bar: PlannedBar | null;
}

export const bitKey = ({ finishing: { bit } }: ResolvedSetup): string =>
  `${bit.id} ${bit.diameterMm}`;

/**
 * One cut, taking as long as the log tells. Of f·(C + P) the pauses P are as they are, so that the cutting C takes
 * f + (f − 1)·P/C times as long as calculated, and no less than a tenth.
 */
export function planCut(task: HoleTask, operation: CutOperation, left: Left): CutPlan {
  const { setup } = operation;
  if (!setup.logged?.time) {
    const cut = cutOnce(task, operation, left);
    return { ...cut, asNew: cut.time };
  }
  const { time: asNew } = cutOnce(task, { ...operation, setup: { ...setup, logged: null } }, left);
  const f = timesOf(setup);
  const C = asNew.cuttingS * (1 + asNew.restShare);
  const cuttingTimes = Math.max(MIN_TIMES, f + ((f - 1) * sumOf(asNew.pauses)) / C);
  const again = { ...operation, setup: { ...setup, cuttingTimes } };
  return { ...cutOnce(task, again, left), operation, asNew };
}

const MIN_TIMES = 0.1;

/** How many times as long as calculated the log makes a cut, pauses and all. */
export const timesOf = ({ logged }: ResolvedSetup): number => Math.exp(logged?.time?.mean ?? 0);

function cutOnce(task: HoleTask, operation: CutOperation, left: Left): Omit<CutPlan, 'asNew'> {
  const { piece, hole, possible, thickness } = task;
  const { face, fromMm, toMm } = operation;
  const { bit, setup, layers, headline, ends, pilotMm, seated } = goDown(task, operation, left);
  const exit = exitOf(task, setup, layers, headline, ends);
  const bitBeforeMm = left.cutMm.get(bitKey(setup)) ?? 0;
  const stages = planStages({
    side: face === 'near' ? 1 : 2,
    layers,
    fromMm,
    toMm,
    seated,
    exit,
    exitEarlyMm: piece.thicknessMm - thickness.thinnestMm,
    bitBeforeMm,
  });
  const lifts = setup.coolant.flushesGroove ? [] : liftsIn(layers, headline);
  const water = planWater({
    piece,
    hole,
    setup,
    layers,
    headline,
    fromMm,
    toMm,
    seated,
    opensFace: task.opensFrom.includes(face),
    finesG: left.finesG,
  });
  const swapped = left.bitId !== null && left.bitId !== bitKey(setup);
  const time = planTime({
    possible,
    setup,
    headline,
    layers,
    stages,
    thicknessSd: thickness.relativeSd,
    liftCount: lifts.length,
    waterChangeCount: water.changeAtDepthMm.length,
    isFresh: !seated && pilotMm === 0,
    swapped,
  });
  const heat = heatOf(headline, setup, toMm - fromMm);
  const pastMm = ends === 'face' ? thickness.thickestMm - piece.thicknessMm : 0;
  const reach = reachTo(task.kit, bit, toMm + pastMm, operation.couplings);
  const bitDepthMm = depthCut(layers);
  return {
    operation,
    setup,
    layers,
    headline,
    ends,
    seated,
    swapped,
    reach,
    stop: depthStop(toMm, wholeReach(reach), ends === 'face'),
    sticksOutMm: sticksOut(bit, [...operation.couplings, ...madeLonger(reach, operation)]),
    exit,
    stages,
    lifts,
    water,
    time,
    heat,
    thermalStressMpa: thermalStress(headline.material, heat.tempRiseK),
    bitDepthMm,
    bitLife: planWear(headline, setup, bitBeforeMm + bitDepthMm),
    bar: planBar(layers, setup),
  };
}

/** The leaves on a bit's way, each at its own rate in a setup that suits them all, and how the way ends. */
function goDown({ piece, leaves, possible }: HoleTask, operation: CutOperation, left: Left) {
  const { face, fromMm, toMm } = operation;
  const seen = seenFrom(face, left.profile);
  const bit = operation.setup.finishing;
  const D = bit.geometry.diameterMm;
  const own = leavesFrom(face, leaves, piece.thicknessMm);
  const stretches = stretchesToCut(own, seen, fromMm, toMm);
  const pilotMm = stretches[0]?.pilotMm ?? 0;
  const setup = settledSetup(
    { ...operation.setup, caps: capsOf(possible, bit.geometry) },
    piece,
    stretches.map(({ leaf }) => leaf),
    pilotMm,
    toMm - fromMm,
  );
  const layers = stretches.map((one) => cutLayer(one.leaf, bit, setup, one.pilotMm));
  return {
    bit,
    setup,
    layers,
    headline: slowestOf(layers),
    ends: endOf(seen, toMm, piece.thicknessMm, D),
    /** How wide it is open where it begins, mm. */
    pilotMm,
    seated: fromMm > SAME_MM && narrowest(seen, 0, fromMm) >= D - SIZE_TOLERANCE_MM,
  };
}

/** How it breaks out; null where it opens nothing. What a later, wider bit takes away may chip too. */
function exitOf(
  { piece, coverMm, finalMm }: HoleTask,
  setup: ResolvedSetup,
  layers: readonly LayerCut[],
  headline: MaterialCut,
  ends: CutEnd,
): ExitPlan | null {
  if (ends !== 'face' && ends !== 'meets') return null;
  const lastCut = layers.findLast(({ slowest }) => slowest !== null)?.slowest ?? headline;
  const takenAwayMm = Math.max(0, finalMm - setup.finishing.geometry.diameterMm) / 2;
  const chipMm = allowedChip(coverMm, piece) + takenAwayMm;
  return planExit(lastCut, piece, setup, chipMm, ends === 'face');
}

/** Depth of all that is solid, mm. */
const depthCut = (layers: readonly LayerCut[]): number =>
  layers.reduce((sum, { slowest, layer }) => (slowest ? sum + layer.toMm - layer.fromMm : sum), 0);

/** The extension that nobody named. */
const madeLonger = ({ extension }: Reach, { couplings }: CutOperation) =>
  extension && !couplings.includes(extension) ? [extension] : [];

/** The leaves between two depths, each with the one width it is open to so far. */
function stretchesToCut(
  leaves: readonly DepthLayer[],
  seen: HoleProfile,
  fromMm: number,
  toMm: number,
): readonly { readonly leaf: DepthLayer; readonly pilotMm: number }[] {
  return leaves.flatMap((leaf) =>
    stretchesIn(seen, Math.max(leaf.fromMm, fromMm), Math.min(leaf.toMm, toMm)).map((open) => ({
      leaf: { ...leaf, fromMm: open.fromMm, toMm: open.toMm },
      pilotMm: Number.isFinite(open.diameterMm) ? open.diameterMm : 0,
    })),
  );
}

function endOf(seen: HoleProfile, toMm: number, totalMm: number, diameterMm: number): CutEnd {
  if (toMm >= totalMm - SAME_MM) return 'face';
  const beyond = seen.find((one) => one.toMm > toMm + SAME_MM)?.diameterMm ?? Infinity;
  if (!Number.isFinite(beyond)) return 'cavity';
  return beyond >= diameterMm - SIZE_TOLERANCE_MM ? 'meets' : 'inside';
}

/** Lifts within each solid stretch: none across a cavity, where the groove is open. */
function liftsIn(layers: readonly LayerCut[], { bit, contact }: MaterialCut): readonly number[] {
  const stretches: { fromMm: number; toMm: number }[] = [];
  for (const { layer, slowest } of layers) {
    const before = stretches.at(-1);
    if (!slowest) continue;
    if (before && layer.fromMm - before.toMm < SAME_MM) before.toMm = layer.toMm;
    else stretches.push({ fromMm: layer.fromMm, toMm: layer.toMm });
  }
  const rateAtMm = (z: number): number => {
    const here = layers.find(({ layer }) => z >= layer.fromMm && z < layer.toMm);
    return here && Number.isFinite(here.rateMmPerS) ? here.rateMmPerS : 0;
  };
  return stretches.flatMap(({ fromMm, toMm }) =>
    liftDepths(bit, contact.kerfAreaMm2, toMm, rateAtMm, fromMm),
  );
}
