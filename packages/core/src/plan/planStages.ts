import { exitChipDepth, exitChipWidth, type ExitConditions } from '../breakthrough/exitChip';
import { exitForceFor, type ExitForce } from '../breakthrough/exitForce';
import { stagesOf, type Stage } from '../cutting/stages';
import type { Piece } from '../documents/piece';
import { rateAt, type LayerCut, type MaterialCut } from './cutLayers';
import type { PlannedStage } from './plan';
import type { ResolvedSetup } from './resolvedSetup';

/** Chips wider than this show where no cover hides them, mm. */
export const ALLOWED_CHIP_MM = 1;
/** A cover that hides nothing still allows what no eye sees, mm. */
const LEAST_ALLOWED_CHIP_MM = 0.05;

/** W: what the purpose's cover hides, else what shows at arm's length. */
export const allowedChip = (coverMm: number | null | undefined): number =>
  typeof coverMm === 'number' ? Math.max(coverMm, LEAST_ALLOWED_CHIP_MM) : ALLOWED_CHIP_MM;

export interface ExitPlan extends ExitForce {
  /** W, mm. */
  readonly allowedChipMm: number;
  readonly chipDepthMm: number;
  readonly chipWidthMm: number;
  readonly conditions: ExitConditions;
}

/** How the last web lets go at the far face, and the force that keeps its chips small. */
export function planExit(
  cut: MaterialCut,
  piece: Piece,
  setup: ResolvedSetup,
  allowedChipMm: number,
): ExitPlan {
  const isSheet = piece.form === 'sheet' || piece.form === 'vessel';
  const conditions: ExitConditions = {
    hold: setup.hold,
    exitFactor: setup.sides === 'two' ? 0 : setup.support.exitFactor,
    sharpness: cut.sharpness,
    sheetThicknessMm: isSheet ? piece.thicknessMm : null,
  };
  const area = cut.contact.contactAreaMm2;
  const force = exitForceFor(cut.material, allowedChipMm, conditions, {
    mainN: cut.force.feedForceN,
    lowN: cut.window.pressureMpa.low * area,
    glazeN: cut.window.pressureMpa.glaze * area,
  });
  return {
    ...force,
    allowedChipMm,
    chipDepthMm: exitChipDepth(cut.material, force.exitForceN, conditions),
    chipWidthMm: exitChipWidth(cut.material, force.exitForceN, conditions),
    conditions,
  };
}

/** Seat, main and exit from one face, the main cut split where the leaves change. */
export function planSide(
  side: 1 | 2,
  layers: readonly LayerCut[],
  depthMm: number,
  opensFarFace: boolean,
  exit: ExitPlan,
  exitEarlyMm: number,
): PlannedStage[] {
  const solid = layers.filter((layer) => layer.slowest !== null);
  const first = solid[0]?.slowest;
  const last = solid.at(-1)?.slowest;
  if (!first || !last) return [];
  const outline = stagesOf({
    depthMm,
    feedForceN: first.force.feedForceN,
    exitForceN: exit.exitForceN,
    rpm: first.speed.rpm,
    leastRpm: first.speed.setting.minRpm,
    glazeForceN: first.window.pressureMpa.glaze * first.contact.contactAreaMm2,
    exitChipDepthMm: exit.chipDepthMm,
    opensFarFace,
    exitEarlyMm,
  });
  return outline.flatMap((stage) =>
    solid
      .map((layer) => within(stage, layer, side))
      .filter((part): part is PlannedStage => part !== null),
  );
}

/** The part of a stage that lies in one leaf, at that leaf's own force and speed. */
function within(stage: Stage, layer: LayerCut, side: 1 | 2): PlannedStage | null {
  const fromMm = Math.max(stage.fromMm, layer.layer.fromMm);
  const toMm = Math.min(stage.toMm, layer.layer.toMm);
  const cut = layer.slowest;
  if (cut === null || toMm - fromMm <= 1e-9) return null;
  const rpm = stage.kind === 'seat' ? stage.rpm : cut.speed.rpm;
  const forceN = stage.kind === 'main' ? cut.force.feedForceN : stage.forceN;
  // A mix goes slower and faster by turns: time adds up over its shares.
  const slowness = layer.parts.reduce(
    (sum, part) =>
      sum +
      part.share /
        rateAt(part.cut, (forceN * part.cut.force.feedForceN) / cut.force.feedForceN, rpm),
    0,
  );
  const timeS = (toMm - fromMm) * slowness;
  return {
    ...stage,
    side,
    fromMm,
    toMm,
    rpm,
    forceN,
    timeS: Number.isFinite(timeS) ? timeS : null,
  };
}
