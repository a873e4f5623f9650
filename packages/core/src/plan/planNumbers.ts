import { BIT_SWAP_S, liftS } from '../physics/cutting/pauses';
import { MATERIAL_DATA_VERSION } from '../data/materials/materials';
import type { LayerCut, MaterialCut } from '../setup/cutLayers';
import {
  MODEL_VERSION,
  type Plan,
  type PlannedLayer,
  type PlannedOperation,
  type PlannedPilot,
  type PlannedSetup,
} from '../documents/plan';
import type { PlanContext, WorkedOperation } from './planContext';
import { operationSpread, sumOf } from './planTime';
import type { ResolvedSetup } from '../setup/resolvedSetup';

/** The figures of a plan, without the sentences that go with them. */
export type PlanNumbers = Omit<
  Plan,
  'fit' | 'timeline' | 'gates' | 'settledGates' | 'warnings' | 'steps' | 'reasons' | 'operations'
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
    crossingMm: context.crossingMm,
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
    pilots: pilotsOf(context),
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
    fromLog: context.fromLog,
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

/** The cuts that open the hole to less than its size. */
const pilotsOf = ({ operations }: PlanContext): PlannedPilot[] =>
  operations.flatMap(({ cut, finishes }) => {
    if (!cut || finishes || cut.operation.does === 'counterbore') return [];
    const { bit, geometry, owned } = cut.setup.finishing;
    return [
      {
        bitId: owned ? bit.id : null,
        bitName: bit.name,
        lifeDepthMm: cut.headline.lifeDepthMm,
        diameterMm: geometry.diameterMm,
        rimWidthMm: geometry.rimWidthMm,
        solid: geometry.solid,
        rpm: cut.headline.speed.rpm,
        forceN: cut.headline.force.feedForceN,
        timeS: Number.isFinite(cut.time.cuttingS) ? cut.time.cuttingS : null,
      },
    ];
  });

/** One operation’s figures, without the sentences that go with them. */
export function operationNumbers(one: WorkedOperation): Omit<PlannedOperation, 'steps'> {
  const { operation, cut, time, gates } = one;
  const { id, does, face, helper } = operation;
  const head = { id, does, face, helper, gates };
  if (!cut || operation.kind === 'hand') {
    const atMm = operation.kind === 'hand' ? operation.atMm : operation.toMm;
    return {
      ...head,
      ...HANDS,
      fromMm: atMm,
      toMm: atMm,
      timeS: operationSpread(null, time),
      haltS: sumOf(time.pauses),
    };
  }
  const { setup, headline, water, lifts } = cut;
  const { bit, geometry, owned } = setup.finishing;
  const { fromMm, toMm } = operation;
  const { work, pauses } = cut.time;
  return {
    ...head,
    fromMm,
    toMm,
    bitId: owned ? bit.id : null,
    bitName: bit.name,
    bitFamily: bit.family,
    bitDiameterMm: geometry.diameterMm,
    rimWidthMm: geometry.rimWidthMm,
    solid: geometry.solid,
    usableDepthMm: geometry.usableDepthMm,
    lifeDepthMm: headline.lifeDepthMm,
    machineId: setup.machineOwned ? setup.machine.id : null,
    machineName: setup.machine.name,
    waterKind: setup.coolant.id,
    wet: setup.coolant.kind !== 'dry',
    extensionId: cut.reach.extension?.id ?? null,
    extensionName: cut.reach.extension?.name ?? null,
    hammer: setup.hammer,
    hold: setup.hold,
    rpm: headline.speed.rpm,
    feedForceN: headline.force.feedForceN,
    rateMmPerS: meanRate(cut.layers),
    timeS: work && operationSpread(work, time),
    lifts: lifts.length,
    liftsAtMm: lifts,
    waterChanges: water.changeAtDepthMm.length,
    waterChangesAtMm: water.changeAtDepthMm,
    waterOffAtMm: water.offAtMm,
    bitDepthMm: cut.bitDepthMm,
    bar: cut.bar,
    boreDepthMm: geometry.solid ? null : geometry.boreDepthMm,
    collarAtMm: cut.stop.collarAtMm,
    sticksOutMm: cut.sticksOutMm,
    ends: cut.ends,
    stages: cut.stages,
    seatCentreS: pauses.seatCentre ?? 0,
    haltS: 0,
  };
}

/** Depth over time through all leaves, mm/s; null where one of them is not cut. */
function meanRate(layers: readonly LayerCut[]): number | null {
  const solid = layers.filter(({ slowest }) => slowest !== null);
  const lengthMm = (one: LayerCut): number => one.layer.toMm - one.layer.fromMm;
  const seconds = solid.reduce((sum, one) => sum + lengthMm(one) / one.rateMmPerS, 0);
  const rate = solid.reduce((sum, one) => sum + lengthMm(one), 0) / seconds;
  return Number.isFinite(seconds) ? rate : null;
}

/** What work of hands does not have. */
const HANDS = {
  bitId: null,
  bitName: null,
  bitFamily: null,
  bitDiameterMm: null,
  rimWidthMm: null,
  solid: null,
  usableDepthMm: null,
  lifeDepthMm: null,
  machineId: null,
  machineName: null,
  waterKind: null,
  extensionId: null,
  extensionName: null,
  wet: false,
  hammer: false,
  hold: null,
  rpm: null,
  feedForceN: null,
  rateMmPerS: null,
  lifts: 0,
  liftsAtMm: [],
  waterChanges: 0,
  waterChangesAtMm: [],
  waterOffAtMm: null,
  bitDepthMm: 0,
  bar: null,
  boreDepthMm: null,
  collarAtMm: null,
  sticksOutMm: null,
  ends: null,
  stages: [],
  seatCentreS: 0,
} as const;
