import { distanceToEdge, isOnFace } from '../../layout/outline';
import type { PointMm } from '../../math/arc';
import { isInside, nearestOnSide, distance } from '../../math/arc';
import { preparePieceEvenly, pressPiece, type PreparedPiece } from '../../physics/plate/bendPiece';
import type { Settled } from '../../physics/plate/bendPlate';
import type { Bend } from '../../physics/plate/bender';
import type { BendingScene } from '../../physics/plate/bendingScene';
import type { Bending } from '../../documents/bending';
import { bendingSceneOf } from '../../plan/bendingSceneOf';
import { clearOf, planCrack } from '../../plan/planCrack';
import type { PlanContext } from '../../plan/planContext';

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
const MAX_CORRECTION = 1.6;

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
      ? Math.min(MAX_CORRECTION, Math.max(1 / MAX_CORRECTION, fine.stressMpa / coarse.stressMpa))
      : 1;
  return { kind: 'surface', surface: { context, scene, piece: prepared.piece, correction } };
}

/** Presses in the middle of every cell of a grid, with the plan's own force. */
export function oddsMap(surface: OddsSurface, columns: number): OddsMap {
  const { widthMm, heightMm } = surface.scene;
  const rows = rowsFor(surface, columns);
  const odds = new Float64Array(columns * rows);
  const stressMpa = new Float64Array(columns * rows);
  let safest: OddsMap['safest'] = null;
  for (let row = 0; row < rows; row++) {
    const one = oddsRow(surface, columns, row);
    odds.set(one.odds, row * columns);
    stressMpa.set(one.stressMpa, row * columns);
    one.odds.forEach((here, column) => {
      if (!Number.isNaN(here) && (safest === null || here < safest.odds))
        safest = { ...cellAt(surface, columns, column, row), odds: here };
    });
  }
  return { columns, rows, widthMm, heightMm, odds, stressMpa, safest };
}

export interface OddsRow {
  /** How many such rows the map has. */
  readonly rows: number;
  readonly odds: Float64Array;
  readonly stressMpa: Float64Array;
}

/** One row of the map, from the lowest up: a map comes row by row where it must not keep others waiting. */
export function oddsRow(surface: OddsSurface, columns: number, row: number): OddsRow {
  const odds = new Float64Array(columns).fill(NaN);
  const stressMpa = new Float64Array(columns).fill(NaN);
  let from: Settled | undefined;
  for (let column = 0; column < columns; column++) {
    const here = oddsAt(surface, cellAt(surface, columns, column, row), from);
    if (!here) continue;
    from = here.settled;
    odds[column] = here.odds;
    stressMpa[column] = here.stressMpa;
  }
  return { rows: rowsFor(surface, columns), odds, stressMpa };
}

const rowsFor = ({ scene }: OddsSurface, columns: number): number =>
  Math.max(1, Math.round((columns * scene.heightMm) / scene.widthMm));

/** Middle of a cell. */
const cellAt = (surface: OddsSurface, columns: number, column: number, row: number): PointMm => ({
  xMm: ((column + 0.5) * surface.scene.widthMm) / columns,
  yMm: ((row + 0.5) * surface.scene.heightMm) / rowsFor(surface, columns),
});

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
  const stressMpa = bending.stressMpa * correction;
  const crack = planCrack({
    ...context.crackCase,
    bending: { ...bending, stressMpa },
    clearMm: clearOf(context.piece, at, radiusMm * 2),
  });
  return { odds: crack.total, stressMpa, settled: field.solution.settled };
}
