import { isBuilding, isFlat } from '../data/pieceForms';
import { wobbleOf } from '../physics/cutting/wobble';
import { BIT_FAMILIES } from '../data/bits/bitFamilies';
import { WOBBLE_PER_MM } from '../physics/exit/exitChip';
import type { PointMm } from '../math/arc';
import { distanceToEdge } from '../layout/outline';
import type { Material } from '../data/materials/material';
import type { Piece } from '../documents/piece';
import { thermalStress } from '../physics/heat/thermalStress';
import { spanToShape } from '../layout/clearDistances';
import { isRound } from '../layout/wrap';
import type { Bending } from '../documents/bending';
import { bearableStress, crackOdds, type CrackOdds } from '../physics/strength/crackOdds';
import {
  dropShare,
  handlingHazard,
  handlingSd,
  type HandlingCase,
} from '../physics/strength/handlingHazard';
import {
  grooveStress,
  rimLengthShare,
  shellStress,
  webStress,
  type StressSite,
} from '../physics/strength/stressSites';
import type { MaterialCut } from '../setup/cutLayers';
import type { PossibleMaterial } from '../setup/possibilities';
import type { ResolvedSetup } from '../setup/resolvedSetup';
import { SHARPNESS_SD, stressSpread } from '../physics/spread';

/** Everything a crack depends on. */
export interface CrackCase {
  readonly cut: MaterialCut;
  readonly piece: Piece;
  readonly setup: ResolvedSetup;
  readonly thermalStressMpa: number;
  /** d ln ΔT/d ln q. */
  readonly heatGain: number;
  readonly bending: Bending;
  /** What is still pressed with when the last web lets go, N. */
  readonly exitForceN: number;
  /** Left under the groove when the force is taken back, mm; null where no far face is opened. */
  readonly easedAtMm: number | null;
  /** Clear of the nearest edge or opening, mm; null where nothing is near or known. */
  readonly clearMm: number | null;
  readonly possible: readonly PossibleMaterial[];
  readonly treatmentOdds: number;
  /** It ends the hole, and with it what handling and breaking through may spoil. */
  readonly endsHole: boolean;
}

/** A sheet or vessel's thickness, mm; null for bulky pieces. */
export const sheetThickness = ({
  form,
  thicknessMm,
}: Pick<Piece, 'form' | 'thicknessMm'>): number | null =>
  form === 'sheet' || form === 'vessel' ? thicknessMm : null;

/** Odds of a crack; in walls and floors, of spoiling the face. */
export function planCrack(one: CrackCase): CrackOdds {
  const { cut, piece, setup } = one;
  const { material, sharpness } = cut;
  const weak = weakestOf(one);
  return crackOdds(material, {
    sites: stressSites(one).map((site) => ({
      ...site,
      thermalMpa: site.thermalMpa * weak.heatFactor,
    })),
    sd: stressSpread(material, setup.hold),
    heatGain: one.heatGain,
    handHazard: one.endsHole ? handlingHazard(handlingCase(one), sharpness, SHARPNESS_SD) : 0,
    handSd: handlingSd(sheetThickness(piece)),
    treatmentOdds: one.treatmentOdds,
    bearableMpa: bearableStress(material, !cut.dry, piece.damage) * weak.strengthFactor,
  });
}

/** How the piece is handled, for the hazard. */
export function handlingCase(one: CrackCase): HandlingCase {
  const { cut, piece, setup } = one;
  const wobbleMm = wobbleOf(setup.finishing.bit, setup.hold);
  const feltN = one.exitForceN * (1 + WOBBLE_PER_MM * wobbleMm);
  return {
    hold: setup.hold,
    start: setup.start,
    assembled: piece.assembled === true,
    sheetThicknessMm: sheetThickness(piece),
    abrasive: BIT_FAMILIES[cut.bit.family].abrasive,
    wobbleMm,
    dropShare: dropShare(setup.hold, feltN, piece.thicknessMm),
    damage: piece.damage ?? 'none',
    masonry: cut.material.class === 'masonry',
    unsure: one.possible.length > 0,
    person: 0,
  };
}

/** Where the piece is stretched: under the rim, in the web beside the hole, under the groove. */
export function stressSites(one: CrackCase): readonly StressSite[] {
  const { cut, piece, thermalStressMpa, clearMm, easedAtMm } = one;
  if (isBuilding(piece)) return [];
  const { feedForceN } = cut.force;
  const D = cut.bit.diameterMm;
  const ring = rimLengthShare(D);
  const { atRestMpa, pressedMpa } = bendingParts(one.bending);
  const rim: StressSite = {
    kind: 'rim',
    thermalMpa: thermalStressMpa,
    pressedMpa: pressedMpa + curvedWall(one),
    atRestMpa,
    lengthShare: ring,
  };
  const flat = isFlat(piece);
  const webMpa =
    flat && clearMm !== null ? webStress(feedForceN, D, clearMm, piece.thicknessMm) : 0;
  const grooveMpa =
    easedAtMm === null || easedAtMm <= 0
      ? 0
      : grooveStress(feedForceN, { ...cut.bit, ...cut.contact }, easedAtMm);
  return [
    rim,
    ...(webMpa > 0
      ? [{ kind: 'web', thermalMpa: 0, pressedMpa: webMpa, atRestMpa, lengthShare: ring } as const]
      : []),
    ...(grooveMpa > 0
      ? [
          {
            kind: 'groove',
            thermalMpa: 0,
            pressedMpa: grooveMpa,
            atRestMpa: 0,
            lengthShare: ring,
          } as const,
        ]
      : []),
  ];
}

/** The side of a bottle or pot bends in where it is pressed. */
function curvedWall({ cut, piece }: CrackCase): number {
  const { outline, thicknessMm } = piece;
  if (piece.form !== 'vessel' || outline.kind !== 'cylinder') return 0;
  return shellStress(
    cut.force.feedForceN,
    { radiusMm: outline.outerDiameterMm / 2, thicknessMm, poisson: cut.material.poisson },
    cut.contact.meanRadiusMm,
  );
}

/** Bending as it is at rest, and what the drill's force adds; nothing where it was not worked out. */
const bendingParts = (
  bending: Bending,
): { readonly atRestMpa: number; readonly pressedMpa: number } =>
  bending.kind === 'bent'
    ? { atRestMpa: bending.atRestMpa, pressedMpa: bending.stressMpa - bending.atRestMpa }
    : { atRestMpa: 0, pressedMpa: 0 };

/** How much weaker, and how much more strained by its heat, the piece is if it is something else. */
export function weakness(
  cut: MaterialCut,
  other: Material,
): { readonly strengthFactor: number; readonly heatFactor: number } {
  const strain = (material: Material): number =>
    thermalStress(material, 1) * material.heatShare * material.friction;
  const own = strain(cut.material);
  return {
    // Not being sure never makes it safer.
    strengthFactor: Math.min(
      1,
      bearableStress(other, !cut.dry) / bearableStress(cut.material, !cut.dry),
    ),
    heatFactor: own > 0 ? Math.max(1, strain(other) / own) : 1,
  };
}

/** Strength and heat over everything the piece may be, by their shares. */
function weakestOf({ cut, possible }: CrackCase): ReturnType<typeof weakness> {
  const known = { strengthFactor: 1, heatFactor: 1 };
  return possible.reduce((so, { material, share }) => {
    const { strengthFactor, heatFactor } = weakness(cut, material);
    return {
      strengthFactor: so.strengthFactor * strengthFactor ** share,
      heatFactor: so.heatFactor * heatFactor ** share,
    };
  }, known);
}

/** Clear from the hole's rim to the nearest edge, opening or other hole, mm; null on a curved face. */
export function clearOf(
  piece: Pick<Piece, 'outline' | 'keepOff' | 'form'>,
  at: PointMm,
  diameterMm: number,
): number | null {
  const { outline } = piece;
  if (isRound(outline) || isBuilding(piece)) return null;
  const openings = (piece.keepOff ?? []).filter(
    ({ kind }) => kind === 'hole' || kind === 'cut-out' || kind === 'crack',
  );
  return Math.max(
    0,
    Math.min(
      distanceToEdge(outline, at) - diameterMm / 2,
      ...openings.map(({ shape }) => spanToShape(shape, at, diameterMm / 2).clearMm),
    ),
  );
}
