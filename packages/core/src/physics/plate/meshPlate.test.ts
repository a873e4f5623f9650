import { freeEdges } from '../../layout/outline';
import { distance, isInside, nearestOnSide } from '../../math/arc';
import { meshPlate, type Focus } from './meshPlate';
import { nodeAreas } from './nodeShares';
import { areaOf, cornersOf, triangleCount, type PlateMesh } from './plateMesh';

const sum = (values: Iterable<number>): number => [...values].reduce((all, one) => all + one, 0);
const at = ({ x, y }: PlateMesh, node: number) => ({ xMm: x[node] ?? 0, yMm: y[node] ?? 0 });

describe('a mesh about a rim', () => {
  const focus: Focus = { centre: { xMm: 100, yMm: 60 }, radiusMm: 15, minMm: 3 };
  const MAX_MM = 14;
  const sideAt = (x: number, y: number): number =>
    Math.min(MAX_MM, 3 + 0.22 * Math.abs(Math.hypot(x - 100, y - 60) - 15));
  const meshed = meshPlate({
    edge: freeEdges({ kind: 'rectangle', widthMm: 200, heightMm: 150 }),
    gaps: [],
    foci: [focus],
    maxMm: MAX_MM,
  });
  if (meshed.kind !== 'meshed') throw new Error(meshed.kind);
  const { mesh } = meshed;
  const points = Array.from(mesh.x.keys(), (node) => at(mesh, node));
  const middleOf = (nodes: readonly number[]) => ({
    x: sum(nodes.map((node) => mesh.x[node] ?? 0)) / 3,
    y: sum(nodes.map((node) => mesh.y[node] ?? 0)) / 3,
  });

  it('has triangles of the wished size everywhere, none of them a sliver', () => {
    const ratios = Array.from({ length: triangleCount(mesh) }, (_, triangle) => {
      const nodes = cornersOf(mesh, triangle);
      const { x, y } = middleOf(nodes);
      return areaOf(mesh, nodes) / ((Math.sqrt(3) / 4) * sideAt(x, y) ** 2);
    });
    expect(Math.min(...ratios)).toBeGreaterThan(0.1);
    expect(Math.max(...ratios)).toBeLessThan(3);
    const mean = sum(ratios) / ratios.length;
    expect(mean).toBeGreaterThan(0.75);
    expect(mean).toBeLessThan(1.25);
    expect(sum(nodeAreas(mesh))).toBeCloseTo(30_000, 6);
  });

  it('has nodes on the rim’s own circle and in its middle, and mirrors about it', () => {
    const onRim = points.filter((p) => Math.abs(Math.hypot(p.xMm - 100, p.yMm - 60) - 15) < 1e-6);
    // 2π·15/3 = 31.4 sides, to a multiple of four.
    expect(onRim).toHaveLength(32);
    expect(points.some((p) => p.xMm === 100 && p.yMm === 60)).toBe(true);
    const inside = points.filter((p) => Math.hypot(p.xMm - 100, p.yMm - 60) < 14);
    expect(inside.length).toBeGreaterThan(30);
    const hasMirror = ({ xMm, yMm }: (typeof points)[number]): boolean =>
      points.some((p) => Math.hypot(p.xMm + xMm - 200, p.yMm - yMm) < 1e-6);
    expect(points.every(hasMirror)).toBe(true);
  });

  it('keeps its nodes apart, and along the edge as near as wished', () => {
    const nearest = points.map((p, index) => {
      const off = points.map((other, one) =>
        one === index ? Infinity : Math.hypot(p.xMm - other.xMm, p.yMm - other.yMm),
      );
      return Math.min(...off) / sideAt(p.xMm, p.yMm);
    });
    expect(Math.min(...nearest)).toBeGreaterThan(0.54);
    const bottom = points.filter(({ yMm }) => yMm === 0).map(({ xMm }) => xMm);
    const sorted = bottom.sort((a, b) => a - b);
    for (const [index, x] of sorted.slice(1).entries()) {
      const before = sorted[index] ?? 0;
      const wished = sideAt((x + before) / 2, 0);
      expect((x - before) / wished).toBeGreaterThan(0.85);
      expect((x - before) / wished).toBeLessThan(1.05);
    }
  });
});

it('refuses a mesh that is too fine, with the limit', () => {
  const meshed = meshPlate({
    edge: freeEdges({ kind: 'rectangle', widthMm: 1000, heightMm: 1000 }),
    gaps: [],
    foci: [{ centre: { xMm: 500, yMm: 500 }, radiusMm: 5, minMm: 1 }],
    maxMm: 4,
  });
  expect(meshed).toMatchObject({ kind: 'too-fine', max: 12_000 });
});

const FOCI: readonly [Focus, ...Focus[]] = [
  { centre: { xMm: 60, yMm: 60 }, radiusMm: 8, minMm: 2 },
  { centre: { xMm: 65, yMm: 165 }, radiusMm: 15, minMm: 3 },
];
const MAX_MM = 15;
const wishedAt = (xMm: number, yMm: number): number =>
  FOCI.reduce(
    (min, { centre, radiusMm, minMm }) =>
      Math.min(min, minMm + 0.22 * Math.abs(distance(centre, { xMm, yMm }) - radiusMm)),
    MAX_MM,
  );

describe.each([
  ['a disc', { kind: 'circle', diameterMm: 420 } as const, Math.PI * 210 ** 2],
  [
    'an L',
    {
      kind: 'polygon',
      pointsMm: [
        [0, 0],
        [300, 0],
        [300, 100],
        [100, 100],
        [100, 300],
        [0, 300],
      ],
    } as const,
    50_000,
  ],
])('%s with a hole that is there', (_, outline, areaMm2) => {
  const edge = freeEdges(outline);
  const gap = freeEdges({ kind: 'circle', diameterMm: 30 }).map((side) => ({
    ...side,
    a: { xMm: side.a.xMm + 50, yMm: side.a.yMm + 150 },
    b: { xMm: side.b.xMm + 50, yMm: side.b.yMm + 150 },
  }));
  const meshed = meshPlate({ edge, gaps: [gap], foci: FOCI, maxMm: MAX_MM });
  if (meshed.kind !== 'meshed') throw new Error(meshed.kind);
  const { mesh } = meshed;
  const points = Array.from(mesh.x.keys(), (node) => at(mesh, node));
  const off = (p: { xMm: number; yMm: number }): number =>
    Math.min(...[...edge, ...gap].map((side) => distance(nearestOnSide(side, p), p)));

  it('is meshed without leaving any of it out, and with nothing beside it', () => {
    const wanted = areaMm2 - Math.PI * 15 ** 2;
    expect(Math.abs(sum(nodeAreas(mesh)) / wanted - 1)).toBeLessThan(0.01);
    for (let triangle = 0; triangle < triangleCount(mesh); triangle++) {
      const nodes = cornersOf(mesh, triangle);
      const [x, y] = [mesh.x, mesh.y].map((of) => sum(nodes.map((node) => of[node] ?? 0)) / 3);
      const middle = { xMm: x ?? 0, yMm: y ?? 0 };
      expect(isInside(edge, middle) && !isInside(gap, middle)).toBe(true);
      // Counter-clockwise, and none of them flat along an edge.
      expect(areaOf(mesh, nodes)).toBeGreaterThan(1e-3 * wishedAt(middle.xMm, middle.yMm) ** 2);
    }
  });

  it('has each node in a triangle, on an edge or well off it', () => {
    expect(new Set(mesh.corners).size).toBe(points.length);
    for (const p of points) {
      // A round edge is walked in short chords.
      const isOnEdge = off(p) < 0.1;
      expect(isOnEdge || off(p) / wishedAt(p.xMm, p.yMm) >= 0.55).toBe(true);
    }
  });

  it('keeps its nodes apart, about both rims', () => {
    const nearest = points.map((p, index) => {
      const offs = points.map((other, one) => (one === index ? Infinity : distance(p, other)));
      return Math.min(...offs) / wishedAt(p.xMm, p.yMm);
    });
    expect(Math.min(...nearest)).toBeGreaterThan(0.5);
  });

  it('goes round its hole in even steps, as near as wished', () => {
    const angles = points
      .map(({ xMm, yMm }) => ({ dx: xMm - 65, dy: yMm - 165 }))
      .filter(({ dx, dy }) => Math.abs(Math.hypot(dx, dy) - 15) < 0.05)
      .map(({ dx, dy }) => Math.atan2(dy, dx))
      .sort((a, b) => a - b);
    const steps = angles.map((angle, i) =>
      i === 0 ? angle + 2 * Math.PI - (angles.at(-1) ?? 0) : angle - (angles[i - 1] ?? 0),
    );
    // 3 mm sides round 94 mm.
    expect(angles.length).toBeGreaterThanOrEqual(32);
    expect(angles.length).toBeLessThanOrEqual(36);
    for (const step of steps) expect((step * 15) / 3).toBeGreaterThan(0.8);
    for (const step of steps) expect((step * 15) / 3).toBeLessThan(1.1);
  });
});

it('turns every other ring by half a step', () => {
  const meshed = meshPlate({
    edge: freeEdges({ kind: 'rectangle', widthMm: 200, heightMm: 200 }),
    gaps: [],
    foci: [{ centre: { xMm: 100, yMm: 100 }, radiusMm: 20, minMm: 4 }],
    maxMm: 20,
  });
  if (meshed.kind !== 'meshed') throw new Error(meshed.kind);
  const ring = (radiusMm: number) =>
    Array.from(meshed.mesh.x.keys(), (node) => at(meshed.mesh, node))
      .map(({ xMm, yMm }) => ({ dx: xMm - 100, dy: yMm - 100 }))
      .filter(({ dx, dy }) => Math.abs(Math.hypot(dx, dy) - radiusMm) < 1e-6)
      .map(({ dx, dy }) => (Math.atan2(dy, dx) + 2 * Math.PI) % (2 * Math.PI));
  const first = (radiusMm: number): number => Math.min(...ring(radiusMm));
  const row = Math.sqrt(3) / 2;
  // Outwards from the rim: r₁ = 20 + row·4, r₂ = r₁ + row·(4 + 0.22·row·4).
  const r1 = 20 + row * 4;
  const r2 = r1 + row * (4 + 0.22 * row * 4);
  expect(ring(20)).toHaveLength(32);
  expect(first(20)).toBeCloseTo(0, 9);
  // 2π·23.46/4 = 36.9, to a multiple of four.
  expect(ring(r1)).toHaveLength(36);
  expect(first(r1)).toBeCloseTo(Math.PI / 36, 9);
  expect(first(r2)).toBeCloseTo(0, 9);
  // Inwards likewise, until less than a side is left about the middle.
  const inwards = [20 - row * 4];
  for (let r = 20 - row * 4; r > 0.9 * 4;) {
    r -= row * (4 + 0.22 * (20 - r));
    inwards.push(r);
  }
  expect(first(inwards[0] ?? 0)).toBeCloseTo(Math.PI / ring(inwards[0] ?? 0).length, 9);
  expect(inwards).toHaveLength(4);
  for (const [index, r] of inwards.entries()) {
    // The last would be nearer to the middle than 0.45 of a side.
    expect(ring(r).length > 0).toBe(index < 3);
  }
});

it('has its nodes as near as wished on an edge close by, and everywhere on a long plate', () => {
  const meshed = meshPlate({
    edge: freeEdges({ kind: 'rectangle', widthMm: 400, heightMm: 80 }),
    gaps: [],
    foci: [{ centre: { xMm: 30, yMm: 24 }, radiusMm: 15, minMm: 3 }],
    maxMm: 14,
  });
  if (meshed.kind !== 'meshed') throw new Error(meshed.kind);
  const { mesh } = meshed;
  const wished = (x: number, y: number): number =>
    Math.min(14, 3 + 0.22 * Math.abs(Math.hypot(x - 30, y - 24) - 15));
  const bottom = Array.from(mesh.x.keys())
    .filter((node) => mesh.y[node] === 0)
    .map((node) => mesh.x[node] ?? 0)
    .sort((a, b) => a - b);
  for (const [index, x] of bottom.slice(1).entries()) {
    const before = bottom[index] ?? 0;
    expect((x - before) / wished((x + before) / 2, 0)).toBeGreaterThan(0.85);
    expect((x - before) / wished((x + before) / 2, 0)).toBeLessThan(1.1);
  }
  for (let triangle = 0; triangle < triangleCount(mesh); triangle++) {
    const nodes = cornersOf(mesh, triangle);
    const [x, y] = [mesh.x, mesh.y].map((of) => sum(nodes.map((node) => of[node] ?? 0)) / 3);
    expect(areaOf(mesh, nodes)).toBeLessThan(1.3 * wished(x ?? 0, y ?? 0) ** 2);
  }
});
