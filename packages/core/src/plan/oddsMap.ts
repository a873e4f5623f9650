import { distanceToEdge, isOnFace } from '../geometry/outline';
import type { PointMm } from '../geometry/arc';
import { isInside, nearestOnSide, distance } from '../geometry/arc';
import { preparePieceEvenly, pressPiece, type PreparedPiece } from '../plate/bendPiece';
import type { Settled } from '../plate/bendPlate';
import type { Bend } from '../plate/bender';
import type { Bending, BendingScene } from '../plate/bendingScene';
import { bendingSceneOf } from './bendingSceneOf';
import { planCrack } from './planCrack';
import type { PlanContext } from './planContext';

/** The whole piece ready to be pressed anywhere, with what the hole's own place came to. */
export interface OddsSurface {
  readonly context: PlanContext;
  readonly scene: BendingScene;
  readonly piece: PreparedPiece;
  /** The fine mesh's tension at the hole over this one's: what the coarser sides leave out. */
  readonly correction: number;
}

export type SurfaceOutcome =
  | { readonly kind: 'surface'; readonly surface: OddsSurface }
  | { readonly kind: 'none'; readonly bending: Bending };

/** Odds of a crack if the hole were at the middle of each cell; NaN where it cannot be. */
export interface OddsMap {
  readonly columns: number;
  readonly rows: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly odds: Float64Array;
  /** Greatest bending tension, MPa. */
  readonly stressMpa: Float64Array;
  readonly safest: (PointMm & { readonly odds: number }) | null;
}

/** A coarse mesh is out by no more than this; beyond, something else is the matter. */
const MOST_CORRECTION = 1.6;

export function oddsSurface(context: PlanContext, bend: Bend): SurfaceOutcome {
  const { piece, hole, setup, headline } = context;
  const posed = bendingSceneOf(piece, hole, setup, headline);
  if (posed.kind === 'declined') return { kind: 'none', bending: posed };
  const { scene } = posed;
  const prepared = preparePieceEvenly(scene);
  if (prepared.kind === 'trouble') return { kind: 'none', bending: prepared };
  const fine = bend(scene).bending;
  const coarse = pressPiece(prepared.piece, scene.rim, scene.forceN).bending;
  const correction =
    fine.kind === 'bent' && coarse.kind === 'bent' && coarse.stressMpa > 0
      ? Math.min(MOST_CORRECTION, Math.max(1 / MOST_CORRECTION, fine.stressMpa / coarse.stressMpa))
      : 1;
  return { kind: 'surface', surface: { context, scene, piece: prepared.piece, correction } };
}

/** Presses in the middle of every cell of a grid, with the plan's own force. */
export function oddsMap(surface: OddsSurface, columns: number): OddsMap {
  const { widthMm, heightMm } = surface.scene;
  const rows = Math.max(1, Math.round((columns * heightMm) / widthMm));
  const odds = new Float64Array(columns * rows).fill(NaN);
  const stressMpa = new Float64Array(columns * rows).fill(NaN);
  let safest: OddsMap['safest'] = null;
  let from: Settled | undefined;
  for (let cell = 0; cell < odds.length; cell++) {
    const at = {
      xMm: (((cell % columns) + 0.5) * widthMm) / columns,
      yMm: ((Math.floor(cell / columns) + 0.5) * heightMm) / rows,
    };
    const here = oddsAt(surface, at, from);
    if (!here) continue;
    from = here.settled;
    odds[cell] = here.odds;
    stressMpa[cell] = here.stressMpa;
    if (safest === null || here.odds < safest.odds) safest = { ...at, odds: here.odds };
  }
  return { columns, rows, widthMm, heightMm, odds, stressMpa, safest };
}

/** Null where the hole would run over an edge or an open hole, or the piece would tip. */
export function oddsAt(
  { context, scene, piece, correction }: OddsSurface,
  at: PointMm,
  from?: Settled,
): { readonly odds: number; readonly stressMpa: number; readonly settled: Settled } | null {
  const radiusMm = context.setup.finishing.geometry.diameterMm / 2;
  const { outline } = context.piece;
  if (!isOnFace(outline, at) || distanceToEdge(outline, at) < radiusMm) return null;
  const meetsGap = scene.gaps.some(
    (gap) =>
      isInside(gap, at) || gap.some((side) => distance(nearestOnSide(side, at), at) < radiusMm),
  );
  if (meetsGap) return null;
  const { bending, field } = pressPiece(piece, { ...scene.rim, ...at }, scene.forceN, from);
  if (bending.kind !== 'bent' || !field) return null;
  const { headline, setup, thermalStressMpa } = context;
  const stressMpa = bending.stressMpa * correction;
  const crack = planCrack(headline, context.piece, setup, thermalStressMpa, {
    ...bending,
    stressMpa,
  });
  return { odds: crack.total, stressMpa, settled: field.solution.settled };
}
