import { distance, nearestOnSide, type PointMm, type Side } from '../math/arc';
import { distanceToEdge, faceOutline, isOnFace, nearestOnEdge } from './outline';
import type { Outline } from '../documents/outline';
import type { Hole } from '../documents/hole';
import type { KeepOff, KeepOffShape } from '../documents/piece';
import { radiusAt } from './curve';

export type PlacedHole = Pick<Hole, 'id' | 'xMm' | 'yMm' | 'diameterMm' | 'face'>;

/** A clear distance and where it is measured: from the hole's rim to what is nearest. */
export interface ClearSpan {
  readonly from: PointMm;
  readonly to: PointMm;
  /** Negative where the hole runs over it. */
  readonly clearMm: number;
}

/** Holes with one middle are steps of one hole, mm. */
const CONCENTRIC_MM = 0.01;

/** A hole's middle in its face's own coordinates: a round base is measured from its centre. */
export function middleOf(
  outline: Outline,
  hole: Pick<PlacedHole, 'xMm' | 'yMm' | 'face'>,
): PointMm {
  const shift = baseShift(outline, hole.face);
  return { xMm: hole.xMm + shift, yMm: hole.yMm + shift };
}

/** How far the face's lower left lies from where a hole on it is measured from, mm, both ways. */
export function baseShift(outline: Outline, face: PlacedHole['face']): number {
  const shown = faceOutline(outline, face ?? 'top');
  return face === 'base' && shown.kind === 'circle' ? shown.diameterMm / 2 : 0;
}

/** Corners of an outline; round and unrolled ones have none, nor has an arc's smooth end. */
export function cornersOf(outline: Outline): readonly PointMm[] {
  switch (outline.kind) {
    case 'rectangle': {
      const { widthMm: w, heightMm: h } = outline;
      return [
        [0, 0],
        [w, 0],
        [w, h],
        [0, h],
      ].map(([xMm = 0, yMm = 0]) => ({ xMm, yMm }));
    }
    case 'polygon':
      return outline.pointsMm
        .filter((_, index) => !isBent(outline.bulges, index, outline.pointsMm.length))
        .map(([xMm, yMm]) => ({ xMm, yMm }));
    case 'circle':
    case 'cylinder':
    case 'cone':
      return [];
  }
}

/** A point where an arc begins or ends is taken as rounded. */
const isBent = (bulges: readonly number[] | undefined, index: number, count: number): boolean =>
  (bulges?.[index] ?? 0) !== 0 || (bulges?.[(index + count - 1) % count] ?? 0) !== 0;

/** From the rim of a hole towards a point that something of this radius stands round. */
function spanTo(at: PointMm, radiusMm: number, target: PointMm, targetRadiusMm = 0): ClearSpan {
  const away = distance(at, target);
  const [ux, uy] =
    away === 0 ? [1, 0] : [(target.xMm - at.xMm) / away, (target.yMm - at.yMm) / away];
  return {
    from: { xMm: at.xMm + ux * radiusMm, yMm: at.yMm + uy * radiusMm },
    to: { xMm: target.xMm - ux * targetRadiusMm, yMm: target.yMm - uy * targetRadiusMm },
    clearMm: away - radiusMm - targetRadiusMm,
  };
}

const nearest = (spans: readonly ClearSpan[]): ClearSpan | null =>
  spans.reduce<ClearSpan | null>(
    (min, span) => (min === null || span.clearMm < min.clearMm ? span : min),
    null,
  );

/** Hole's rim to the piece's nearest edge. */
export function spanToEdge(outline: Outline, hole: PlacedHole): ClearSpan {
  const face = faceOutline(outline, hole.face ?? 'top');
  const at = middleOf(outline, hole);
  const radius = hole.diameterMm / 2;
  const span = spanTo(at, radius, nearestOnEdge(face, at));
  return isOnFace(face, at) ? span : { ...span, clearMm: distanceToEdge(face, at) - radius };
}

/** Hole's rim to the nearest corner; null where there are none. */
export function spanToCorner(outline: Outline, hole: PlacedHole): ClearSpan | null {
  const at = middleOf(outline, hole);
  const corners = cornersOf(faceOutline(outline, hole.face ?? 'top'));
  return nearest(corners.map((corner) => spanTo(at, hole.diameterMm / 2, corner)));
}

/**
 * Hole's rim to the nearest other hole's on the same face; null where it stands alone. Round the
 * seam of an unrolled cylinder or cone counts too; on a cone arcs are as long as at its height.
 */
export function spanToHole(
  outline: Outline,
  hole: PlacedHole,
  others: readonly PlacedHole[],
): ClearSpan | null {
  const face = hole.face ?? 'top';
  const at = middleOf(outline, hole);
  const spans = others
    .filter((other) => other.id !== hole.id && (other.face ?? 'top') === face)
    .map((other) => ({ to: middleOf(outline, other), radius: other.diameterMm / 2 }))
    .filter(({ to }) => distance(to, at) > CONCENTRIC_MM)
    .map(({ to, radius }) =>
      spanTo(at, hole.diameterMm / 2, nearestWayRound(faceOutline(outline, face), at, to), radius),
    );
  return nearest(spans);
}

/** The same point, once round the piece nearer where that is shorter, at its true distance. */
function nearestWayRound(face: Outline, at: PointMm, to: PointMm): PointMm {
  const widest = widestRadius(face);
  if (widest === null) return to;
  const round = 2 * Math.PI * widest;
  const dx = to.xMm - at.xMm;
  const shortest = dx - round * Math.round(dx / round);
  const here = radiusAt(face, (at.yMm + to.yMm) / 2) ?? widest;
  return { xMm: at.xMm + (shortest * here) / widest, yMm: to.yMm };
}

/** Radius at which an unrolled face's x is an arc, mm; null on flat faces. */
export function widestRadius(outline: Outline): number | null {
  if (outline.kind === 'cylinder') return outline.outerDiameterMm / 2;
  return outline.kind === 'cone'
    ? Math.max(outline.bottomDiameterMm, outline.topDiameterMm) / 2
    : null;
}

/** The sides of something drawn on the face. */
function sidesOf(shape: KeepOffShape): readonly Side[] {
  if (shape.kind === 'circle') return [];
  const points =
    shape.kind === 'line'
      ? shape.pointsMm
      : ([
          [shape.xMm, shape.yMm],
          [shape.xMm + shape.widthMm, shape.yMm],
          [shape.xMm + shape.widthMm, shape.yMm + shape.heightMm],
          [shape.xMm, shape.yMm + shape.heightMm],
          [shape.xMm, shape.yMm],
        ] as const);
  return points.slice(1).map(([x, y], index) => {
    const [fromX = x, fromY = y] = points[index] ?? [];
    return { a: { xMm: fromX, yMm: fromY }, b: { xMm: x, yMm: y }, bulge: 0 };
  });
}

/** Hole's rim to something drawn on the face: negative inside it. */
export function spanToShape(shape: KeepOffShape, at: PointMm, radiusMm: number): ClearSpan {
  if (shape.kind === 'circle')
    return spanTo(at, radiusMm, { xMm: shape.xMm, yMm: shape.yMm }, shape.diameterMm / 2);
  const span =
    nearest(sidesOf(shape).map((side) => spanTo(at, radiusMm, nearestOnSide(side, at)))) ??
    spanTo(at, radiusMm, at);
  const within =
    shape.kind === 'rectangle' &&
    at.xMm > shape.xMm &&
    at.xMm < shape.xMm + shape.widthMm &&
    at.yMm > shape.yMm &&
    at.yMm < shape.yMm + shape.heightMm;
  return within ? { ...span, clearMm: -(span.clearMm + radiusMm) - radiusMm } : span;
}

/** The nearest of those things that were drawn on the face, with what it is. */
export function spanToKeepOff(
  outline: Outline,
  hole: PlacedHole,
  places: readonly KeepOff[],
): (ClearSpan & { readonly place: KeepOff }) | null {
  if ((hole.face ?? 'top') === 'base') return null;
  const at = middleOf(outline, hole);
  return places
    .map((place) => ({ ...spanToShape(place.shape, at, hole.diameterMm / 2), place }))
    .reduce<(ClearSpan & { readonly place: KeepOff }) | null>(
      (min, span) => (min === null || span.clearMm < min.clearMm ? span : min),
      null,
    );
}

/** Hole's edge to the piece's nearest edge, mm; negative where it runs over it. */
export const clearToEdge = (outline: Outline, hole: PlacedHole): number =>
  spanToEdge(outline, hole).clearMm;
/** Hole's edge to the nearest corner, mm; null where there are none. */
export const clearToCorner = (outline: Outline, hole: PlacedHole): number | null =>
  spanToCorner(outline, hole)?.clearMm ?? null;
/** Hole's edge to the nearest other hole's edge on the same face, mm; null where it stands alone. */
export const clearToHole = (
  outline: Outline,
  hole: PlacedHole,
  others: readonly PlacedHole[],
): number | null => spanToHole(outline, hole, others)?.clearMm ?? null;
