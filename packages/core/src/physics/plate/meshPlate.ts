import Delaunator from 'delaunator';
import { distance, isInside, nearestOnSide, pointsAlong } from '../../math/arc';
import type { PointMm, Side } from '../../math/arc';
import { areaOf, cornersOf, triangleCount, type PlateMesh } from './plateMesh';

/** Around this circle the mesh is fine: a rim that presses, or the edge of a hole that is there. */
export interface Focus {
  readonly centre: PointMm;
  readonly radiusMm: number;
  /** Length of a triangle's side there, mm. */
  readonly minMm: number;
}

export interface MeshWish {
  /** The plate's edge, counter-clockwise. */
  readonly edge: readonly Side[];
  /** Holes and cut-outs that are there already, each a closed loop. */
  readonly gaps: readonly (readonly Side[])[];
  /** The first is the rim's own. */
  readonly foci: readonly [Focus, ...Focus[]];
  /** Coarsest length of a side, mm. */
  readonly maxMm: number;
}

/** More nodes than this are refused: the factor would not fit a phone's patience. */
export const MAX_NODES = 12_000;

export type Meshed =
  | { readonly kind: 'meshed'; readonly mesh: PlateMesh }
  | { readonly kind: 'too-fine'; readonly nodes: number; readonly max: number };

/** Sides grow by this much of the way from a focus. */
const GROWTH = 0.22;
/** Of the wished side: nearer than this to another node, a node is left out. */
const CROWDED = 0.6;
/** Of the wished side: nearer than this to the edge, an inner node is left out. */
const TOO_NEAR_EDGE = 0.55;
/** Rows of equilateral triangles stand this much of a side apart. */
const ROW = Math.sqrt(3) / 2;
/** Of a side squared: flatter triangles are slivers along a straight edge. */
const SLIVER = 1e-3;

/**
 * Cuts a plate into triangles, fine about its foci and coarser away from them: nodes on the edges,
 * then on rings about each focus that grow with the distance, joined by Delaunay's rule.
 */
export function meshPlate({ edge, gaps, foci, maxMm }: MeshWish): Meshed {
  const sideAt = (p: PointMm): number =>
    foci.reduce(
      (min, { centre, radiusMm, minMm }) =>
        Math.min(min, minMm + GROWTH * Math.abs(distance(p, centre) - radiusMm)),
      maxMm,
    );
  const loops = [edge, ...gaps];
  const isOnPlate = (p: PointMm): boolean =>
    isInside(edge, p) && !gaps.some((gap) => isInside(gap, p));
  const placed = new Placed(maxMm);
  for (const loop of loops)
    for (const side of loop) for (const p of alongSide(side, sideAt)) placed.add(p);
  const onEdges = placed.points.length;
  for (const focus of foci) {
    for (const p of ringsAbout(focus, edge, maxMm)) {
      if (placed.points.length > MAX_NODES)
        return { kind: 'too-fine', nodes: placed.points.length, max: MAX_NODES };
      const side = sideAt(p);
      if (!isOnPlate(p) || placed.hasNear(p, CROWDED * side)) continue;
      if (loops.some((loop) => isNearLoop(loop, p, TOO_NEAR_EDGE * side))) continue;
      placed.add(p);
    }
  }
  return { kind: 'meshed', mesh: joined(placed.points, onEdges, isOnPlate, sideAt) };
}

/** Places along a side without its end, as near as wished everywhere and the same from either end. */
function alongSide(side: Side, sideAt: (p: PointMm) => number): readonly PointMm[] {
  const FINE = 400;
  const length = distance(side.a, side.b) * Math.max(1, Math.abs(side.bulge) * 2);
  const fine = polyline(side, length / FINE);
  const density: number[] = [0];
  for (let i = 1; i < fine.length; i++) {
    const [p, q] = [fine[i - 1], fine[i]];
    if (!p || !q) continue;
    const middle = { xMm: (p.xMm + q.xMm) / 2, yMm: (p.yMm + q.yMm) / 2 };
    density.push((density[i - 1] ?? 0) + distance(p, q) / sideAt(middle));
  }
  const count = Math.max(1, Math.ceil(density.at(-1) ?? 1));
  const each = (density.at(-1) ?? 1) / count;
  const places: PointMm[] = [side.a];
  let at = 1;
  for (let i = 1; i < count; i++) {
    while ((density[at] ?? Infinity) < i * each) at++;
    const [p, q] = [fine[at - 1], fine[at]];
    if (!p || !q) break;
    const [before, after] = [density[at - 1] ?? 0, density[at] ?? 1];
    const t = (i * each - before) / (after - before);
    places.push({ xMm: p.xMm + t * (q.xMm - p.xMm), yMm: p.yMm + t * (q.yMm - p.yMm) });
  }
  return places;
}

/** A side as many short straight pieces, with its end. */
function polyline(side: Side, stepMm: number): readonly PointMm[] {
  if (side.bulge !== 0) return [...pointsAlong(side, stepMm / 40), side.b];
  const count = Math.max(1, Math.ceil(distance(side.a, side.b) / stepMm));
  return Array.from({ length: count + 1 }, (_, i) => ({
    xMm: side.a.xMm + ((side.b.xMm - side.a.xMm) * i) / count,
    yMm: side.a.yMm + ((side.b.yMm - side.a.yMm) * i) / count,
  }));
}

/** Rings about a focus, inwards to its middle and outwards until nothing of the plate lies beyond. */
function* ringsAbout(
  { centre, radiusMm, minMm }: Focus,
  edge: readonly Side[],
  maxMm: number,
): Generator<PointMm> {
  const reach = Math.max(...edge.map(({ a }) => distance(a, centre))) * 1.5;
  const inner: number[] = [];
  for (let r = radiusMm; r > 0.9 * minMm;) {
    r -= ROW * (minMm + GROWTH * (radiusMm - r));
    if (r > 0.45 * minMm) inner.push(r);
  }
  yield* onRing(centre, radiusMm, minMm, 0);
  yield centre;
  for (const [index, r] of inner.entries())
    yield* onRing(centre, r, minMm + GROWTH * (radiusMm - r), index + 1);
  let r = radiusMm;
  for (let index = 1; r < reach; index++) {
    const side = Math.min(minMm + GROWTH * (r - radiusMm), maxMm);
    r += ROW * side;
    yield* onRing(centre, r, side, index);
  }
}

/** Evenly round a ring, a multiple of four so that it mirrors; every other ring turned by half a step. */
function* onRing(centre: PointMm, r: number, side: number, index: number): Generator<PointMm> {
  if (r <= 0) return;
  const count = 4 * Math.max(2, Math.round((2 * Math.PI * r) / side / 4));
  for (let i = 0; i < count; i++) {
    const angle = (2 * Math.PI * (i + (index % 2) / 2)) / count;
    yield { xMm: centre.xMm + r * Math.cos(angle), yMm: centre.yMm + r * Math.sin(angle) };
  }
}

const isNearLoop = (loop: readonly Side[], p: PointMm, withinMm: number): boolean =>
  loop.some((side) => distance(nearestOnSide(side, p), p) < withinMm);

/** Points so far, found again by the box they lie in. */
class Placed {
  readonly points: PointMm[] = [];
  readonly #boxes = new Map<string, PointMm[]>();
  readonly #boxMm: number;

  constructor(maxMm: number) {
    this.#boxMm = maxMm;
  }

  add(p: PointMm): void {
    this.points.push(p);
    const key = this.#key(p.xMm, p.yMm);
    const box = this.#boxes.get(key);
    if (box) box.push(p);
    else this.#boxes.set(key, [p]);
  }

  /** @param withinMm at most the coarsest side */
  hasNear(p: PointMm, withinMm: number): boolean {
    for (const dx of [-1, 0, 1])
      for (const dy of [-1, 0, 1]) {
        const box = this.#boxes.get(this.#key(p.xMm + dx * this.#boxMm, p.yMm + dy * this.#boxMm));
        if (box?.some((other) => distance(other, p) < withinMm)) return true;
      }
    return false;
  }

  #key(x: number, y: number): string {
    return `${Math.floor(x / this.#boxMm)},${Math.floor(y / this.#boxMm)}`;
  }
}

/** Delaunay's triangles, without those beyond the edge, in a gap or flat along an edge. */
function joined(
  points: readonly PointMm[],
  onEdges: number,
  isOnPlate: (p: PointMm) => boolean,
  sideAt: (p: PointMm) => number,
): PlateMesh {
  const x = Float64Array.from(points, ({ xMm }) => xMm);
  const y = Float64Array.from(points, ({ yMm }) => yMm);
  const flat = new Float64Array(2 * points.length);
  points.forEach(({ xMm, yMm }, i) => flat.set([xMm, yMm], 2 * i));
  const all = { x, y, corners: Int32Array.from(new Delaunator(flat).triangles) };
  const kept: number[] = [];
  for (let triangle = 0; triangle < triangleCount(all); triangle++) {
    const nodes = cornersOf(all, triangle);
    const middle = {
      xMm: nodes.reduce((sum, node) => sum + (x[node] ?? 0), 0) / 3,
      yMm: nodes.reduce((sum, node) => sum + (y[node] ?? 0), 0) / 3,
    };
    // Delaunator goes round clockwise.
    const [a, c, b] = nodes;
    if (areaOf(all, [a, b, c]) < SLIVER * sideAt(middle) ** 2) continue;
    // Only triangles between nodes of the edges can lie beyond them.
    if (nodes.every((node) => node < onEdges) && !isOnPlate(middle)) continue;
    kept.push(a, b, c);
  }
  return compacted({ x, y, corners: Int32Array.from(kept) });
}

/** Without nodes that no triangle kept. */
function compacted({ x, y, corners }: PlateMesh): PlateMesh {
  const renamed = new Int32Array(x.length).fill(-1);
  const kept: number[] = [];
  for (const node of corners) {
    if ((renamed[node] ?? -1) >= 0) continue;
    renamed[node] = kept.length;
    kept.push(node);
  }
  return {
    x: Float64Array.from(kept, (node) => x[node] ?? 0),
    y: Float64Array.from(kept, (node) => y[node] ?? 0),
    corners: corners.map((node) => renamed[node] ?? 0),
  };
}
