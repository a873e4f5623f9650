import { areaOf, cornersOf, triangleCount, type PlateMesh } from './plateMesh';

/** Where a point lies in a mesh: the corners of its triangle and its area coordinates there. */
export interface Located {
  readonly nodes: readonly [number, number, number];
  readonly shares: readonly [number, number, number];
}

export type Locate = (xMm: number, yMm: number) => Located | null;

/** A point this far outside a triangle, as an area coordinate, still counts as in it. */
const EDGE = 1e-9;
/** A point just off the mesh, as beyond the chords of a round edge, goes to the nearest triangle. */
const NEAR = 0.15;

/** Finds triangles by a grid of boxes laid over the mesh. */
export function locator(mesh: PlateMesh): Locate {
  const { x, y } = mesh;
  const [left, right] = ends(x);
  const [bottom, top] = ends(y);
  const count = Math.max(1, Math.round(Math.sqrt(triangleCount(mesh) / 2)));
  const across = Math.max(1e-9, right - left) / count;
  const up = Math.max(1e-9, top - bottom) / count;
  const column = (at: number): number => clamp(Math.floor((at - left) / across), count - 1);
  const row = (at: number): number => clamp(Math.floor((at - bottom) / up), count - 1);
  const boxes = Array.from({ length: count * count }, (): number[] => []);
  for (let triangle = 0; triangle < triangleCount(mesh); triangle++) {
    const nodes = cornersOf(mesh, triangle);
    const [x0, x1] = ends(nodes.map((node) => x[node] ?? 0));
    const [y0, y1] = ends(nodes.map((node) => y[node] ?? 0));
    for (let j = row(y0); j <= row(y1); j++)
      for (let i = column(x0); i <= column(x1); i++) boxes[j * count + i]?.push(triangle);
  }
  return (px, py) => {
    let best: Located | null = null;
    let min = -NEAR;
    for (const triangle of boxes[row(py) * count + column(px)] ?? []) {
      const nodes = cornersOf(mesh, triangle);
      const shares = sharesAt(mesh, nodes, px, py);
      const out = Math.min(...shares);
      if (out >= -EDGE) return { nodes, shares };
      if (out > min) [best, min] = [{ nodes, shares }, out];
    }
    return best;
  };
}

function sharesAt(
  mesh: PlateMesh,
  nodes: readonly [number, number, number],
  px: number,
  py: number,
): [number, number, number] {
  const { x, y } = mesh;
  const [x1, x2, x3] = nodes.map((node) => x[node] ?? 0) as [number, number, number];
  const [y1, y2, y3] = nodes.map((node) => y[node] ?? 0) as [number, number, number];
  const twice = 2 * areaOf(mesh, nodes);
  const second = ((px - x1) * (y3 - y1) - (x3 - x1) * (py - y1)) / twice;
  const third = ((x2 - x1) * (py - y1) - (px - x1) * (y2 - y1)) / twice;
  return [1 - second - third, second, third];
}

const clamp = (value: number, max: number): number => Math.min(Math.max(value, 0), max);

function ends(values: Iterable<number>): readonly [number, number] {
  let [min, max] = [Infinity, -Infinity];
  for (const value of values) {
    min = Math.min(min, value);
    max = Math.max(max, value);
  }
  return [min, max];
}
