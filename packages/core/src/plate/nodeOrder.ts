import { cornersOf, triangleCount, type PlateMesh } from './plateMesh';

/**
 * The order nodes are numbered in so that the stiffness keeps a narrow envelope: reverse
 * Cuthill–McKee (1969), started from a node far out (two sweeps of levels).
 * @returns `order[place]` is the node at that place
 */
export function nodeOrder(mesh: PlateMesh): Int32Array {
  const neighbours = neighboursOf(mesh);
  const nodes = mesh.x.length;
  const order = new Int32Array(nodes);
  const placed = new Uint8Array(nodes);
  let at = 0;
  for (let seed = 0; seed < nodes; seed++) {
    if (placed[seed]) continue;
    const start = farthest(neighbours, farthest(neighbours, seed));
    const from = at;
    order[at++] = start;
    placed[start] = 1;
    for (let head = from; head < at; head++) {
      const next = (neighbours[order[head] ?? 0] ?? [])
        .filter((node) => !placed[node])
        .sort((a, b) => (neighbours[a]?.length ?? 0) - (neighbours[b]?.length ?? 0) || a - b);
      for (const node of next) {
        placed[node] = 1;
        order[at++] = node;
      }
    }
  }
  return order.reverse();
}

/** Nodes that share a triangle with each node. */
export function neighboursOf(mesh: PlateMesh): readonly (readonly number[])[] {
  const sets = Array.from({ length: mesh.x.length }, () => new Set<number>());
  for (let triangle = 0; triangle < triangleCount(mesh); triangle++) {
    const nodes = cornersOf(mesh, triangle);
    for (const a of nodes) for (const b of nodes) if (a !== b) sets[a]?.add(b);
  }
  return sets.map((set) => [...set]);
}

/** The last node reached when the levels spread from one. */
function farthest(neighbours: readonly (readonly number[])[], start: number): number {
  const seen = new Set([start]);
  let last = start;
  for (const node of seen) {
    last = node;
    for (const next of neighbours[node] ?? []) seen.add(next);
  }
  return last;
}
