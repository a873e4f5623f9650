import { isBuilding } from '../data/pieceForms';
import type { Side } from '../math/arc';
import { boundingBox, freeEdges } from '../layout/outline';
import { isRound } from '../layout/wrap';
import type { Hole } from '../documents/hole';
import type { Piece, KeepOff } from '../documents/piece';
import { CAVITY } from '../data/materials/materials';
import type { BendingScene } from '../physics/plate/bendingScene';
import type { BendingDecline } from '../documents/bending';
import { supportModulus } from '../data/supports';
import type { MaterialCut } from '../setup/cutLayers';
import type { ResolvedSetup } from '../setup/resolvedSetup';

/** A piece thicker than this share of its smallest span does not bend as a plate. */
export const THICKEST_PLATE = 0.25;

export type SceneOutcome =
  | { readonly kind: 'scene'; readonly scene: BendingScene }
  | { readonly kind: 'declined'; readonly why: BendingDecline };

/** The piece as a plate on what holds it, pressed as the plan presses; or why it is none. */
export function bendingSceneOf(
  piece: Piece,
  hole: Hole,
  setup: ResolvedSetup,
  cut: MaterialCut,
): SceneOutcome {
  const why = declineOf(piece, hole);
  if (why) return { kind: 'declined', why };
  const { material, force, contact } = cut;
  const { support } = setup;
  const { widthMm, heightMm } = boundingBox(piece.outline);
  return {
    kind: 'scene',
    scene: {
      edge: freeEdges(piece.outline),
      widthMm,
      heightMm,
      gaps: (piece.keepOff ?? []).flatMap(gapOf),
      thicknessMm: piece.thicknessMm,
      youngModulusMpa: material.youngModulusMpa,
      poisson: material.poisson,
      densityKgPerM3: material.densityKgPerM3,
      lies: piece.assembled !== true,
      bedNPerMm3: supportModulus(support.id, support.atThicknessMm) * support.contactFraction,
      pads: support.pads.map(({ kind = support.id, thicknessMm, ...patch }) => ({
        ...patch,
        foundationNPerMm3:
          supportModulus(
            kind,
            thicknessMm ?? (kind === support.id ? support.atThicknessMm : undefined),
          ) * support.contactFraction,
      })),
      edgesHeld: support.edgesHeld,
      twistMm: support.twistMm,
      clamps: support.clamps,
      boards: support.boards,
      rim: { xMm: hole.xMm, yMm: hole.yMm, meanRadiusMm: contact.meanRadiusMm },
      forceN: force.feedForceN,
    },
  };
}

function declineOf(piece: Piece, hole: Hole): BendingDecline | null {
  if (isBuilding(piece)) return 'built-in';
  const { outline } = piece;
  if (isRound(outline) || piece.form === 'vessel' || (hole.face ?? 'top') !== 'top')
    return 'curved';
  const leaves = (piece.layers ?? []).filter(({ material }) => material !== CAVITY);
  if (leaves.length > 1) return 'layered';
  const { widthMm, heightMm } = boundingBox(outline);
  return piece.thicknessMm >= THICKEST_PLATE * Math.min(widthMm, heightMm) ? 'thick' : null;
}

/** What is drawn as a hole or cut-out is a gap in the plate. */
function gapOf({ kind, shape }: KeepOff): readonly (readonly Side[])[] {
  if (kind !== 'hole' && kind !== 'cut-out') return [];
  if (shape.kind === 'line') return [];
  const { xMm: x, yMm: y } = shape;
  if (shape.kind === 'circle') {
    const r = shape.diameterMm / 2;
    const [a, b] = [
      { xMm: x - r, yMm: y },
      { xMm: x + r, yMm: y },
    ];
    return [
      [
        { a, b, bulge: 1 },
        { a: b, b: a, bulge: 1 },
      ],
    ];
  }
  const corners = [
    { xMm: x, yMm: y },
    { xMm: x + shape.widthMm, yMm: y },
    { xMm: x + shape.widthMm, yMm: y + shape.heightMm },
    { xMm: x, yMm: y + shape.heightMm },
  ];
  return [corners.map((a, i) => ({ a, b: corners[(i + 1) % 4] ?? a, bulge: 0 }))];
}
