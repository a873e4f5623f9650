import type { Hold } from '../documents/choices';
import type { CoreBreak } from '../cutting/passes';
import { solidCentreSeatTime } from '../cutting/stages';
import { cuttingTimeSd, logNormalP10, logNormalP90 } from './spread';
import { cutLayer, type DepthLayer, type LayerCut } from './cutLayers';
import type { PlannedPilot, PlannedStage, TimeSpread } from './plan';
import { cutIfOther, type PossibleMaterial } from './possibilities';
import { mixtureQuantile, type LogNormalPart } from '../numeric/logNormalMixture';
import type { TimeBreakdown } from './planContext';
import type { ResolvedSetup } from './resolvedSetup';

/** Out of the groove and back, s. */
export const liftS = (hold: Hold): number => (hold === 'press' || hold === 'rig' ? 1 : 1.5);

const CORE_BREAK_S = 120;
/** A core that dropped free is pushed out of the barrel, and the bit led into the next leaf. */
const CORE_DROP_S = 40;
export const BIT_SWAP_S = 40;

/** What taking a core out costs, s. */
export const coreBreakS = (why: CoreBreak['why']): number =>
  why === 'cavity' ? CORE_DROP_S : CORE_BREAK_S;

export interface TimeInputs {
  /** sd of ln(thickness). */
  readonly thicknessSd: number;
  /** What the piece may be, where nobody is sure. */
  readonly possible: readonly PossibleMaterial[];
  readonly setup: ResolvedSetup;
  readonly layers: readonly LayerCut[];
  readonly stages: readonly PlannedStage[];
  readonly depthLayers: readonly DepthLayer[];
  readonly liftCount: number;
  readonly waterChangeCount: number;
  readonly coreBreaks: readonly CoreBreak[];
}

/** All stages, lifts, water changes, core breaks and bit swaps; only cutting time is uncertain. */
export function planTime(inputs: TimeInputs): TimeBreakdown {
  const { setup, stages } = inputs;
  const chain = pilotCuts(inputs);
  const cuttingS =
    stages.reduce((sum, stage) => sum + (stage.timeS ?? Infinity), 0) + chain.cuttingS;
  const parts = {
    cuttingS,
    liftsS: inputs.liftCount * liftS(setup.hold),
    waterChangesS: inputs.waterChangeCount * setup.coolant.changeS,
    coreBreaksS: inputs.coreBreaks.reduce((sum, { why }) => sum + coreBreakS(why), 0),
    seatCentreS: chain.seatCentreS,
    bitSwapsS: (setup.bits.length - 1) * BIT_SWAP_S,
  };
  const sd = timeSd(inputs);
  const fixedS =
    parts.liftsS + parts.waterChangesS + parts.coreBreaksS + parts.seatCentreS + parts.bitSwapsS;
  const spread = Number.isFinite(cuttingS) ? timeSpread(inputs, cuttingS, fixedS, sd) : null;
  return { ...parts, sd, spread, pilots: chain.pilots };
}

/** One log-normal where the material is known, else a mixture of what it may be. */
function timeSpread(
  { possible, layers, setup, thicknessSd }: TimeInputs,
  cuttingS: number,
  fixedS: number,
  sd: number,
): TimeSpread {
  const cut = layers[0]?.slowest;
  if (possible.length === 0 || !cut) {
    return {
      p10: fixedS + logNormalP10(cuttingS, sd),
      p50: fixedS + cuttingS,
      p90: fixedS + logNormalP90(cuttingS, sd),
    };
  }
  const parts = possible.map(({ material, share }): LogNormalPart => {
    const other = cutIfOther(cut, material);
    return {
      median: (cuttingS * cut.rateMmPerS) / other.rateMmPerS,
      sd: Math.hypot(cuttingTimeSd(other, setup.hold), thicknessSd),
      share,
    };
  });
  const at = (q: number): number => fixedS + mixtureQuantile(parts, q);
  return { p10: at(0.1), p50: at(0.5), p90: at(0.9) };
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
        bitName: bit.bit.name,
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
export function mixSd(parts: LayerCut['parts']): number {
  if (parts.length < 2) return 0;
  const rates = parts.map((part) => part.cut.rateMmPerS);
  return Math.log(Math.max(...rates) / Math.min(...rates)) / 2.5632;
}

/** Spread of the whole cut: the layers' own, weighted by time, and the spread within a mix. */
function timeSd({ layers, setup, thicknessSd }: TimeInputs): number {
  let totalS = 0;
  let weighted = 0;
  for (const { layer, slowest, parts, rateMmPerS } of layers) {
    if (!slowest) continue;
    const seconds = (layer.toMm - layer.fromMm) / rateMmPerS;
    totalS += seconds;
    weighted += seconds * Math.hypot(cuttingTimeSd(slowest, setup.hold), mixSd(parts), thicknessSd);
  }
  return totalS > 0 && Number.isFinite(totalS) ? weighted / totalS : 0;
}
