import { exitChipDepth, exitChipWidth, type ExitConditions } from '../physics/exit/exitChip';
import { exitForceFor, type ExitForce } from '../physics/exit/exitForce';
import { wobbleOf } from '../physics/cutting/wobble';
import { stagesOf } from '../physics/cutting/stages';
import { type Stage } from '../documents/plan';
import type { Piece } from '../documents/piece';
import { lastLigament } from '../physics/strength/stressSites';
import { glazingTime, meanSlowness } from '../physics/wear/sharpness';
import { isBuilding } from '../data/pieceForms';
import { sheetThickness } from './planCrack';
import { rateAt, type LayerCut, type MaterialCut } from '../setup/cutLayers';
import type { PlannedStage } from '../documents/plan';
import type { ResolvedSetup } from '../setup/resolvedSetup';
import { exitChipSd, logNormalP10 } from '../physics/spread';

/** Chips wider than this show where no cover hides them, mm. */
const ALLOWED_CHIP_MM = 1;
/** A wall's far face is made good, or a rosette hides it, mm. */
const ALLOWED_WALL_CHIP_MM = 8;
/** A cover that hides nothing still allows what no eye sees, mm. */
const MIN_ALLOWED_CHIP_MM = 0.05;

/** W: what the purpose's cover hides, else what shows at arm's length. */
export const allowedChip = (
  coverMm: number | null | undefined,
  piece: Pick<Piece, 'form'>,
): number =>
  typeof coverMm === 'number'
    ? Math.max(coverMm, MIN_ALLOWED_CHIP_MM)
    : isBuilding(piece)
      ? ALLOWED_WALL_CHIP_MM
      : ALLOWED_CHIP_MM;

export interface ExitPlan extends ExitForce {
  /** W, mm. */
  readonly allowedChipMm: number;
  /** δ at which the last web would let go under the main force, mm. */
  readonly ligamentMm: number;
  readonly chipDepthMm: number;
  readonly chipWidthMm: number;
  readonly conditions: ExitConditions;
}

/** sd of ln(chip width): the log's, or what is calculated. */
export const chipSd = (setup: ResolvedSetup, cut: MaterialCut): number =>
  setup.logged?.chip?.sd ?? exitChipSd(setup.hold, cut.sharpness, cut.bit.diameterMm);

/** How the last web lets go at the far face, and the force that keeps its chips small. */
export function planExit(
  cut: MaterialCut,
  piece: Piece,
  setup: ResolvedSetup,
  allowedChipMm: number,
  opensFace: boolean,
): ExitPlan {
  const conditions: ExitConditions = {
    hold: setup.hold,
    exitFactor: opensFace ? setup.support.exitFactor : 0,
    sharpness: cut.sharpness,
    sheetThicknessMm: sheetThickness(piece),
    diameterMm: cut.bit.diameterMm,
    wobbleMm: wobbleOf(setup.finishing.bit, setup.hold),
    chipTimes: Math.exp(setup.logged?.chip?.mean ?? 0),
  };
  const sd = chipSd(setup, cut);
  const area = cut.contact.contactAreaMm2;
  const mainN = cut.force.feedForceN;
  // Aimed so that nine chips in ten stay under what is allowed.
  const eased = exitForceFor(cut.material, logNormalP10(allowedChipMm, sd), conditions, {
    mainN,
    lowN: cut.window.pressureMpa.low * area,
    glazeN: cut.window.pressureMpa.glaze * area,
  });
  const force =
    setup.wanted.exit === 'hold' ? { ...eased, exitForceN: mainN, belowGlaze: false } : eased;
  return {
    ...force,
    allowedChipMm,
    ligamentMm: lastLigament(mainN, { ...cut.bit, ...cut.contact }, cut.material.edgeStrengthMpa),
    chipDepthMm: exitChipDepth(cut.material, force.exitForceN, conditions),
    chipWidthMm: exitChipWidth(cut.material, force.exitForceN, conditions),
    conditions,
  };
}

/** One bit going down over a range of depth of its face. */
export interface Descent {
  readonly side: 1 | 2;
  readonly layers: readonly LayerCut[];
  readonly fromMm: number;
  readonly toMm: number;
  /** It goes on in its own hole. */
  readonly seated: boolean;
  /** How it breaks through, into the open or into the cut from the other face; null where it does not. */
  readonly exit: ExitPlan | null;
  /** How much sooner the end may come, mm. */
  readonly exitEarlyMm: number;
  /** What the same bit cut in this hole before, mm. */
  readonly bitBeforeMm: number;
}

/** Seat, main and exit of one descent, the main cut split where the leaves change. */
export function planStages(descent: Descent): PlannedStage[] {
  const { layers, fromMm, toMm, seated, exit, exitEarlyMm } = descent;
  const solid = layers.filter((layer) => layer.slowest !== null);
  const first = solid[0]?.slowest;
  if (!first) return [];
  const outline = stagesOf({
    fromMm,
    depthMm: toMm,
    seated,
    feedForceN: first.force.feedForceN,
    exitForceN: exit?.exitForceN ?? first.force.feedForceN,
    rpm: first.speed.rpm,
    minRpm: first.speed.setting.minRpm,
    glazeForceN: first.window.pressureMpa.glaze * first.contact.contactAreaMm2,
    exitChipDepthMm: exit?.chipDepthMm ?? 0,
    ligamentMm: exit?.ligamentMm ?? 0,
    opensFarFace: exit !== null,
    exitEarlyMm,
  });
  return outline.flatMap((stage) =>
    solid
      .map((layer) => within(stage, layer, descent))
      .filter((part): part is PlannedStage => part !== null),
  );
}

/** The part of a stage that lies in one leaf, at that leaf's own force and speed. */
function within(stage: Stage, layer: LayerCut, descent: Descent): PlannedStage | null {
  const { side } = descent;
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
  // It begins with what this bit has worn off already.
  const before = descent.bitBeforeMm - descent.fromMm;
  const sharpS =
    (toMm - fromMm) *
    slowness *
    meanSlowness(cut.sharpness, before + fromMm, before + toMm, cut.lifeDepthMm);
  const glazes = forceN / cut.contact.contactAreaMm2 < cut.window.pressureMpa.glaze;
  const timeS = glazes ? glazingTime(sharpS, cut.sharpness, cut.material.abrasiveness) : sharpS;
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
