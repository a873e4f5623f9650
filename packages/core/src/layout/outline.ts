import type { Outline, PolygonOutline } from '../documents/outline';
import {
  bulgeArea,
  distance,
  extremesOf,
  isInside,
  nearestOnSide,
  type PointMm,
  type Side,
} from '../math/arc';

export type { PointMm } from '../math/arc';

export interface BoxMm {
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Width and height of the (unrolled) outline. */
export function boundingBox(outline: Outline): BoxMm {
  switch (outline.kind) {
    case 'rectangle':
      return { widthMm: outline.widthMm, heightMm: outline.heightMm };
    case 'circle':
      return { widthMm: outline.diameterMm, heightMm: outline.diameterMm };
    case 'cylinder':
      return { widthMm: Math.PI * outline.outerDiameterMm, heightMm: outline.heightMm };
    case 'cone':
      return {
        widthMm: Math.PI * Math.max(outline.bottomDiameterMm, outline.topDiameterMm),
        heightMm: outline.heightMm,
      };
    case 'polygon': {
      const { min, max } = extent(polygonSides(outline));
      return { widthMm: max.xMm - min.xMm, heightMm: max.yMm - min.yMm };
    }
  }
}

/** The corners of the box round some sides. */
export function extent(sides: readonly Side[]): { min: PointMm; max: PointMm } {
  let [left, bottom, right, top] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { xMm, yMm } of sides.flatMap(extremesOf)) {
    [left, right] = [Math.min(left, xMm), Math.max(right, xMm)];
    [bottom, top] = [Math.min(bottom, yMm), Math.max(top, yMm)];
  }
  return { min: { xMm: left, yMm: bottom }, max: { xMm: right, yMm: top } };
}

/** Area of the (unrolled) outline, mm². Polygons by the shoelace formula and circular segments. */
export function outlineArea(outline: Outline): number {
  switch (outline.kind) {
    case 'rectangle':
      return outline.widthMm * outline.heightMm;
    case 'circle':
      return (Math.PI * outline.diameterMm ** 2) / 4;
    case 'cylinder':
      return Math.PI * outline.outerDiameterMm * outline.heightMm;
    case 'cone':
      return (Math.PI * (outline.bottomDiameterMm + outline.topDiameterMm) * outline.heightMm) / 2;
    case 'polygon': {
      const area = polygonSides(outline).reduce(
        (sum, side) =>
          sum + (side.a.xMm * side.b.yMm - side.b.xMm * side.a.yMm) / 2 + bulgeArea(side),
        0,
      );
      return Math.abs(area);
    }
  }
}

/** Middle of the bounding box, where a hole is put until it is placed. */
export function outlineCentre(outline: Outline): PointMm {
  const box = boundingBox(outline);
  return { xMm: box.widthMm / 2, yMm: box.heightMm / 2 };
}

/** The face of a vessel that a hole enters; its base is a disc about its own centre. */
export function faceOutline(outline: Outline, face: 'top' | 'side' | 'base'): Outline {
  if (face !== 'base') return outline;
  if (outline.kind === 'cylinder') return { kind: 'circle', diameterMm: outline.outerDiameterMm };
  if (outline.kind === 'cone') return { kind: 'circle', diameterMm: outline.bottomDiameterMm };
  return outline;
}

const sidesThrough = (points: readonly (readonly [number, number])[]): Side[] =>
  points.map(([xMm, yMm], index) => {
    const [x = 0, y = 0] = points[(index + 1) % points.length] ?? [];
    return { a: { xMm, yMm }, b: { xMm: x, yMm: y }, bulge: 0 };
  });

/** Outlines never change once they are made; one of thousands of points is asked for its sides a hole at a time. */
const knownSides = new WeakMap<PolygonOutline, readonly Side[]>();

/** A polygon's sides, bent ones with their bulge. */
export function polygonSides(outline: PolygonOutline): readonly Side[] {
  const known = knownSides.get(outline);
  if (known) return known;
  const { pointsMm, bulges = [] } = outline;
  const sides = sidesThrough(pointsMm).map((side, i) => ({ ...side, bulge: bulges[i] ?? 0 }));
  knownSides.set(outline, sides);
  return sides;
}

/**
 * The free edges of the face, counter-clockwise from the lower left. On an unrolled cylinder or
 * cone only the rims are edges: there is none along the seam.
 */
export function freeEdges(outline: Outline): readonly Side[] {
  switch (outline.kind) {
    case 'polygon':
      return polygonSides(outline);
    case 'circle': {
      const D = outline.diameterMm;
      const [a, b] = [
        { xMm: 0, yMm: D / 2 },
        { xMm: D, yMm: D / 2 },
      ];
      return [
        { a, b, bulge: 1 },
        { a: b, b: a, bulge: 1 },
      ];
    }
    case 'rectangle':
    case 'cylinder':
    case 'cone': {
      const { widthMm: w, heightMm: h } = boundingBox(outline);
      const around = sidesThrough([
        [0, 0],
        [w, 0],
        [w, h],
        [0, h],
      ]);
      return outline.kind === 'rectangle' ? around : around.filter((_, index) => index % 2 === 0);
    }
  }
}

/** The point of the nearest free edge. */
export function nearestOnEdge(outline: Outline, point: PointMm): PointMm {
  let nearest = point;
  let min = Infinity;
  for (const side of freeEdges(outline)) {
    const at = nearestOnSide(side, point);
    const away = distance(at, point);
    if (away < min) [nearest, min] = [at, away];
  }
  return nearest;
}

/** Whether a point lies on the face. */
export function isOnFace(outline: Outline, point: PointMm): boolean {
  switch (outline.kind) {
    case 'polygon':
    case 'circle':
    case 'rectangle':
      return isInside(freeEdges(outline), point);
    case 'cylinder':
    case 'cone':
      return point.yMm > 0 && point.yMm < outline.heightMm;
  }
}

/** Distance from a point to the nearest free edge, mm; negative outside. */
export function distanceToEdge(outline: Outline, point: PointMm): number {
  const away = distance(nearestOnEdge(outline, point), point);
  return isOnFace(outline, point) ? away : -away;
}
