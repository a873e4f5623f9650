import type { Hole } from '../documents/hole';
import type { Face } from '../data/operations';
import { crossingError, leanOf, MARKING_MM } from '../layout/aim';
import { faceMaterial } from '../layout/faceMaterial';
import { planPurpose } from '../layout/purposes/plannedPurpose';
import { thicknessSpread } from '../layout/thickness';
import type { Bend } from '../physics/plate/bender';
import { treatmentOdds } from '../physics/strength/treatmentOdds';
import { judgeHazards, openGates } from '../setup/hazards/judgeHazards';
import type { DrillCase } from '../setup/drillCase';
import { layersTo } from '../setup/cutLayers';
import { deriveOperations } from '../setup/operations/deriveOperations';
import { givenOperations } from '../setup/operations/givenOperations';
import {
  narrowest,
  SAME_MM,
  seenFrom,
  uncutProfile,
  widenedFrom,
  type HoleProfile,
} from '../setup/operations/holeProfile';
import type { ResolvedOperation } from '../setup/operations/operation';
import { possibleMaterials } from '../setup/possibilities';
import { resolveSetup } from '../setup/resolveSetup';
import { SIZE_TOLERANCE_MM } from '../setup/resolvedSetup';
import { crackHole } from './holeCrack';
import { fromLog, hazardTimes, loggedCrack } from './fromLog';
import { hazardScene } from './hazardScene';
import { handTime } from './handTime';
import { bitKey, planCut, type CutPlan, type HoleTask, type Left } from './planCut';
import { coresOf, passesOf, wholeLayers } from './planCores';
import type { PlanContext, WorkedOperation } from './planContext';
import { planChip } from './planRim';
import { totalTime } from './planTime';
import { finesAfter, totalWater } from './planWater';

/**
 * Everything about one hole worked out, operation by operation, and what they come to together. Expects a
 * piece and hole that passed the job check.
 */
export function workOut(drillCase: DrillCase, bend: Bend): PlanContext {
  const { piece, hole, materials } = drillCase;
  const face = faceMaterial(piece, materials);
  const purpose = planPurpose(piece, hole, face);
  const depthMm = hole.depth.kind === 'through' ? piece.thicknessMm : hole.depth.depthMm;
  const base = resolveSetup(drillCase, face);
  const thickness = thicknessSpread(piece);
  const listed = hole.operations?.length
    ? givenOperations(drillCase).operations
    : deriveOperations(
        drillCase,
        base,
        layersTo(materials, piece, depthMm),
        thickness.thickestMm - piece.thicknessMm,
        purpose.fit ?? {},
      );
  const possible = possibleMaterials(materials, piece);
  const task = taskOf(drillCase, listed, { possible, thickness, coverMm: purpose.fit?.coverMm });
  const cutHole = cutAll(task, listed);
  const { cuts, finishing, main, exitCut } = cutHole;
  const cores = coresOf(listed, cuts);
  const operations = listed.map((operation) =>
    workedOperation(operation, cuts, finishing, {
      core: cores.get(operation) ?? null,
      time: handTime(operation, cores, listed, main, task),
    }),
  );
  const time = totalTime(
    cuts.map((cut) => cut.time),
    operations.map((one) => one.time),
    main.setup.logged?.time?.sd ?? null,
  );
  const gates = judgeHazards(
    cuts.map((cut) => hazardScene(drillCase.job, task, cut, time.cuttingS)),
  );
  const isTreatmentKnown = gates.settled.some(({ code }) => code === 'unknown-treatment');
  const cracked = crackHole(task, cuts, main, bend, treatmentOdds(piece, face, isTreatmentKnown));
  const chip = exitCut?.exit
    ? planChip(exitCut.exit, exitCut.setup, exitCut.headline, possible)
    : null;
  const { crack } = cracked;
  const logged = { timeS: main.setup.logged && timeAsNew(cuts, operations), chip, exitCut, crack };
  return {
    piece,
    hole,
    face,
    operations: operations.map((one) => ({
      ...one,
      gates: one.cut ? openGates(gates, cuts.indexOf(one.cut)) : [],
    })),
    setup: { ...main.setup, bits: base.bits, assumed: base.assumed, byHabit: base.byHabit },
    depthMm,
    opensFarFace: hole.depth.kind === 'through',
    layers: wholeLayers(task, finishing, depthMm),
    ...wayDown(task, cutHole, operations),
    time,
    chip,
    ...rimOf(cutHole),
    gates,
    thickness,
    possible,
    ...purpose,
    ...cracked,
    crack: loggedCrack(crack, hazardTimes(main)),
    fromLog: fromLog(drillCase.experience, main, logged),
  };
}

/** The cuts of a hole, and which of them stand for it. */
interface CutHole {
  readonly cuts: readonly CutPlan[];
  /** Those that bring it to its size somewhere. */
  readonly finishing: readonly CutPlan[];
  /** The slowest of those. */
  readonly main: CutPlan;
  /** Those from the near face. */
  readonly near: readonly CutPlan[];
  /** The one that breaks out at its size. */
  readonly exitCut: CutPlan | null;
}

/** The way of the bits, from the first touch to the far face. */
const wayDown = (
  task: HoleTask,
  { cuts, finishing, main, near, exitCut }: CutHole,
  operations: readonly WorkedOperation[],
) => ({
  depthPerSideMm: (near.at(-1) ?? main).operation.toMm,
  crossingMm: crossingOf(task.hole, cuts, main),
  headline: main.headline,
  exit: exitCut?.exit ?? null,
  stages: finishing.flatMap(({ stages }) => stages),
  lifts: near.flatMap(({ lifts }) => lifts),
  passes: passesOf(operations, near, task),
  extension: near.findLast(({ reach }) => reach.extension)?.reach.extension ?? null,
  water: totalWater(
    main.water,
    cuts.map(({ water }) => water),
    cuts.filter(({ operation }) => operation.face === 'near').map(({ water }) => water),
  ),
});

/** How hot the main cut gets, and what is left of its bit after the last of its cuts. */
const rimOf = ({ finishing, main }: CutHole) => ({
  tempRiseK: main.heat.tempRiseK,
  conductionWPerM2K: main.heat.conductionWPerM2K,
  boiling: main.heat.boiling,
  thermalStressMpa: main.thermalStressMpa,
  bitLife: (finishing.findLast((cut) => bitKey(cut.setup) === bitKey(main.setup)) ?? main).bitLife,
});

/** The time by calculation alone. */
const timeAsNew = (cuts: readonly CutPlan[], operations: readonly WorkedOperation[]) =>
  totalTime(
    cuts.map(({ asNew }) => asNew),
    operations.map(({ cut, time }) => cut?.asNew ?? time),
    null,
  ).spread;

/** What the whole hole is, from what is listed for it. */
function taskOf(
  { piece, hole, kit, materials }: DrillCase,
  listed: readonly ResolvedOperation[],
  known: Pick<HoleTask, 'possible' | 'thickness' | 'coverMm'>,
): HoleTask {
  const cuts = listed.filter((one) => one.kind === 'cut');
  return {
    ...known,
    piece,
    hole,
    kit,
    leaves: layersTo(materials, piece, piece.thicknessMm),
    opensFrom: cuts.flatMap(({ toMm, face }) =>
      toMm >= piece.thicknessMm - SAME_MM ? [face] : [],
    ),
    finalMm: Math.max(0, ...cuts.map(({ setup }) => setup.finishing.geometry.diameterMm)),
  };
}

/** One operation with its cut, or with what its work of hands takes and brings up. */
function workedOperation(
  operation: ResolvedOperation,
  cuts: readonly CutPlan[],
  finishing: readonly CutPlan[],
  byHand: Pick<WorkedOperation, 'core' | 'time'>,
): WorkedOperation {
  const cut = cuts.find((one) => one.operation === operation);
  return cut
    ? { operation, cut, finishes: finishing.includes(cut), core: null, time: cut.time, gates: [] }
    : { operation, cut: null, finishes: false, gates: [], ...byHand };
}

/** Each cut worked out with what those before it left. */
function cutAll(task: HoleTask, listed: readonly ResolvedOperation[]): CutHole {
  const cuts: CutPlan[] = [];
  let left: Left = {
    profile: uncutProfile(task.leaves),
    finesG: 0,
    cutMm: new Map(),
    bitId: null,
  };
  for (const operation of listed) {
    if (operation.kind !== 'cut') continue;
    const cut = planCut(task, operation, left);
    cuts.push(cut);
    left = leftBy(cut, left);
  }
  const finishing = finishingOf(cuts, task);
  const main = slowest(finishing);
  return {
    cuts,
    finishing,
    main,
    near: finishing.filter(({ operation }) => operation.face === 'near'),
    exitCut: finishing.findLast(({ exit }) => exit !== null) ?? null,
  };
}

const widenedBy = ({ operation, setup }: CutPlan, profile: HoleProfile): HoleProfile => {
  const { face, fromMm, toMm } = operation;
  return widenedFrom(face, profile, fromMm, toMm, setup.finishing.geometry.diameterMm);
};

function leftBy(cut: CutPlan, left: Left): Left {
  const { operation, setup, water, bitDepthMm } = cut;
  const { fromMm, toMm } = operation;
  const key = bitKey(setup);
  return {
    profile: widenedBy(cut, left.profile),
    finesG: finesAfter(water, left.finesG, fromMm, toMm),
    cutMm: new Map(left.cutMm).set(key, (left.cutMm.get(key) ?? 0) + bitDepthMm),
    bitId: key,
  };
}

/** The cuts that bring the hole to its size somewhere; a counterbore is wider than the hole. */
function finishingOf(cuts: readonly CutPlan[], task: HoleTask): readonly CutPlan[] {
  const own = cuts.filter(({ operation }) => operation.does !== 'counterbore');
  const all = own.length > 0 ? own : cuts;
  const profile = all.reduce((so, cut) => widenedBy(cut, so), uncutProfile(task.leaves));
  return all.filter(({ operation: { face, fromMm, toMm }, setup }) => {
    const open = narrowest(seenFrom(face, profile), fromMm, toMm);
    return setup.finishing.geometry.diameterMm >= open - SIZE_TOLERANCE_MM;
  });
}

/** A pilot through the whole piece carries the centre over by itself. */
function crossingOf(hole: Hole, cuts: readonly CutPlan[], main: CutPlan): number | null {
  const deepest = (face: Face): number =>
    Math.max(
      0,
      ...cuts
        .filter(({ operation }) => operation.face === face && operation.does !== 'pilot')
        .map(({ operation }) => operation.toMm),
    );
  const [nearMm, farMm] = [deepest('near'), deepest('far')];
  if (nearMm === 0 || farMm === 0) return null;
  const { acrossDeg } = leanOf({ ...hole.setup, hold: main.setup.hold }, main.setup.machine.kind);
  const isPiloted = cuts.some(
    ({ operation, ends }) => operation.does === 'pilot' && ends === 'face',
  );
  return crossingError(nearMm, farMm, acrossDeg, isPiloted ? 0 : MARKING_MM);
}

/** What the big numbers show: the cut whose leaf goes slowest. */
function slowest(cuts: readonly CutPlan[]): CutPlan {
  const [first, ...rest] = cuts;
  if (!first) throw new Error('A hole is cut by at least one operation; the job check sees to it.');
  return rest.reduce(
    (slow, cut) => (cut.headline.rateMmPerS < slow.headline.rateMmPerS ? cut : slow),
    first,
  );
}
