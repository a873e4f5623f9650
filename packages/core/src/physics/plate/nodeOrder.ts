import { cornersOf, triangleCount, type PlateMesh } from './plateMesh';

/**
 * The order nodes are numbered in so that the stiffness keeps a small envelope: reverse
 * Cuthill–McKee (1969), or swept along either axis, whichever is smallest for this mesh.
 * @returns `order[place]` is the node at that place
 */
export function nodeOrder(mesh: PlateMesh): Int32Array {
  const neighbours = neighboursOf(mesh);
  const swept = (along: Float64Array, across: Float64Array): Int32Array =>
    Int32Array.from(along.keys()).sort(
      (a, b) => (along[a] ?? 0) - (along[b] ?? 0) || (across[a] ?? 0) - (across[b] ?? 0) || a - b,
    );
  const orders = [
    cuthillMcKee(mesh, neighbours),
    swept(mesh.x, mesh.y),
    swept(mesh.y, mesh.x),
  ] as const;
  return orders.reduce((best, one) =>
    profileOf(one, neighbours) < profileOf(best, neighbours) ? one : best,
  );
}

/** Entries between the leftmost neighbour and the diagonal, over all nodes. */
function profileOf(order: Int32Array, neighbours: readonly (readonly number[])[]): number {
  const place = new Int32Array(order.length);
  order.forEach((node, at) => {
    place[node] = at;
  });
  return order.reduce((sum, node, at) => {
    const leftmost = (neighbours[node] ?? []).reduce(
      (min, one) => Math.min(min, place[one] ?? 0),
      at,
    );
    return sum + at - leftmost;
  }, 0);
}

/** Levels from a node far out (two sweeps), each sorted by how few neighbours they have, reversed. */
function cuthillMcKee(mesh: PlateMesh, neighbours: readonly (readonly number[])[]): Int32Array {
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
