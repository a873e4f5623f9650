import { guideLean, leanOf } from './aim';
import { exitPlace } from './exitPlace';
import { dam, fallWedge, guideBoard, usualDamInner } from './guideBoard';

it('leans by clearance over thickness and drifts by depth', () => {
  expect(guideLean(0.3, 18)).toBeCloseTo(0.9548, 3);
  const board = guideBoard({
    boardThicknessMm: 20,
    bitDiameterMm: 16,
    clearanceMm: 0.4,
    depthMm: 50,
  });
  expect(board).toMatchObject({
    holeMm: 16.4,
    minSideMm: 116,
    minThicknessMm: 16,
    entryOffsetMm: 0.2,
  });
  // 50 × 0.4/20 = 1, and half the play where it starts.
  expect(board.exitOffsetMm).toBeCloseTo(1.2);
});

it('fills a dam by the ring volumes', () => {
  const ring = dam({ bitDiameterMm: 20, innerDiameterMm: 60, wallMm: 10, heightMm: 15 });
  expect(ring.waterMl).toBeCloseTo((Math.PI / 4) * (3600 - 400) * 15e-3);
  expect(ring.puttyMl).toBeCloseTo((Math.PI / 4) * (6400 - 3600) * 15e-3);
});

it('presumes a ring that is wide enough for its bit', () => {
  for (const D of [3, 22, 96]) {
    const input = { bitDiameterMm: D, innerDiameterMm: usualDamInner(D), wallMm: 10, heightMm: 15 };
    expect(dam(input).minInnerMm).toBeLessThan(usualDamInner(D));
  }
});

it('makes a fall with a wedge', () => {
  const wedge = fallWedge(60, 300, 120);
  expect(wedge.packerMm).toBe(5);
  expect(wedge.dropMm).toBe(2);
  expect(wedge.angleDeg).toBeCloseTo(0.9548, 3);
});

it('steers by what holds the drill', () => {
  expect(leanOf({ hold: 'press' }).alongDeg).toBe(0.3);
  expect(
    leanOf({ hold: 'guided', guide: { kind: 'board', thicknessMm: 18, clearanceMm: 0.3 } })
      .alongDeg,
  ).toBeCloseTo(0.955, 3);
  expect(leanOf({ hold: 'guided', guide: { kind: 'level' } })).toMatchObject({
    alongDeg: 1,
    acrossDeg: 2,
  });
  expect(
    leanOf({ hold: 'guided', guide: { kind: 'board', thicknessMm: 5, clearanceMm: 3 } }).alongDeg,
  ).toBe(2);
  expect(leanOf({}).alongDeg).toBe(2);
});

it('comes out lower by the fall, within an ellipse', () => {
  const wall = {
    outline: { kind: 'rectangle', widthMm: 1000, heightMm: 1000 },
    thicknessMm: 300,
  } as const;
  const hole = {
    id: 'h',
    xMm: 500,
    yMm: 400,
    diameterMm: 107,
    depth: { kind: 'through' },
    fall: { oneIn: 60, lowSide: 'far' },
  } as const;
  const lean = leanOf({ hold: 'guided', guide: { kind: 'level' } });
  const exit = exitPlace(wall, hole, [], lean);
  expect(exit?.at).toEqual({ xMm: 500, yMm: 395 });
  expect(exit?.acrossMm).toBeCloseTo(300 * Math.tan((2 * Math.PI) / 180));
  expect(exit?.alongMm).toBeCloseTo(300 * Math.tan(Math.PI / 180) * (1 + 1 / 3600));
  expect(exit?.lengthMm).toBeCloseTo(107 * Math.sqrt(1 + 1 / 3600));
  expect(exit?.clearMm).toBeCloseTo(395 - 53.5 - 300 * Math.tan((2 * Math.PI) / 180));
  expect(exitPlace(wall, { ...hole, fall: { oneIn: 60, lowSide: 'near' } }, [], lean)?.at.yMm).toBe(
    405,
  );
  expect(exitPlace(wall, { ...hole, depth: { kind: 'blind', depthMm: 50 } }, [], lean)).toBeNull();
});
