import { bendPlate } from './bendPlate';
import type { BendingScene } from './bendingScene';
import { heldNodes, isOnEdge, springsUnder, stiffening, twistGap } from './elasticFoundation';
import { locator } from './locate';
import { discLoad, nodeAreas, patchShares, ringLoad } from './nodeShares';
import { paneOf } from './paneFixtures';
import { cornersOf, evenAxis, rectangleMesh, triangleCount, type PlateMesh } from './plateMesh';
import { preparePlate, type HeldPlate } from './preparePlate';

const sum = (values: Iterable<number>): number => [...values].reduce((all, one) => all + one, 0);
/** 40 mm by 20 mm in squares of 5 mm. */
const GRID = rectangleMesh(evenAxis(40, 8), evenAxis(20, 4));
const at = ({ x, y }: PlateMesh, node: number) => ({ xMm: x[node] ?? 0, yMm: y[node] ?? 0 });
const nodeAt = (mesh: PlateMesh, xMm: number, yMm: number): number =>
  Array.from(mesh.x.keys()).findIndex((node) => {
    const p = at(mesh, node);
    return Math.hypot(p.xMm - xMm, p.yMm - yMm) < 1e-6;
  });
const scene = paneOf(40, 20);

describe('what holds a plate', () => {
  it('stands off by its twist at two corners across, by half in the middle', () => {
    const gap = twistGap({ ...scene, twistMm: 3 }, GRID);
    const gapAt = (x: number, y: number) => gap[nodeAt(GRID, x, y)];
    expect([gapAt(0, 0), gapAt(40, 20), gapAt(40, 0), gapAt(0, 20), gapAt(20, 10)]).toEqual([
      0, 0, 3, 3, 1.5,
    ]);
    expect(gapAt(10, 5)).toBeCloseTo(1.5 * (1 - 0.25), 12);
    expect(gapAt(30, 5)).toBeCloseTo(1.5 * (1 + 0.25), 12);
  });

  it('is held all round, at both ends, or nowhere', () => {
    const held = (edgesHeld: BendingScene['edgesHeld']) =>
      heldNodes({ ...scene, edgesHeld }, GRID).map((node) => at(GRID, node));
    expect(held('none')).toEqual([]);
    expect(held('four')).toHaveLength(24);
    expect(held('two')).toHaveLength(10);
    expect(held('two').every(({ xMm }) => xMm === 0 || xMm === 40)).toBe(true);
    expect(isOnEdge(scene, { xMm: 0.1, yMm: 10 })).toBe(true);
    expect(isOnEdge(scene, { xMm: 0.3, yMm: 10 })).toBe(false);
  });

  it('is stiffened under a board and nowhere else', () => {
    const board = { xMm: 10, yMm: 5, widthMm: 15, heightMm: 10, thicknessMm: 12 };
    const D = (E: number, ν: number, t: number) => (E * t ** 3) / (12 * (1 - ν ** 2));
    const times = 1 + D(8000, 0.3, 12) / D(70_000, 0.22, 6);
    const factors = stiffening({ ...scene, boards: [board] }, GRID);
    // 15 by 10 mm are 3 by 2 squares of two triangles.
    expect([...factors].filter((one) => one !== 1)).toHaveLength(12);
    for (let triangle = 0; triangle < triangleCount(GRID); triangle++) {
      const corners = cornersOf(GRID, triangle).map((node) => at(GRID, node));
      const x = sum(corners.map(({ xMm }) => xMm)) / 3;
      const y = sum(corners.map(({ yMm }) => yMm)) / 3;
      const isUnder = x >= 10 && x <= 25 && y >= 5 && y <= 15;
      expect(factors[triangle]).toBeCloseTo(isUnder ? times : 1, 9);
    }
  });

  it('has a pad’s springs under the pad: its area, about its middle', () => {
    const pad = { xMm: 4, yMm: 2, widthMm: 12, heightMm: 8 };
    const shares = patchShares(GRID, locator(GRID), pad);
    expect(sum(shares)).toBeCloseTo(96, 9);
    expect(sum(shares.map((one, node) => one * (GRID.x[node] ?? 0))) / 96).toBeCloseTo(10, 9);
    expect(sum(shares.map((one, node) => one * (GRID.y[node] ?? 0))) / 96).toBeCloseTo(6, 9);
    // Half over the edge, it bears with the half that is under, to a hair of a triangle’s side.
    const over = patchShares(GRID, locator(GRID), { ...pad, xMm: -6 });
    expect(sum(over)).toBeGreaterThanOrEqual(48);
    expect(sum(over)).toBeLessThan(48 + 0.15 * 5 * 8);
    const two = [pad, { ...pad, xMm: 20 }].map((one, index) => ({
      ...one,
      foundationNPerMm3: index + 1,
    }));
    expect(sum(springsUnder({ ...scene, pads: two }, GRID, locator(GRID)))).toBeCloseTo(288, 9);
  });
});

describe('loads and places', () => {
  it('find the triangle of any point, its corners weighing it', () => {
    const locate = locator(GRID);
    for (const [x, y] of [
      [1, 1],
      [13.3, 7.9],
      [39.9, 19.9],
      [22.5, 17.5],
    ] as const) {
      const found = locate(x, y);
      expect(sum(found?.shares ?? [])).toBeCloseTo(1, 12);
      const mean = (of: Float64Array) =>
        sum((found?.nodes ?? []).map((node, i) => (of[node] ?? 0) * (found?.shares[i] ?? 0)));
      expect([mean(GRID.x), mean(GRID.y)]).toEqual([expect.closeTo(x, 9), expect.closeTo(y, 9)]);
    }
    // Just beyond a chord is the nearest triangle; well beyond it is none.
    expect(locate(40.2, 10)).not.toBeNull();
    expect(locate(45, 10)).toBeNull();
    expect(locate(-5, -5)).toBeNull();
  });

  it('press with all their force about their middle, or say that they leave the plate', () => {
    const locate = locator(GRID);
    const centre = { xMm: 17, yMm: 9 };
    for (const load of [
      ringLoad(GRID, locate, centre, 4, 30),
      discLoad(GRID, locate, centre, 4, 30),
    ]) {
      const mean = (of: Float64Array) => sum((load ?? []).map((one, i) => one * (of[i] ?? 0))) / 30;
      expect(sum(load ?? [])).toBeCloseTo(30, 9);
      expect([mean(GRID.x), mean(GRID.y)]).toEqual([expect.closeTo(17, 9), expect.closeTo(9, 9)]);
    }
    expect(ringLoad(GRID, locate, { xMm: 38, yMm: 9 }, 6, 30)).toBeNull();
    expect(discLoad(GRID, locate, { xMm: 38, yMm: 9 }, 9, 30)).toBeNull();
  });
});

describe('a plate', () => {
  const mesh = rectangleMesh(evenAxis(100, 10), evenAxis(100, 10));
  const plate = (over: Partial<HeldPlate>): HeldPlate => ({
    mesh,
    youngModulusMpa: 70_000,
    poisson: 0.22,
    thicknessMm: 5,
    springNPerMm: new Float64Array(mesh.x.length),
    noTension: false,
    held: [],
    ...over,
  });
  const bent = (held: HeldPlate, loadN: Float64Array) => {
    const prepared = preparePlate(held);
    if (prepared.kind !== 'prepared') throw new Error(prepared.kind);
    return bendPlate(prepared.plate, loadN);
  };
  const loadAt = (...places: readonly (readonly [number, number, number])[]) => {
    const load = new Float64Array(mesh.x.length);
    for (const [x, y, newtons] of places) load[nodeAt(mesh, x, y)] = newtons;
    return load;
  };

  it('twisted at its corners has M_xy = P/2, and the same tension on both faces', () => {
    const held = [nodeAt(mesh, 0, 0), nodeAt(mesh, 100, 0), nodeAt(mesh, 0, 100)];
    const outcome = bent(plate({ held }), loadAt([100, 100, 50]));
    if (outcome.kind !== 'converged') throw new Error(outcome.kind);
    const middle = nodeAt(mesh, 50, 50);
    // σ = 6·(P/2)/t² = 6 MPa.
    expect(outcome.farTensionMpa[middle]).toBeCloseTo(6, 6);
    expect(outcome.nearTensionMpa[middle]).toBeCloseTo(6, 6);
    // w = M_xy·x·y/((1 − ν)·D) between corners that are held.
    const D = (70_000 * 125) / (12 * (1 - 0.22 ** 2));
    expect(outcome.deflectionMm[nodeAt(mesh, 100, 100)]).toBeCloseTo(
      (25 * 100 * 100) / ((1 - 0.22) * D),
      6,
    );
  });

  it('pressed in its middle pulls on the far face alone', () => {
    const held = Array.from(mesh.x.keys()).filter((node) => {
      const { xMm, yMm } = at(mesh, node);
      return [xMm, yMm].some((one) => one === 0 || one === 100);
    });
    const outcome = bent(plate({ held }), loadAt([50, 50, 50]));
    if (outcome.kind !== 'converged') throw new Error(outcome.kind);
    const middle = nodeAt(mesh, 50, 50);
    expect(outcome.farTensionMpa[middle]).toBeGreaterThan(1);
    expect(outcome.nearTensionMpa[middle]).toBe(0);
  });

  it('tips where it is pressed beyond all that bears it', () => {
    const springNPerMm = nodeAreas(mesh).map((area) => area * 0.1);
    const free = plate({ springNPerMm, noTension: true });
    expect(bent(free, loadAt([50, 50, 20])).kind).toBe('converged');
    // Springs under one side only.
    const side = springNPerMm.map((k, node) => ((mesh.x[node] ?? 0) <= 30 ? k : 0));
    expect(bent(plate({ springNPerMm: side, noTension: true }), loadAt([60, 50, 20])).kind).toBe(
      'tips',
    );
    expect(bent(plate({ springNPerMm: side, noTension: true }), loadAt([20, 50, 20])).kind).toBe(
      'converged',
    );
  });
});
