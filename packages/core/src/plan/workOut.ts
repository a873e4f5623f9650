import type { DrillCase } from '../job/drillCase';
import { BIT_FAMILIES } from '../bits/bitFamilies';
import { corePasses, type Passes } from '../cutting/passes';
import { liftDepths } from '../cutting/lifts';
import { easedBefore } from '../cutting/stages';
import { judgeHazards } from '../hazards/judgeHazards';
import { HEAT_GAIN } from '../heat/boiling';
import { rimTemperature, type RimHeat } from '../heat/rimTemperature';
import { thermalStress } from '../heat/thermalStress';
import type { CrackOdds } from '../risk/crackOdds';
import { treatmentOdds } from '../risk/treatmentOdds';
import { faceMaterial } from '../job/faceMaterial';
import { thicknessSpread } from '../job/thickness';
import type { Piece } from '../documents/piece';
import type { Bend } from '../plate/bender';
import type { Bending } from '../plate/bendingScene';
import type { UnitSystem } from '../units/unitSystem';
import {
  cutLayer,
  layersFromFarFace,
  layersTo,
  type DepthLayer,
  type LayerCut,
  type MaterialCut,
} from './cutLayers';
import { bendingSceneOf } from './bendingSceneOf';
import type { PlannedStage } from './plan';
import { hazardScene } from './hazardScene';
import type { PlanContext } from './planContext';
import { capsOf, possibleMaterials } from './possibilities';
import { allowedChip, planExit, planSide, type ExitPlan } from './planStages';
import { planChip } from './planChip';
import { clearOf, planCrack, type CrackCase } from './planCrack';
import { settleInWindow } from './settleInWindow';
import { planPurpose } from './planPurpose';
import { planWear } from './planWear';
import { planTime } from './planTime';
import { planWater } from './planWater';
import { resolveSetup } from './resolveSetup';
import type { ResolvedSetup } from './resolvedSetup';

/**
 * Everything about one hole worked out: what is pressed, how fast it goes, how hot, how long.
 * Expects a piece and hole that passed the job check.
 */
export function workOut(drillCase: DrillCase, units: UnitSystem, bend: Bend): PlanContext {
  const { job, piece, hole, materials } = drillCase;
  const face = faceMaterial(piece, materials);
  const possible = possibleMaterials(materials, piece);
  const resolved = resolveSetup(drillCase, face);
  const capped = { ...resolved, caps: capsOf(possible, resolved.finishing.geometry) };
  const thickness = thicknessSpread(piece);
  const purpose = planPurpose(piece, hole, face, units);
  const opensFarFace = hole.depth.kind === 'through';
  const pilotMm = capped.bits.at(-2)?.geometry.diameterMm ?? 0;
  const depthMm = hole.depth.kind === 'through' ? piece.thicknessMm : hole.depth.depthMm;
  const depthLayers = layersTo(materials, piece, depthMm);
  const setup = settled(capped, piece, depthLayers, pilotMm, depthMm);
  const twoSided = opensFarFace && setup.sides === 'two';
  const depthPerSideMm = twoSided ? depthMm / 2 : depthMm;

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
  const passes = planPasses(setup, nearSide, reachMm);
  const water = planWater({ piece, hole, setup, layers, headline, depthMm });
  const sides = twoSided ? 2 : 1;
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
    liftCount: lifts.length * sides,
    waterChangeCount: water.changeAtDepthMm.length,
    coreBreaks: twoSided ? [...passes.breaks, ...passes.breaks] : passes.breaks,
  });
  const heat = heatOf(headline, setup, depthMm);
  const thermalStressMpa = thermalStress(headline.material, heat.tempRiseK);
  const posed = bendingSceneOf(piece, hole, setup, headline);
  const bending: Bending = posed.kind === 'scene' ? bend(posed.scene).bending : posed;
  const scene = hazardScene(
    job,
    { piece, hole, units, setup, depthMm, time },
    face,
    layers,
    possible,
    headline,
  );
  const gates = judgeHazards(scene);
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
    treatmentOdds: treatmentOdds(
      piece,
      face,
      gates.settled.some(({ code }) => code === 'unknown-treatment'),
    ),
  };
  const own = planCrack(crackCase);
  const crack =
    possible.length === 0
      ? own
      : neverSafer(
          own,
          ifSure(crackCase, depthLayers, { ...setup, caps: undefined }, { pilotMm, depthMm, exit }),
        );
  return {
    piece,
    hole,
    units,
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
    crack,
  };
}

/** The planner's own pace is moved inside the working window where one leaf lets it; nobody's choice is. */
function settled(
  setup: ResolvedSetup,
  piece: Piece,
  depthLayers: readonly DepthLayer[],
  pilotMm: number,
  depthMm: number,
): ResolvedSetup {
  const [layer, ...more] = depthLayers;
  const { rimSpeedMPerS, contactPressureMpa } = setup.wanted;
  const chosen = rimSpeedMPerS !== undefined || contactPressureMpa !== undefined;
  if (!layer || more.length > 0 || chosen || !setup.assumed.includes('pace')) return setup;
  const headline = cutLayer(layer, setup.finishing, setup, pilotMm).slowest;
  // A diamond rim that must not run dry is not made to by going gently.
  if (headline?.dry && !BIT_FAMILIES[headline.bit.family].mayRunDry) return setup;
  const wish = headline && settleInWindow({ headline, piece, setup, depthMm });
  return wish ? { ...setup, wanted: { ...setup.wanted, ...wish } } : setup;
}

const heatOf = (cut: MaterialCut, { coolant }: ResolvedSetup, depthMm: number): RimHeat =>
  rimTemperature(cut.material, cut.bit, {
    pressureMpa: cut.force.contactPressureMpa,
    meanSpeedMPerS: cut.force.meanSpeedMPerS,
    cutTimeS: depthMm / cut.rateMmPerS,
    waterWPerM2K: coolant.rimWPerM2K,
    burnOutWPerM2: coolant.burnOutWPerM2,
    dry: cut.dry,
  });

/** Not being sure of the material takes force back; that never makes a crack less likely. */
const neverSafer = (own: CrackOdds, sure: CrackOdds): CrackOdds =>
  sure.total > own.total ? { ...own, byStress: sure.byStress, total: sure.total } : own;

/** The crack of the same hole if it were known to be what it is planned as. */
function ifSure(
  crackCase: CrackCase,
  depthLayers: readonly DepthLayer[],
  setup: ResolvedSetup,
  at: { readonly pilotMm: number; readonly depthMm: number; readonly exit: ExitPlan | null },
): CrackOdds {
  const { bending, piece, exitForceN, cut } = crackCase;
  const sure = slowestOf(
    depthLayers.map((layer) => cutLayer(layer, setup.finishing, setup, at.pilotMm)),
  );
  const heat = heatOf(sure, setup, at.depthMm);
  const harder = sure.force.feedForceN / cut.force.feedForceN;
  const eased =
    at.exit && exitForceN > 0
      ? planExit(sure, piece, setup, at.exit.allowedChipMm).exitForceN
      : exitForceN;
  return planCrack({
    ...crackCase,
    cut: sure,
    thermalStressMpa: thermalStress(sure.material, heat.tempRiseK),
    heatGain: HEAT_GAIN[heat.boiling],
    bending:
      bending.kind === 'bent'
        ? {
            ...bending,
            stressMpa: bending.atRestMpa + (bending.stressMpa - bending.atRestMpa) * harder,
          }
        : bending,
    exitForceN: eased,
    possible: [],
  });
}

function slowestOf(layers: readonly LayerCut[]): MaterialCut {
  const cuts = layers.flatMap((layer) => (layer.slowest ? [layer.slowest] : []));
  const [first, ...rest] = cuts;
  if (!first) throw new Error('A piece needs at least one solid layer; the job check sees to it.');
  return rest.reduce((slow, cut) => (cut.rateMmPerS < slow.rateMmPerS ? cut : slow), first);
}

const clipTo = (layers: readonly LayerCut[], depthMm: number): LayerCut[] =>
  layers
    .filter(({ layer }) => layer.fromMm < depthMm - 1e-9)
    .map((cut) => ({ ...cut, layer: { ...cut.layer, toMm: Math.min(cut.layer.toMm, depthMm) } }));

/** Blind holes end at full force. */
const blindExit = (cut: MaterialCut): ExitPlan => ({
  exitForceN: cut.force.feedForceN,
  idealN: cut.force.feedForceN,
  belowGlaze: false,
  allowedChipMm: Infinity,
  ligamentMm: 0,
  chipDepthMm: 0,
  chipWidthMm: 0,
  conditions: {
    hold: 'rig',
    exitFactor: 0,
    sharpness: cut.sharpness,
    sheetThicknessMm: null,
    diameterMm: cut.bit.diameterMm,
    wobbleMm: 0,
  },
});

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
