import type { PointMm } from '../../math/arc';
import type { Locate } from './locate';
import { areaOf, cornersOf, triangleCount, type PlateMesh } from './plateMesh';

/** Each node's share of the plate's area, mm²: a third of every triangle it is a corner of. */
export function nodeAreas(mesh: PlateMesh): Float64Array {
  const areas = new Float64Array(mesh.x.length);
  for (let triangle = 0; triangle < triangleCount(mesh); triangle++) {
    const nodes = cornersOf(mesh, triangle);
    const third = areaOf(mesh, nodes) / 3;
    for (const node of nodes) areas[node] = (areas[node] ?? 0) + third;
  }
  return areas;
}

/** Points a ring's force is spread over. */
const RING_POINTS = 48;

/**
 * A force spread evenly on a circle, N at each node: each of many points gives its share to the
 * corners of the triangle it lies in. A circle of no radius is a point.
 * @returns null where the circle leaves the plate
 */
export function ringLoad(
  mesh: PlateMesh,
  locate: Locate,
  centre: PointMm,
  radiusMm: number,
  forceN: number,
): Float64Array | null {
  const load = new Float64Array(mesh.x.length);
  const points = radiusMm > 0 ? RING_POINTS : 1;
  for (let point = 0; point < points; point++) {
    const angle = (2 * Math.PI * (point + 0.5)) / points;
    const x = centre.xMm + radiusMm * Math.cos(angle);
    const y = centre.yMm + radiusMm * Math.sin(angle);
    if (!give(load, locate, x, y, forceN / points)) return null;
  }
  return load;
}

/** Rings that stand for a disc, each of the same share of its area. */
const DISC_RINGS = 12;

/** A force spread evenly over a disc, N at each node; null where it leaves the plate. */
export function discLoad(
  mesh: PlateMesh,
  locate: Locate,
  centre: PointMm,
  radiusMm: number,
  forceN: number,
): Float64Array | null {
  const load = new Float64Array(mesh.x.length);
  for (let ring = 0; ring < DISC_RINGS; ring++) {
    const radius = radiusMm * Math.sqrt((ring + 0.5) / DISC_RINGS);
    const part = ringLoad(mesh, locate, centre, radius, forceN / DISC_RINGS);
    if (!part) return null;
    part.forEach((one, node) => {
      load[node] = (load[node] ?? 0) + one;
    });
  }
  return load;
}

/** Points across a patch, each way. */
const PATCH_POINTS = 24;

/**
 * A patch's area shared out to the nodes under it, mm²; what hangs over the edge counts for nothing,
 * so that a pad half under the piece bears with the half that is.
 */
export function patchShares(
  mesh: PlateMesh,
  locate: Locate,
  patch: {
    readonly xMm: number;
    readonly yMm: number;
    readonly widthMm: number;
    readonly heightMm: number;
  },
): Float64Array {
  const shares = new Float64Array(mesh.x.length);
  const one = (patch.widthMm * patch.heightMm) / PATCH_POINTS ** 2;
  for (let j = 0; j < PATCH_POINTS; j++)
    for (let i = 0; i < PATCH_POINTS; i++)
      give(
        shares,
        locate,
        patch.xMm + ((i + 0.5) / PATCH_POINTS) * patch.widthMm,
        patch.yMm + ((j + 0.5) / PATCH_POINTS) * patch.heightMm,
        one,
      );
  return shares;
}

function give(to: Float64Array, locate: Locate, x: number, y: number, amount: number): boolean {
  const found = locate(x, y);
  if (!found) return false;
  found.nodes.forEach((node, index) => {
    to[node] = (to[node] ?? 0) + (found.shares[index] ?? 0) * amount;
  });
  return true;
}
