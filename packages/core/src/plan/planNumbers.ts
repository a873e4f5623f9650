import { BIT_SWAP_S, liftS } from '../physics/cutting/pauses';
import { MATERIAL_DATA_VERSION } from '../data/materials/materials';
import type { LayerCut, MaterialCut } from '../setup/cutLayers';
import { MODEL_VERSION, type Plan, type PlannedLayer, type PlannedSetup } from '../documents/plan';
import type { PlanContext } from './planContext';
import type { ResolvedSetup } from '../setup/resolvedSetup';

/** The figures of a plan, without the sentences that go with them. */
export type PlanNumbers = Omit<
  Plan,
  'fit' | 'timeline' | 'gates' | 'settledGates' | 'warnings' | 'steps' | 'reasons'
>;

/** Everything worked out, as the figures that are shown, stored and printed. */
export function planNumbers(context: PlanContext): PlanNumbers {
  const { headline, setup, exit, time, water } = context;
  const bent = context.bending.kind === 'bent' ? context.bending : null;
  return {
    holeId: context.hole.id,
    pieceId: context.piece.id,
    setup: plannedSetup(setup, headline),
    depthMm: context.depthMm,
    depthPerSideMm: context.depthPerSideMm,
    rpm: headline.speed.rpm,
    feedForceN: headline.force.feedForceN,
    seatForceN:
      context.stages.find((stage) => stage.kind === 'seat')?.forceN ?? headline.force.feedForceN,
    forceWindowN: forceWindow(headline),
    contactPressureMpa: headline.force.contactPressureMpa,
    rimSpeedMPerS: headline.speed.rimSpeedMPerS,
    meanSpeedMPerS: headline.force.meanSpeedMPerS,
    rateMmPerS: headline.rateMmPerS,
    drillTimeS: time.spread,
    altogetherS: time.altogether,
    restsS: time.restsS,
    torqueNm: headline.force.torqueNm,
    powerW: headline.force.powerW,
    tempRiseK: context.tempRiseK,
    thermalStressMpa: context.thermalStressMpa,
    bendingStressMpa: bent?.stressMpa ?? null,
    maxDeflectionMm: bent?.deflectionMm ?? null,
    liftOffFraction: bent?.liftOffFraction ?? null,
    bending: context.bending,
    totalStressMpa: context.crack.stressMpa,
    stressLimitMpa: context.crack.limitMpa,
    exitChipMm: context.chip,
    exitForceN: exit?.exitForceN ?? null,
    easeOffAtMm: context.stages.find((stage) => stage.kind === 'exit')?.fromMm ?? null,
    lifts: context.lifts,
    passes: context.passes.count,
    coreBreaksAtMm: context.passes.coreBreaksAtMm,
    stages: context.stages,
    pilots: time.pilots,
    clock: {
      sd: time.sd,
      liftS: liftS(setup.hold),
      seatCentreS: time.pauses.seatCentre,
      bitSwapS: BIT_SWAP_S,
      restShare: time.restShare,
    },
    layers: context.layers.map(plannedLayer),
    water,
    crackProbability: context.crack.total,
    couldBe: context.possible.map(({ material, share }) => ({
      material: material.id,
      name: material.name,
      share,
    })),
    bitLife: context.bitLife,
    modelVersion: MODEL_VERSION,
    dataVersion: MATERIAL_DATA_VERSION,
  };
}

function forceWindow({ window, contact }: MaterialCut): Plan['forceWindowN'] {
  const { glaze, low, high } = window.pressureMpa;
  const area = contact.contactAreaMm2;
  return { glaze: glaze * area, low: low * area, high: high * area };
}

function plannedLayer({ layer, slowest, rateMmPerS }: LayerCut): PlannedLayer {
  const seconds = (layer.toMm - layer.fromMm) / rateMmPerS;
  return {
    material: layer.id,
    name: slowest?.material.name ?? 'Cavity',
    class: slowest?.material.class ?? null,
    fromMm: layer.fromMm,
    toMm: layer.toMm,
    cut: slowest && {
      rpm: slowest.speed.rpm,
      feedForceN: slowest.force.feedForceN,
      rateMmPerS,
      cuttingTimeS: Number.isFinite(seconds) ? seconds : null,
    },
  };
}

function plannedSetup(setup: ResolvedSetup, headline: MaterialCut): PlannedSetup {
  const { bit, geometry, owned } = setup.finishing;
  return {
    bitId: owned ? bit.id : null,
    bitName: bit.name,
    bitFamily: bit.family,
    bitDiameterMm: geometry.diameterMm,
    rimWidthMm: geometry.rimWidthMm,
    solid: geometry.solid,
    sharpness: headline.sharpness,
    usableDepthMm: geometry.usableDepthMm,
    machineId: setup.machineOwned ? setup.machine.id : null,
    machineName: setup.machine.name,
    machineKind: setup.machine.kind,
    supportKind: setup.support.id,
    supportName: setup.support.name,
    supportThicknessMm: setup.support.atThicknessMm,
    edgesHeld: setup.support.edgesHeld,
    waterKind: setup.coolant.id,
    hold: setup.hold,
    start: setup.start,
    pace: setup.pace,
    sides: setup.sides,
    feedAid: setup.feedAid,
    assumed: setup.assumed,
  };
}
