import { freeEdges } from '../../layout/outline';
import { meshPlate } from './meshPlate';
import { neighboursOf, nodeOrder } from './nodeOrder';
import type { PlateMesh } from './plateMesh';

const sum = (values: Iterable<number>): number => [...values].reduce((all, one) => all + one, 0);

/** Entries of the stiffness between the leftmost neighbour and the diagonal. */
function profile(order: Int32Array, neighbours: readonly (readonly number[])[]): number {
  const place = new Map([...order].map((node, where) => [node, where]));
  return sum(
    [...order].map(
      (node, where) =>
        where - Math.min(where, ...(neighbours[node] ?? []).map((one) => place.get(one) ?? 0)),
    ),
  );
}

/** A strip one cell wide of so many stations, its nodes numbered out of order, laid to and fro. */
function strip(stations: number, inARow: number): PlateMesh {
  const nodes = 2 * stations;
  // Node 0 lies in the middle of the strip.
  const named = (n: number): number => ((n + stations) * 7) % nodes;
  const x = new Float64Array(nodes);
  const y = new Float64Array(nodes);
  for (let n = 0; n < nodes; n++) {
    const station = Math.floor(n / 2);
    const [row, along] = [Math.floor(station / inARow), station % inARow];
    x[named(n)] = row % 2 === 0 ? along : inARow - 1 - along;
    y[named(n)] = row + (n % 2 === 0 ? 0 : 0.4);
  }
  const corners = Array.from({ length: stations - 1 }, (_, k) => [
    ...[2 * k, 2 * k + 1, 2 * k + 2],
    ...[2 * k + 1, 2 * k + 3, 2 * k + 2],
  ]).flat();
  return { x, y, corners: Int32Array.from(corners, named) };
}

it('follows a strip from end to end, however it lies and is numbered', () => {
  const mesh = strip(45, 9);
  const neighbours = neighboursOf(mesh);
  const order = nodeOrder(mesh);
  expect([...order].sort((a, b) => a - b)).toEqual(Array.from({ length: 90 }, (_, node) => node));
  // From either end each node but the first two reaches back two places.
  expect(profile(order, neighbours)).toBeLessThanOrEqual(2 * 90);
});

/** The same mesh with its nodes numbered out of order. */
function shuffled({ x, y, corners }: PlateMesh): PlateMesh {
  const stride = x.length % 7 === 0 ? 11 : 7;
  const named = (node: number): number => (node * stride + 3) % x.length;
  const moved = (of: Float64Array): Float64Array => {
    const to = new Float64Array(of.length);
    of.forEach((value, node) => (to[named(node)] = value));
    return to;
  };
  return { x: moved(x), y: moved(y), corners: corners.map(named) };
}

it.each([
  ['wide', 240, 80],
  ['tall', 80, 240],
] as const)('sweeps a %s plate along its length, line after line', (name, widthMm, heightMm) => {
  const meshed = meshPlate({
    edge: freeEdges({ kind: 'rectangle', widthMm, heightMm }),
    gaps: [],
    foci: [{ centre: { xMm: widthMm / 2, yMm: heightMm / 2 }, radiusMm: 12, minMm: 3 }],
    maxMm: 10,
  });
  if (meshed.kind !== 'meshed') throw new Error(meshed.kind);
  const mesh = shuffled(meshed.mesh);
  const [along, across] = name === 'wide' ? [mesh.x, mesh.y] : [mesh.y, mesh.x];
  const swept = Int32Array.from(mesh.x.keys()).sort(
    (a, b) => (along[a] ?? 0) - (along[b] ?? 0) || (across[a] ?? 0) - (across[b] ?? 0),
  );
  expect([...nodeOrder(mesh)]).toEqual([...swept]);
});

it('numbers each of two plates that do not touch', () => {
  const apart: PlateMesh = {
    x: Float64Array.of(0, 1, 0, 5, 6, 5),
    y: Float64Array.of(0, 0, 1, 0, 0, 1),
    corners: Int32Array.of(0, 1, 2, 3, 4, 5),
  };
  const order = nodeOrder(apart);
  expect([...order].sort((a, b) => a - b)).toEqual([0, 1, 2, 3, 4, 5]);
  // 1 + 2 entries for each triangle, none between the two.
  expect(profile(order, neighboursOf(apart))).toBe(6);
  expect(neighboursOf(apart)[1]).toEqual([0, 2]);
});

it('numbers eight sails about a hub with the hub behind all but one of them', () => {
  const angles = Array.from({ length: 16 }, (_, n) => (2 * Math.PI * n) / 16);
  const windmill: PlateMesh = {
    x: Float64Array.of(0, ...angles.map(Math.cos)),
    y: Float64Array.of(0, ...angles.map(Math.sin)),
    corners: Int32Array.from({ length: 24 }, (_, at) =>
      at % 3 === 0 ? 0 : 2 * Math.floor(at / 3) + (at % 3),
    ),
  };
  // Seven sails of one entry, the hub that reaches back over their fourteen corners, then 1 and 2 of the last sail.
  expect(profile(nodeOrder(windmill), neighboursOf(windmill))).toBe(7 + 14 + 1 + 2);
});
