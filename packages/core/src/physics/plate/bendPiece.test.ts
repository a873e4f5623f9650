import { freeEdges } from '../../layout/outline';
import type { Side } from '../../math/arc';
import { bendPiece, preparePiece, preparePieceEvenly, type PieceOutcome } from './bendPiece';
import type { BendingScene } from './bendingScene';
import { paneOf } from './paneFixtures';

const onFoam = (widthMm: number, heightMm: number, over: Partial<BendingScene> = {}) =>
  paneOf(widthMm, heightMm, { bedNPerMm3: 0.1, ...over });
function ready(outcome: PieceOutcome) {
  if (outcome.kind !== 'ready') throw new Error(JSON.stringify(outcome));
  const { prepared, atRest, atRestN } = outcome.piece;
  const { mesh, noTension, gapMm, stiffening } = prepared.plate;
  const nodes = Array.from(mesh.x, (xMm, node) => ({ xMm, yMm: mesh.y[node] ?? 0 }));
  return { nodes, noTension, gapMm, stiffening, atRest, atRestN };
}
type Nodes = ReturnType<typeof ready>['nodes'];
/** How many stand on a circle. */
const onCircle = (nodes: Nodes, x: number, y: number, radiusMm: number): number =>
  nodes.filter(({ xMm, yMm }) => Math.abs(Math.hypot(xMm - x, yMm - y) - radiusMm) < 0.05).length;
/** The widest step from node to node along the edge y = 0, mm. */
function widestStep(nodes: Nodes): number {
  const xs = nodes.flatMap(({ xMm, yMm }) => (yMm === 0 ? [xMm] : [])).sort((a, b) => a - b);
  return Math.max(...xs.slice(1).map((x, index) => x - (xs[index] ?? 0)));
}
const roundGap = (x: number, y: number, diameterMm: number): readonly Side[] =>
  freeEdges({ kind: 'circle', diameterMm }).map(({ a, b, ...side }) => {
    const moved = (p: typeof a) => ({
      xMm: p.xMm + x - diameterMm / 2,
      yMm: p.yMm + y - diameterMm / 2,
    });
    return { ...side, a: moved(a), b: moved(b) };
  });

describe('a piece meshed about a rim', () => {
  it.each([
    // A rim wider than 1.724·t/√e presses where it is: 28 sides round it.
    [20, 28],
    // No side is longer than a sixteenth of the span: 2π·60/12.5 = 30.2, in fours.
    [60, 32],
  ])('of %d mm has %d nodes on it', (meanRadiusMm, count) => {
    const rim = { xMm: 150, yMm: 100, meanRadiusMm };
    const { nodes } = ready(preparePiece(onFoam(300, 200, { rim })));
    expect(onCircle(nodes, 150, 100, meanRadiusMm)).toBe(count);
  });

  it('has sides of a sixteenth of its span far away, and a strip those of 4,000 nodes', () => {
    const rim = { xMm: 30, yMm: 170, meanRadiusMm: 6 };
    const pane = widestStep(ready(preparePiece(onFoam(300, 200, { rim }))).nodes);
    expect(pane).toBeLessThan(12.501);
    expect(pane).toBeGreaterThan(12);
    // √(2000·60/4000) = 5.48 mm, where a sixteenth of 60 would be 3.75.
    const strip = widestStep(ready(preparePiece(onFoam(2000, 60))).nodes);
    expect(strip).toBeLessThan(5.478);
    expect(strip).toBeGreaterThan(5.4);
  });

  it('has twenty sides round a hole that is there, or more where those would be too long', () => {
    const rim = { xMm: 60, yMm: 60, meanRadiusMm: 6 };
    const small = ready(preparePiece(onFoam(300, 200, { rim, gaps: [roundGap(220, 90, 40)] })));
    expect(onCircle(small.nodes, 220, 90, 20)).toBe(20);
    expect(small.nodes.every(({ xMm, yMm }) => Math.hypot(xMm - 220, yMm - 90) > 19.9)).toBe(true);
    // 2π·45/12.5 = 22.6: six in each quarter.
    const large = ready(preparePiece(onFoam(300, 200, { rim, gaps: [roundGap(220, 90, 90)] })));
    expect(onCircle(large.nodes, 220, 90, 45)).toBe(24);
  });

  it('is refused with its nodes and the limit where holes would make it too fine', () => {
    const gaps = Array.from({ length: 16 }, (_, index) =>
      roundGap(150 + 200 * (index % 4), 150 + 200 * Math.floor(index / 4), 0.5),
    );
    const rim = { xMm: 35, yMm: 35, meanRadiusMm: 0.2 };
    const scene = onFoam(1000, 1000, { gaps, rim });
    const { bending, field } = bendPiece(scene);
    expect([bending, field]).toEqual([
      { kind: 'trouble', trouble: 'mesh-too-fine', count: 12_001, max: 12_000 },
      null,
    ]);
  });
});

describe('a piece meshed evenly', () => {
  it.each([
    ['on a bed', 300, 200, {}, 200 / 22],
    ['on a bed, standing', 200, 300, {}, 200 / 22],
    ['that is twisted', 300, 200, { twistMm: 1 }, 200 / 13],
    ['that is long, by its length', 900, 60, {}, 900 / 60],
  ])('%s: %d mm by %d', (_, widthMm, heightMm, over, sideMm) => {
    const { nodes } = ready(preparePieceEvenly(onFoam(widthMm, heightMm, over)));
    expect(widestStep(nodes)).toBeCloseTo(widthMm / Math.ceil(widthMm / sideMm - 1e-9), 6);
  });

  it('keeps its contact on pads and where it is twisted; a whole bed may pull a little', () => {
    const pads = [{ xMm: 0, yMm: 0, widthMm: 300, heightMm: 200, foundationNPerMm3: 1 }];
    const kept = [{}, { pads }, { twistMm: 1 }].map(
      (over) => ready(preparePieceEvenly(onFoam(300, 200, over))).noTension,
    );
    expect(kept).toEqual([false, true, true]);
    expect(ready(preparePiece(onFoam(300, 200))).noTension).toBe(true);
  });
});

describe('what it is before it is pressed', () => {
  it('stands off its bed where it is twisted, and is stiffer under boards', () => {
    const board = { xMm: 0, yMm: 0, widthMm: 100, heightMm: 100, thicknessMm: 18 };
    const plain = ready(preparePiece(onFoam(100, 100)));
    expect([plain.gapMm, plain.stiffening]).toEqual([undefined, undefined]);
    const twisted = ready(preparePiece(onFoam(100, 100, { twistMm: 2 })));
    expect(Math.max(...(twisted.gapMm ?? []))).toBeCloseTo(2, 9);
    const boarded = ready(preparePiece(onFoam(100, 100, { boards: [board] })));
    expect(Math.min(...(boarded.stiffening ?? []))).toBeGreaterThan(1);
  });

  it('lies under its weight and its clamps, or under nothing', () => {
    const sum = (all: Iterable<number>): number => [...all].reduce((so, one) => so + one, 0);
    const nothing = ready(preparePiece(onFoam(100, 100)));
    expect([sum(nothing.atRestN), nothing.atRest]).toEqual([0, null]);
    const clamps = [30, 50].map((forceN) => ({ xMm: 50, yMm: 50, padDiameterMm: 20, forceN }));
    const clamped = ready(preparePiece(onFoam(100, 100, { lies: true, clamps })));
    // 0.1·0.1·0.006 m³ · 2500 kg/m³ · 9.81 = 1.4715 N beside the clamps' 80 N.
    expect(sum(clamped.atRestN)).toBeCloseTo(81.4715, 6);
    expect(sum(clamped.atRest?.reactionN ?? [])).toBeCloseTo(81.4715, 4);
    // A pad presses within its own radius, and no node beyond it but those of triangles it cuts.
    const scene = onFoam(100, 100, { clamps: clamps.slice(0, 1) });
    const { nodes, atRestN } = ready(preparePiece(scene));
    const pressed = nodes.filter((_, node) => (atRestN[node] ?? 0) > 0);
    const far = Math.max(...pressed.map(({ xMm, yMm }) => Math.hypot(xMm - 50, yMm - 50)));
    expect(far).toBeGreaterThan(9);
    expect(far).toBeLessThan(13);
  });
});
