import type { CoreBreak } from '../physics/cutting/passes';
import {
  aroundS,
  BIT_SWAP_S,
  coreBreakS,
  lastCoreS,
  liftS,
  START_S,
  turnOverS,
} from '../physics/cutting/pauses';
import { solidCentreSeatTime } from '../physics/cutting/stages';
import type { Piece } from '../documents/piece';
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
import { cutLayer, type DepthLayer, type LayerCut, type MaterialCut } from '../setup/cutLayers';
import type { PlannedPilot, PlannedStage, TimeSpread } from '../documents/plan';
import { cutIfOther, type PossibleMaterial } from '../setup/possibilities';
import { mixtureQuantile, type LogNormalPart } from '../math/logNormalMixture';
import type { TimeBreakdown } from './planContext';
import type { ResolvedSetup } from '../setup/resolvedSetup';

export interface TimeInputs {
  readonly piece: Pick<Piece, 'form'>;
  readonly blind: boolean;
  /** sd of ln(thickness). */
  readonly thicknessSd: number;
  /** What the piece may be, where nobody is sure. */
  readonly possible: readonly PossibleMaterial[];
  readonly setup: ResolvedSetup;
  readonly headline: MaterialCut;
  readonly layers: readonly LayerCut[];
  readonly stages: readonly PlannedStage[];
  readonly depthLayers: readonly DepthLayer[];
  readonly liftCount: number;
  readonly waterChangeCount: number;
  readonly coreBreaks: readonly CoreBreak[];
}

/** All stages, the rests arms need, and the pauses between; then what comes before and after. */
export function planTime(inputs: TimeInputs): TimeBreakdown {
  const { setup, stages, headline, blind, piece, possible } = inputs;
  const { diameterMm, solid } = setup.finishing.geometry;
  const chain = pilotCuts(inputs);
  const cuttingS =
    stages.reduce((sum, stage) => sum + (stage.timeS ?? Infinity), 0) + chain.cuttingS;
  const pauses: TimeBreakdown['pauses'] = {
    start: START_S[setup.start],
    seatCentre: chain.seatCentreS,
    lifts: inputs.liftCount * liftS(setup.hold),
    waterChanges: inputs.waterChangeCount * setup.coolant.changeS,
    coreBreaks: inputs.coreBreaks.reduce((sum, one) => sum + coreBreakS(one, diameterMm), 0),
    bitSwaps: (setup.bits.length - 1) * BIT_SWAP_S,
    turnOver: setup.sides === 'two' && !blind ? turnOverS(piece.form) : 0,
  };
  const around: TimeBreakdown['around'] = {
    ...aroundS(setup.hold, setup.wanted.standFixing, setup.coolant.id),
    lastCore: lastCoreS(solid, blind, diameterMm),
  };
  const handN = handForce(headline.force.feedForceN, setup.hold, setup.machine, setup.feedAid);
  const restShare = restAllowance(handN) * fatigue(cuttingS);
  const cuts = pressedCuts(inputs, chain.cuttingS, 1 + restShare);
  const parts = cuttingTimeParts(cuts, headline.material, setup.hold, {
    thickness: inputs.thicknessSd,
    mix: mixSpread(inputs.layers),
  });
  const pausesS = sumOf(pauses);
  const work = Number.isFinite(cuttingS)
    ? cuttingSpread(inputs, cuttingS * (1 + restShare), parts)
    : null;
  const spread = work && sumSpread([work, logNormalSpan(pausesS, PAUSES_SD)]);
  return {
    cuttingS,
    pauses,
    pausesS,
    around,
    restsS: Number.isFinite(cuttingS) ? cuttingS * restShare : 0,
    restShare,
    cuts,
    sd: work && possible.length === 0 ? spanSd(work) : partsSd(parts),
    spread,
    altogether: spread && sumSpread([spread, logNormalSpan(sumOf(around), AROUND_SD)]),
    pilots: chain.pilots,
  };
}

/** Every stage with its leaf's own pressures; the smaller bits at the finishing one's. */
function pressedCuts(
  { stages, layers, headline, depthLayers }: TimeInputs,
  pilotS: number,
  rested: number,
): PressedCut[] {
  const depthMm = depthLayers.at(-1)?.toMm ?? 0;
  const pressed = (cut: MaterialCut, forceN: number, seconds: number): PressedCut => ({
    seconds: seconds * rested,
    pressureMpa: forceN / cut.contact.contactAreaMm2,
    idleMpa: cut.window.pressureMpa.glaze / 2,
  });
  // From the far face the leaves come the other way round.
  const cutAt = ({ fromMm, toMm, side }: PlannedStage): MaterialCut => {
    const middle = (fromMm + toMm) / 2;
    const depth = side === 1 ? middle : depthMm - middle;
    const here = layers.find(({ layer }) => depth >= layer.fromMm && depth <= layer.toMm);
    return here?.slowest ?? headline;
  };
  const own = stages.map((stage) => pressed(cutAt(stage), stage.forceN, stage.timeS ?? Infinity));
  return pilotS > 0 ? [...own, pressed(headline, headline.force.feedForceN, pilotS)] : own;
}

const sumOf = (parts: Readonly<Record<string, number>>): number =>
  Object.values(parts).reduce((sum, one) => sum + one, 0);

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

/** The smaller bits before the finishing one: each opens the hole for the next, whole depth. */
function pilotCuts({ setup, depthLayers }: TimeInputs): {
  cuttingS: number;
  seatCentreS: number;
  pilots: PlannedPilot[];
} {
  let pilotMm = 0;
  let seatCentreS = 0;
  const pilots: PlannedPilot[] = [];
  for (const bit of setup.bits) {
    const seatS = solidCentreSeatTime(bit.geometry, pilotMm);
    seatCentreS += seatS;
    if (bit !== setup.finishing) {
      const cuts = depthLayers.map((layer) => ({
        lengthMm: layer.toMm - layer.fromMm,
        cut: cutLayer(layer, bit, setup, pilotMm),
      }));
      const timeS = cuts.reduce((sum, { lengthMm, cut }) => sum + lengthMm / cut.rateMmPerS, 0);
      const slowest = cuts.flatMap(({ cut }) => cut.slowest ?? [])[0];
      pilots.push({
        bitId: bit.owned ? bit.bit.id : null,
        bitName: bit.bit.name,
        lifeDepthMm: slowest?.lifeDepthMm ?? 0,
        diameterMm: bit.geometry.diameterMm,
        rimWidthMm: bit.geometry.rimWidthMm,
        solid: bit.geometry.solid,
        rpm: slowest?.speed.rpm ?? 0,
        forceN: slowest?.force.feedForceN ?? 0,
        timeS: Number.isFinite(timeS) ? timeS : null,
      });
    }
    pilotMm = bit.geometry.diameterMm;
  }
  const cuttingS = pilots.reduce((sum, { timeS }) => sum + (timeS ?? Infinity), 0);
  return { cuttingS, seatCentreS, pilots };
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
