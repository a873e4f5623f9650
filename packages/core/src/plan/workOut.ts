import type { Piece } from '../documents/piece';
import type { Hole } from '../documents/hole';
import type { Material } from '../data/materials/material';
import type { DrillCase } from '../setup/drillCase';
import { corePasses, type Passes } from '../physics/cutting/passes';
import { liftDepths } from '../physics/cutting/lifts';
import { easedBefore } from '../physics/cutting/stages';
import { judgeHazards } from '../setup/hazards/judgeHazards';
import { HEAT_GAIN } from '../physics/heat/boiling';
import { thermalStress } from '../physics/heat/thermalStress';
import { treatmentOdds } from '../physics/strength/treatmentOdds';
import { faceMaterial } from '../layout/faceMaterial';
import { thicknessSpread, type ThicknessSpread } from '../layout/thickness';
import type { Bend } from '../physics/plate/bender';
import type { Bending } from '../documents/bending';
import {
  cutLayer,
  layersFromFarFace,
  layersTo,
  slowestOf,
  type DepthLayer,
  type LayerCut,
} from '../setup/cutLayers';
import { crackOf } from './crackIfSure';
import { bendingSceneOf } from './bendingSceneOf';
import type { PlannedStage } from '../documents/plan';
import { hazardScene } from './hazardScene';
import type { PlanContext } from './planContext';
import { capsOf, possibleMaterials, type PossibleMaterial } from '../setup/possibilities';
import { allowedChip, blindExit, planExit, planSide } from './planStages';
import { heatOf } from './planRim';
import { planChip } from './planRim';
import { clearOf, type CrackCase } from './planCrack';
import { settledSetup } from '../setup/settleInWindow';
import { planPurpose, type PlannedPurpose } from '../layout/purposes/plannedPurpose';
import { planWear } from './planRim';
import { planTime } from './planTime';
import { planWater } from './planWater';
import { resolveSetup } from '../setup/resolveSetup';
import type { ResolvedSetup } from '../setup/resolvedSetup';

/** What is drilled, with what, how deep: what a hole asks for before anything is cut. */
interface Task {
  readonly piece: Piece;
  readonly hole: Hole;
  /** What the bit meets first. */
  readonly face: Material;
  readonly possible: readonly PossibleMaterial[];
  readonly thickness: ThicknessSpread;
  readonly purpose: PlannedPurpose;
  readonly setup: ResolvedSetup;
  readonly opensFarFace: boolean;
  readonly twoSided: boolean;
  readonly depthMm: number;
  readonly depthPerSideMm: number;
  readonly pilotMm: number;
  readonly depthLayers: readonly DepthLayer[];
}

function taskOf(drillCase: DrillCase): Task {
  const { piece, hole, materials } = drillCase;
  const face = faceMaterial(piece, materials);
  const possible = possibleMaterials(materials, piece);
  const resolved = resolveSetup(drillCase, face);
  const capped = { ...resolved, caps: capsOf(possible, resolved.finishing.geometry) };
  const opensFarFace = hole.depth.kind === 'through';
  const pilotMm = capped.bits.at(-2)?.geometry.diameterMm ?? 0;
  const depthMm = hole.depth.kind === 'through' ? piece.thicknessMm : hole.depth.depthMm;
  const depthLayers = layersTo(materials, piece, depthMm);
  const setup = settledSetup(capped, piece, depthLayers, pilotMm, depthMm);
  const twoSided = opensFarFace && setup.sides === 'two';
  return {
    piece,
    hole,
    face,
    possible,
    thickness: thicknessSpread(piece),
    purpose: planPurpose(piece, hole, face),
    setup,
    opensFarFace,
    twoSided,
    depthMm,
    depthPerSideMm: twoSided ? depthMm / 2 : depthMm,
    pilotMm,
    depthLayers,
  };
}

/** How it is cut: leaf by leaf, stage by stage, with lifts and broken cores. */
function cutOf(task: Task) {
  const { piece, setup, opensFarFace, twoSided, depthMm, depthPerSideMm, pilotMm } = task;
  const { depthLayers, thickness, purpose } = task;
  const layers = depthLayers.map((layer) => cutLayer(layer, setup.finishing, setup, pilotMm));
  const headline = slowestOf(layers);
  const lastCut = layers.findLast((layer) => layer.slowest !== null)?.slowest ?? headline;
  const exit = opensFarFace
    ? planExit(lastCut, piece, setup, allowedChip(purpose.fit?.coverMm, piece))
    : null;

  const nearSide = clipTo(layers, depthPerSideMm);
  const farSide = twoSided
    ? layersFromFarFace(depthLayers, depthMm, depthPerSideMm).map((layer) =>
        cutLayer(layer, setup.finishing, setup, pilotMm),
      )
    : [];
  const stageExit = exit ?? blindExit(headline);
  const early = piece.thicknessMm - thickness.thinnestMm;
  const stages: PlannedStage[] = [
    ...planSide(1, nearSide, depthPerSideMm, opensFarFace && !twoSided, stageExit, early),
    ...planSide(2, farSide, depthPerSideMm, twoSided, stageExit, early),
  ];

  const lifts = setup.coolant.flushesGroove
    ? []
    : liftDepths(setup.finishing.geometry, headline.contact.kerfAreaMm2, depthPerSideMm, (z) =>
        rateAtDepth(nearSide, z),
      );
  // A bit must reach through where the piece is thickest.
  const reachMm = depthPerSideMm + (opensFarFace ? thickness.thickestMm - piece.thicknessMm : 0);
  return { layers, headline, exit, stages, lifts, passes: planPasses(setup, nearSide, reachMm) };
}

/**
 * Everything about one hole worked out: what is pressed, how fast it goes, how hot, how long.
 * Expects a piece and hole that passed the job check.
 */
export function workOut(drillCase: DrillCase, bend: Bend): PlanContext {
  const task = taskOf(drillCase);
  const { piece, hole, face, possible, thickness, purpose, setup, depthLayers } = task;
  const { opensFarFace, twoSided, depthMm, depthPerSideMm, pilotMm } = task;
  const { layers, headline, exit, stages, lifts, passes } = cutOf(task);
  const water = planWater({ piece, hole, setup, layers, headline, depthMm });
  const time = planTime({
    piece,
    blind: !opensFarFace,
    headline,
    thicknessSd: thickness.relativeSd,
    possible,
    setup,
    layers,
    stages,
    depthLayers,
    liftCount: lifts.length * (twoSided ? 2 : 1),
    waterChangeCount: water.changeAtDepthMm.length,
    coreBreaks: twoSided ? [...passes.breaks, ...passes.breaks] : passes.breaks,
  });
  const heat = heatOf(headline, setup, depthMm);
  const thermalStressMpa = thermalStress(headline.material, heat.tempRiseK);
  const posed = bendingSceneOf(piece, hole, setup, headline);
  const bending: Bending = posed.kind === 'scene' ? bend(posed.scene).bending : posed;
  const drilled = { piece, hole, setup, depthMm, time };
  const gates = judgeHazards(hazardScene(drillCase.job, drilled, face, layers, possible, headline));
  const isTreatmentKnown = gates.settled.some(({ code }) => code === 'unknown-treatment');
  const crackCase: CrackCase = {
    cut: headline,
    piece,
    setup,
    thermalStressMpa,
    heatGain: HEAT_GAIN[heat.boiling],
    bending,
    exitForceN: exit && !twoSided ? exit.exitForceN : 0,
    easedAtMm: exit && Math.min(easedBefore(exit.ligamentMm), depthPerSideMm),
    clearMm: clearOf(piece, hole, setup.finishing.geometry.diameterMm),
    possible,
    treatmentOdds: treatmentOdds(piece, face, isTreatmentKnown),
  };
  return {
    piece,
    hole,
    face,
    setup,
    depthMm,
    depthPerSideMm,
    opensFarFace,
    layers,
    headline,
    exit,
    stages,
    lifts,
    passes,
    water,
    time,
    chip: exit && planChip(exit, setup, headline, possible),
    tempRiseK: heat.tempRiseK,
    conductionWPerM2K: heat.conductionWPerM2K,
    boiling: heat.boiling,
    thermalStressMpa,
    bitLife: planWear(headline, setup, depthMm),
    gates,
    thickness,
    possible,
    ...purpose,
    bending,
    crackCase,
    crack: crackOf(crackCase, depthLayers, setup, { pilotMm, depthMm, exit }),
  };
}

const clipTo = (layers: readonly LayerCut[], depthMm: number): LayerCut[] =>
  layers
    .filter(({ layer }) => layer.fromMm < depthMm - 1e-9)
    .map((cut) => ({ ...cut, layer: { ...cut.layer, toMm: Math.min(cut.layer.toMm, depthMm) } }));

function rateAtDepth(layers: readonly LayerCut[], depthMm: number): number {
  const here = layers.find(({ layer }) => depthMm >= layer.fromMm && depthMm < layer.toMm);
  return here && Number.isFinite(here.rateMmPerS) ? here.rateMmPerS : 0;
}

/** A solid bit has no core; a core bit breaks out leaf by leaf, the last one as thick as it may be. */
function planPasses(setup: ResolvedSetup, layers: readonly LayerCut[], reachMm: number): Passes {
  const { solid, usableDepthMm } = setup.finishing.geometry;
  const leaves = layers
    .filter(({ slowest }) => slowest !== null)
    .map(({ layer: { fromMm, toMm } }) => ({ fromMm, toMm }));
  const last = leaves.at(-1);
  const stretches = last ? [...leaves.slice(0, -1), { ...last, toMm: reachMm }] : [];
  const passes = corePasses(stretches, usableDepthMm);
  return solid
    ? { ...passes, count: 1, breaks: [], coreBreaksAtMm: [], lastCoreMm: 0, extendAtMm: null }
    : passes;
}
