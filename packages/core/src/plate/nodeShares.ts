import type { PlateMesh } from './plateMesh';

/** Each node's share of the plate's area, mm²: a third of every triangle it is a corner of. */
export function nodeAreas({ x, y, corners }: PlateMesh): Float64Array {
  const areas = new Float64Array(x.length);
  for (let at = 0; at < corners.length; at += 3) {
    const [a, b, c] = [corners[at] ?? 0, corners[at + 1] ?? 0, corners[at + 2] ?? 0];
    const area =
      (((x[b] ?? 0) - (x[a] ?? 0)) * ((y[c] ?? 0) - (y[a] ?? 0)) -
        ((x[c] ?? 0) - (x[a] ?? 0)) * ((y[b] ?? 0) - (y[a] ?? 0))) /
      2;
    for (const node of [a, b, c]) areas[node] = (areas[node] ?? 0) + area / 3;
  }
  return areas;
}

/** Points a ring's force is spread over. */
const RING_POINTS = 48;

/**
 * A force spread evenly on a circle, N at each node: each of many points gives its share to the
 * corners of the triangle it lies in, by area coordinates. A circle of no radius is a point.
 * @returns null where the circle leaves the plate
 */
export function ringLoad(
  mesh: PlateMesh,
  centre: { readonly xMm: number; readonly yMm: number },
  radiusMm: number,
  forceN: number,
): Float64Array | null {
  const load = new Float64Array(mesh.x.length);
  const points = radiusMm > 0 ? RING_POINTS : 1;
  for (let point = 0; point < points; point++) {
    const angle = (2 * Math.PI * (point + 0.5)) / points;
    const x = centre.xMm + radiusMm * Math.cos(angle);
    const y = centre.yMm + radiusMm * Math.sin(angle);
    const found = triangleUnder(mesh, x, y);
    if (!found) return null;
    found.nodes.forEach((node, index) => {
      load[node] = (load[node] ?? 0) + (found.shares[index] ?? 0) * (forceN / points);
    });
  }
  return load;
}

/** Rings that stand for a disc, each of the same share of its area. */
const DISC_RINGS = 12;

/** A force spread evenly over a disc, N at each node; null where it leaves the plate. */
export function discLoad(
  mesh: PlateMesh,
  centre: { readonly xMm: number; readonly yMm: number },
  radiusMm: number,
  forceN: number,
): Float64Array | null {
  const load = new Float64Array(mesh.x.length);
  for (let ring = 0; ring < DISC_RINGS; ring++) {
    const radius = radiusMm * Math.sqrt((ring + 0.5) / DISC_RINGS);
    const part = ringLoad(mesh, centre, radius, forceN / DISC_RINGS);
    if (!part) return null;
    part.forEach((one, node) => {
      load[node] = (load[node] ?? 0) + one;
    });
  }
  return load;
}

/** Rounding room at a triangle's edge, as an area coordinate. */
const EDGE = 1e-9;

function triangleUnder(
  { x, y, corners }: PlateMesh,
  px: number,
  py: number,
): { readonly nodes: readonly number[]; readonly shares: readonly number[] } | null {
  for (let at = 0; at < corners.length; at += 3) {
    const nodes = [corners[at] ?? 0, corners[at + 1] ?? 0, corners[at + 2] ?? 0];
    const [x1, x2, x3] = nodes.map((node) => x[node] ?? 0) as [number, number, number];
    const [y1, y2, y3] = nodes.map((node) => y[node] ?? 0) as [number, number, number];
    const twice = (x2 - x1) * (y3 - y1) - (x3 - x1) * (y2 - y1);
    const second = ((px - x1) * (y3 - y1) - (x3 - x1) * (py - y1)) / twice;
    const third = ((x2 - x1) * (py - y1) - (px - x1) * (y2 - y1)) / twice;
    const first = 1 - second - third;
    if (first >= -EDGE && second >= -EDGE && third >= -EDGE)
      return { nodes, shares: [first, second, third] };
  }
  return null;
}
