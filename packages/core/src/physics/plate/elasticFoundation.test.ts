import { freeEdges } from '../../layout/outline';
import { heldNodes, padReactions, springsUnder, stiffening, weightOf } from './elasticFoundation';
import { locator } from './locate';
import { meshPlate, type Focus } from './meshPlate';
import { paneOf } from './paneFixtures';
import { evenAxis, rectangleMesh, type PlateMesh } from './plateMesh';

const sum = (values: Iterable<number>): number => [...values].reduce((all, one) => all + one, 0);
/** 40 mm by 20 mm in squares of 5 mm. */
const GRID = rectangleMesh(evenAxis(40, 8), evenAxis(20, 4));
const locate = locator(GRID);
const scene = paneOf(40, 20, { bedNPerMm3: 0.05, lies: true });

it('weighs ρ·g·t a square millimetre where it lies flat, and nothing across itself where it stands', () => {
  const weight = weightOf(scene, GRID);
  expect(sum(weight)).toBeCloseTo(2500e-9 * 9.81 * 6 * 800, 12);
  // A node in the middle of eight triangles of 12.5 mm² bears a third of each.
  const middle = GRID.x.findIndex((x, node) => x === 20 && GRID.y[node] === 10);
  expect(weight[middle]).toBeCloseTo(2500e-9 * 9.81 * 6 * (100 / 3), 12);
  const stands = weightOf({ ...scene, lies: false }, GRID);
  expect([stands.length, sum(stands)]).toEqual([GRID.x.length, 0]);
});

it('lies on its bed with all of its area where no pad is under it', () => {
  const springs = springsUnder(scene, GRID, locate);
  expect(sum(springs)).toBeCloseTo(0.05 * 800, 9);
  expect(Math.min(...springs)).toBeGreaterThan(0);
});

describe('what pads give back', () => {
  const pad = { xMm: 4, yMm: 2, widthMm: 12, heightMm: 8, foundationNPerMm3: 2 };
  const sunk = (mm: number): Float64Array => new Float64Array(GRID.x.length).fill(mm);

  it('is k·A·w where the piece sinks evenly, each pad by its own springs', () => {
    const two = [pad, { ...pad, xMm: 20, foundationNPerMm3: 5 }];
    expect(padReactions({ ...scene, pads: two }, GRID, locate, sunk(0.1))).toEqual([
      expect.closeTo(2 * 96 * 0.1, 9),
      expect.closeTo(5 * 96 * 0.1, 9),
    ]);
  });

  it('is nothing where it lifts off', () => {
    expect(padReactions({ ...scene, pads: [pad] }, GRID, locate, sunk(-0.1))).toEqual([0]);
  });

  it('begins once a twisted piece has come down to the pad', () => {
    const twisted = { ...scene, twistMm: 3, pads: [{ ...pad, xMm: 0, yMm: 0 }] };
    const [near = 0] = padReactions(twisted, GRID, locate, sunk(1.5));
    // All of this pad is under the corner that touches: its gaps are less than 1.5 mm, and take from w.
    const [flat = 0] = padReactions({ ...twisted, twistMm: 0 }, GRID, locate, sunk(1.5));
    expect(near).toBeGreaterThan(0);
    expect(near).toBeLessThan(flat);
    // In the corner that stands off by 3 mm it does not reach.
    const far = { ...twisted, pads: [{ ...pad, xMm: 36, yMm: 0, widthMm: 4, heightMm: 2 }] };
    expect(padReactions(far, GRID, locate, sunk(1.5))).toEqual([0]);
  });
});

it('of a round piece lies on two battens with what reaches a twenty-fifth of the width in', () => {
  const edge = freeEdges({ kind: 'circle', diameterMm: 200 });
  const focus: Focus = { centre: { xMm: 100, yMm: 100 }, radiusMm: 15, minMm: 3 };
  const meshed = meshPlate({ edge, gaps: [], foci: [focus], maxMm: 4 });
  if (meshed.kind !== 'meshed') throw new Error(meshed.kind);
  const { mesh } = meshed;
  const round = { ...scene, edge, widthMm: 200, heightMm: 200, edgesHeld: 'two' } as const;
  const held = heldNodes(round, mesh);
  expect(held.length).toBeGreaterThan(5.9);
  const inMm = held.map((node) => Math.min(mesh.x[node] ?? 0, 200 - (mesh.x[node] ?? 0)));
  expect(Math.max(...inMm)).toBeLessThan(8);
  expect(Math.max(...inMm)).toBeGreaterThan(5.9);
  const all = heldNodes({ ...round, edgesHeld: 'four' }, mesh);
  expect(all.filter((node) => !held.includes(node)).every((node) => (mesh.x[node] ?? 0) >= 8)).toBe(
    true,
  );
});

it('is stiffened by each of two boards where both lie over each other', () => {
  const board = { xMm: 0, yMm: 0, widthMm: 20, heightMm: 20, thicknessMm: 9 };
  const [once] = stiffening({ ...scene, boards: [board] }, GRID);
  const [twice] = stiffening({ ...scene, boards: [board, { ...board, widthMm: 40 }] }, GRID);
  expect((twice ?? 0) - 1).toBeCloseTo(2 * ((once ?? 0) - 1), 12);
});

describe('where a point lies', () => {
  /** Two triangles, the second lower than the first where both are about as near. */
  const mesh: PlateMesh = {
    x: Float64Array.of(0, 10, 0, 10),
    y: Float64Array.of(0, 0, 10, 10),
    corners: Int32Array.of(0, 1, 2, 1, 3, 2),
  };
  it('is in the nearest triangle, just off all of them', () => {
    const find = locator(mesh);
    expect(find(9, 10.5)?.nodes).toEqual([1, 3, 2]);
    expect(find(-0.5, 1)?.nodes).toEqual([0, 1, 2]);
    expect(find(2, 3)?.shares).toEqual([
      expect.closeTo(0.5, 12),
      expect.closeTo(0.2, 12),
      expect.closeTo(0.3, 12),
    ]);
    // On the side both share, either says the same place.
    const onSide = find(5, 5);
    expect(Math.min(...(onSide?.shares ?? [-1]))).toBeCloseTo(0, 9);
    expect(find(11.4, 5)).not.toBeNull();
    expect(find(11.6, 5)).toBeNull();
  });
});
