import { seatDepth } from '../physics/cutting/stages';
import { boundingBox, faceOutline, outlineArea } from '../layout/outline';
import type { Hole } from '../documents/hole';
import type { Piece } from '../documents/piece';
import { dam, usualDam } from '../layout/guideBoard';
import { bathFill } from '../physics/water/fill';
import { waterFlow, type WaterFlow } from '../physics/water/flow';
import { finesMass, turbidityLimit, waterChangeDepths } from '../physics/water/turbidity';
import type { LayerCut, MaterialCut } from '../setup/cutLayers';
import type { WaterPlan } from '../documents/plan';
import type { ResolvedSetup } from '../setup/resolvedSetup';

/** Room round the piece in a tray nobody has measured, mm a side. */
const TRAY_MARGIN_MM = 20;

/** Litres that stand round the piece, or inside the dam. */
function standingVolume(
  piece: Piece,
  hole: Hole,
  setup: ResolvedSetup,
  bitDiameterMm: number,
): number {
  const { coolant, support, wanted } = setup;
  if (coolant.id === 'pool')
    return dam({ ...usualDam(bitDiameterMm), heightMm: coolant.atCoverMm }).waterMl / 1000;
  const face = faceOutline(piece.outline, hole.face ?? 'top');
  const box = boundingBox(face);
  const length = wanted.water?.trayLengthMm ?? box.widthMm + 2 * TRAY_MARGIN_MM;
  const width = wanted.water?.trayWidthMm ?? box.heightMm + 2 * TRAY_MARGIN_MM;
  const pieceAreaMm2 = outlineArea(face);
  return bathFill({
    trayAreaMm2: length * width,
    backingMm: support.atThicknessMm,
    backingAreaMm2: pieceAreaMm2,
    thicknessMm: piece.thicknessMm,
    pieceAreaMm2,
    coverMm: coolant.atCoverMm,
  });
}

/** Where nobody has said, water is shut this far before a wall's far face, mm. */
export const WATER_OFF_BEFORE_MM = 20;

/** Running water behind a wall is a wet room: it is shut before the far face. 0 leaves it running. */
function waterOffAt({ piece, setup, fromMm, toMm, opensFace }: WaterInputs): number | null {
  if (piece.form !== 'wall' || !opensFace) return null;
  const before = setup.wanted.water?.offBeforeFarFaceMm ?? WATER_OFF_BEFORE_MM;
  const offMm = piece.thicknessMm - before;
  return before > 0 && offMm > fromMm && offMm <= toMm ? offMm : null;
}

/** What running water has to carry in this cut. */
export const flowFor = ({ force, material, contact, rateMmPerS, bit }: MaterialCut): WaterFlow =>
  waterFlow({ ...bit, ...contact, ...material, powerW: force.powerW, rateMmPerS });

/** Whether something other than the eye keeps the bit on its mark from the first turn. */
const isSteered = ({ hold, start }: ResolvedSetup): boolean =>
  hold !== 'freehand' || start === 'guide' || start === 'pilot';

export interface WaterInputs {
  readonly piece: Piece;
  readonly hole: Hole;
  readonly setup: ResolvedSetup;
  readonly layers: readonly LayerCut[];
  readonly headline: MaterialCut;
  readonly fromMm: number;
  readonly toMm: number;
  /** It goes on in its own hole, which steers it. */
  readonly seated: boolean;
  /** The face behind is opened on this way down, by this cut or one that follows. */
  readonly opensFace: boolean;
  /** Fines that the standing water holds already, g. */
  readonly finesG: number;
}

/** How much water one cut takes, when it is changed, how fast it must run and what comes out as slurry. */
export function planWater(inputs: WaterInputs): WaterPlan {
  const { piece, hole, setup, layers, headline, fromMm, toMm } = inputs;
  const lengthMm = toMm - fromMm;
  const { coolant } = setup;
  const { contact, bit, material } = headline;
  const finesG = layers.reduce(
    (sum, { slowest, layer }) =>
      slowest === null
        ? sum
        : sum +
          finesMass(
            slowest.material.densityKgPerM3,
            contact.kerfAreaMm2,
            layer.toMm - layer.fromMm,
          ),
    0,
  );
  const none = {
    fillL: null,
    coverMm: null,
    changeAtDepthMm: [],
    holesPerFill: null,
    flowLPerMin: null,
    secondsPerCup: null,
    slurryL: null,
    offAtMm: null,
  };
  const base = { method: coolant.id, name: coolant.name, finesG };
  if (coolant.kind === 'standing') {
    const fillL = standingVolume(piece, hole, setup, bit.diameterMm);
    const limit = turbidityLimit(coolant.atCoverMm, material.grainSizeUm);
    return {
      ...none,
      ...base,
      fillL,
      coverMm: coolant.atCoverMm,
      changeAtDepthMm: waterChangeDepths(
        {
          toSeeGPerL: limit,
          seenToMm: inputs.seated || isSteered(setup) ? 0 : fromMm + seatDepth(lengthMm),
        },
        fillL,
        finesG / lengthMm,
        toMm,
        { fromMm, finesG: inputs.finesG, holeMm: piece.thicknessMm },
      ),
      holesPerFill: (limit * fillL) / finesG,
    };
  }
  if (coolant.kind === 'flowing') {
    const flow = flowFor(headline);
    const cuttingS = layers.reduce(
      (sum, { layer, rateMmPerS }) => sum + (layer.toMm - layer.fromMm) / rateMmPerS,
      0,
    );
    const slurryL = (flow.flowLPerMin * cuttingS) / 60;
    return {
      ...none,
      ...base,
      flowLPerMin: flow.flowLPerMin,
      secondsPerCup: flow.secondsPerCup,
      slurryL: Number.isFinite(slurryL) ? slurryL : null,
      offAtMm: waterOffAt(inputs),
    };
  }
  return { ...none, ...base };
}

/** Fines that standing water holds after a cut, g: what was cut since it was changed last. */
export function finesAfter(water: WaterPlan, before: number, fromMm: number, toMm: number): number {
  if (water.fillL === null) return before;
  const last = water.changeAtDepthMm.at(-1);
  return last === undefined
    ? before + water.finesG
    : (water.finesG * (toMm - last)) / (toMm - fromMm);
}

/**
 * The water of all cuts together: the main cut’s own, for all their fines.
 * @param near those from the near face, from which its depths are counted
 */
export function totalWater(
  main: WaterPlan,
  all: readonly WaterPlan[],
  near: readonly WaterPlan[],
): WaterPlan {
  const finesG = all.reduce((sum, one) => sum + one.finesG, 0);
  const slurries = all.filter(({ method }) => method === main.method).map(({ slurryL }) => slurryL);
  return {
    ...main,
    finesG,
    changeAtDepthMm: near.flatMap(({ changeAtDepthMm }) => changeAtDepthMm),
    // As many such holes as one filling stays clear enough for.
    holesPerFill:
      main.holesPerFill === null
        ? null
        : Math.floor((main.holesPerFill * main.finesG) / finesG + 1e-9),
    slurryL: slurries.reduce<number | null>(
      (sum, one) => (sum === null || one === null ? null : sum + one),
      0,
    ),
    offAtMm: near.find(({ offAtMm }) => offAtMm !== null)?.offAtMm ?? null,
  };
}
