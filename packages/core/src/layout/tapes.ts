import { distance, type PointMm } from '../math/arc';
import { boundingBox, faceOutline } from './outline';
import type { Outline } from '../documents/outline';
import type { Datum } from '../documents/piece';
import { middleOf, widestRadius, type PlacedHole } from './clearDistances';
import { radiusAt } from './curve';

/** One distance to measure with the tape. */
export interface Tape {
  readonly from: string;
  readonly mm: number;
}

/**
 * Two distances that place a hole's middle and a third that checks them. `edges`: square to two
 * edges, checked from their corner. `points`: straight from two points, checked from a third.
 * `round`: height above the base and along the wall from the seam, checked the other way round.
 */
export interface TapePlan {
  readonly kind: 'edges' | 'points' | 'round';
  readonly first: Tape;
  readonly second: Tape;
  readonly check: Tape;
  /** What the check should read, given what the other two read. */
  readonly checkFor: (firstMm: number, secondMm: number) => number;
  /** How far off the mark lies when the tapes read this, in the face's own directions. */
  readonly offsetFor: (firstMm: number, secondMm: number) => PointMm;
}

export const USUAL_DATUM: Datum = { x: 'left', y: 'bottom' };

export function tapePlan(outline: Outline, hole: PlacedHole, datum: Datum = USUAL_DATUM): TapePlan {
  const face = faceOutline(outline, hole.face ?? 'top');
  const at = middleOf(outline, hole);
  switch (face.kind) {
    case 'rectangle':
      return fromEdges(face, at, datum);
    case 'circle':
    case 'polygon':
      return fromPoints(face, at, datum);
    case 'cylinder':
    case 'cone':
      return roundTheWall(face, at);
  }
}

function fromEdges(
  { widthMm, heightMm }: Extract<Outline, { kind: 'rectangle' }>,
  at: PointMm,
  datum: Datum,
): TapePlan {
  const [sx, sy] = [datum.x === 'left' ? 1 : -1, datum.y === 'bottom' ? 1 : -1];
  const first = datum.x === 'left' ? at.xMm : widthMm - at.xMm;
  const second = datum.y === 'bottom' ? at.yMm : heightMm - at.yMm;
  return {
    kind: 'edges',
    first: { from: `${datum.x} edge`, mm: first },
    second: { from: `${datum.y} edge`, mm: second },
    check: { from: `${datum.y} ${datum.x} corner`, mm: Math.hypot(first, second) },
    checkFor: Math.hypot,
    offsetFor: (x, y) => ({ xMm: sx * (x - first), yMm: sy * (y - second) }),
  };
}

interface Named {
  readonly name: string;
  readonly at: PointMm;
}

/** Three points a tape can be hooked on: round rims at their quarters, else three far corners. */
function anchors(face: Outline, datum: Datum): readonly [Named, Named, Named] {
  const { widthMm: w, heightMm: h } = boundingBox(face);
  if (face.kind === 'polygon') return farCorners(face.pointsMm, datum, w, h);
  const left = { name: 'rim at its left', at: { xMm: 0, yMm: h / 2 } };
  const right = { name: 'rim at its right', at: { xMm: w, yMm: h / 2 } };
  const bottom = { name: 'rim at its bottom', at: { xMm: w / 2, yMm: 0 } };
  const top = { name: 'rim at its top', at: { xMm: w / 2, yMm: h } };
  const [side, other] = datum.x === 'left' ? [left, right] : [right, left];
  return [side, datum.y === 'bottom' ? bottom : top, other];
}

/** The corner nearest the datum, the one furthest from it, and the one furthest from their line. */
function farCorners(
  points: readonly (readonly [number, number])[],
  datum: Datum,
  w: number,
  h: number,
): readonly [Named, Named, Named] {
  const corner = { xMm: datum.x === 'left' ? 0 : w, yMm: datum.y === 'bottom' ? 0 : h };
  const named = points.map(([xMm, yMm], index) => ({
    name: `corner ${index + 1}`,
    at: { xMm, yMm },
  }));
  const max = (score: (one: Named) => number): Named =>
    named.reduce((best, one) => (score(one) > score(best) ? one : best), named[0] ?? origin);
  const a = max((one) => -distance(one.at, corner));
  const b = max((one) => distance(one.at, a.at));
  const c = max((one) =>
    Math.abs(
      (b.at.xMm - a.at.xMm) * (one.at.yMm - a.at.yMm) -
        (b.at.yMm - a.at.yMm) * (one.at.xMm - a.at.xMm),
    ),
  );
  return [a, b, c];
}
const origin: Named = { name: 'corner', at: { xMm: 0, yMm: 0 } };

function fromPoints(face: Outline, at: PointMm, datum: Datum): TapePlan {
  const [a, b, c] = anchors(face, datum);
  const placeFor = (fromA: number, fromB: number): PointMm =>
    twoTapes(a.at, b.at, fromA, fromB, at);
  return {
    kind: 'points',
    first: { from: a.name, mm: distance(a.at, at) },
    second: { from: b.name, mm: distance(b.at, at) },
    check: { from: c.name, mm: distance(c.at, at) },
    checkFor: (fromA, fromB) => distance(c.at, placeFor(fromA, fromB)),
    offsetFor: (fromA, fromB) => {
      const found = placeFor(fromA, fromB);
      return { xMm: found.xMm - at.xMm, yMm: found.yMm - at.yMm };
    },
  };
}

/** Where two tapes meet, on the same side of the line between their hooks as the hole. */
function twoTapes(a: PointMm, b: PointMm, ra: number, rb: number, near: PointMm): PointMm {
  const d = distance(a, b);
  const [ux, uy] = [(b.xMm - a.xMm) / d, (b.yMm - a.yMm) / d];
  // Law of cosines: along = (ra² − rb² + d²)/2d, off the line √(ra² − along²).
  const along = (ra ** 2 - rb ** 2 + d ** 2) / (2 * d);
  const off = Math.sqrt(Math.max(0, ra ** 2 - along ** 2));
  const side = Math.sign(ux * (near.yMm - a.yMm) - uy * (near.xMm - a.xMm)) || 1;
  return {
    xMm: a.xMm + along * ux - side * off * uy,
    yMm: a.yMm + along * uy + side * off * ux,
  };
}

function roundTheWall(
  face: Extract<Outline, { kind: 'cylinder' | 'cone' }>,
  at: PointMm,
): TapePlan {
  const widest = widestRadius(face) ?? 1;
  const r = radiusAt(face, at.yMm) ?? widest;
  const arc = (at.xMm * r) / widest;
  const round = 2 * Math.PI * r;
  return {
    kind: 'round',
    first: { from: 'seam mark, along the wall', mm: arc },
    second: { from: 'base, upright', mm: at.yMm },
    check: { from: 'seam mark, the other way round', mm: round - arc },
    checkFor: (along) => round - along,
    offsetFor: (along, height) => ({ xMm: along - arc, yMm: height - at.yMm }),
  };
}
