import {
  arcOf,
  bulgeArea,
  extremesOf,
  isInside,
  nearestOnSide,
  pointsAlong,
  type Side,
} from './arc';
import { selfCrossing } from './crossing';
import { boundingBox, distanceToEdge, outlineArea, polygonSides } from '../layout/outline';

const at = (xMm: number, yMm: number) => ({ xMm, yMm });
const half: Side = { a: at(0, 0), b: at(20, 0), bulge: 1 };
const quarter: Side = { a: at(10, 0), b: at(0, 10), bulge: Math.tan(Math.PI / 8) };

it('finds centre, radius and turn of half and quarter circles', () => {
  expect(arcOf(half)).toMatchObject({ centre: at(10, 0), radiusMm: 10 });
  const arc = arcOf(quarter);
  expect(arc?.centre.xMm).toBeCloseTo(0);
  expect(arc?.centre.yMm).toBeCloseTo(0);
  expect(arc?.radiusMm).toBeCloseTo(10);
  expect(arc?.turnRad).toBeCloseTo(Math.PI / 2);
  expect(arcOf({ ...half, bulge: 0 })).toBeNull();
});

it('finds the nearest point on an arc, and its end where the arc does not reach', () => {
  const on = nearestOnSide(quarter, at(20, 20));
  expect(on.xMm).toBeCloseTo(10 / Math.SQRT2);
  expect(on.yMm).toBeCloseTo(10 / Math.SQRT2);
  expect(nearestOnSide(quarter, at(30, -5))).toEqual(at(10, 0));
  // Half a circle counter-clockwise from left to right hangs below its chord.
  expect(nearestOnSide(half, at(10, -30)).yMm).toBeCloseTo(-10);
});

it('bounds arcs and measures what they add', () => {
  expect(Math.min(...extremesOf(half).map((point) => point.yMm))).toBeCloseTo(-10);
  expect(bulgeArea(half)).toBeCloseTo((Math.PI * 100) / 2);
  expect(bulgeArea(quarter)).toBeCloseTo((Math.PI * 100) / 4 - 50);
  pointsAlong(half, 0.1).forEach(({ xMm, yMm }) => {
    expect(Math.hypot(xMm - 10, yMm)).toBeCloseTo(10);
  });
});

/** A 100 × 60 plate with a half-round right end: to x = 130 in the middle. */
const D_END = {
  kind: 'polygon',
  pointsMm: [
    [0, 0],
    [100, 0],
    [100, 60],
    [0, 60],
  ],
  bulges: [0, 1, 0, 0],
} as const;

it('measures a plate with a round end by hand', () => {
  expect(boundingBox(D_END)).toEqual({ widthMm: 130, heightMm: 60 });
  expect(outlineArea(D_END)).toBeCloseTo(6000 + (Math.PI * 900) / 2);
  expect(distanceToEdge(D_END, at(110, 30))).toBeCloseTo(20);
  expect(distanceToEdge(D_END, at(128, 55))).toBeLessThan(0);
  expect(distanceToEdge(D_END, at(50, 25))).toBe(25);
  // A bay cut in: the same end bent inwards.
  const bay = { ...D_END, bulges: [0, -1, 0, 0] } as const;
  expect(distanceToEdge(bay, at(60, 30))).toBeCloseTo(10);
  expect(distanceToEdge(bay, at(80, 30))).toBeCloseTo(-10);
  expect(isInside(polygonSides(bay), at(90, 30))).toBe(false);
});

it('tells a boundary that crosses itself, and where', () => {
  const bow = {
    kind: 'polygon',
    pointsMm: [
      [0, 0],
      [100, 100],
      [100, 0],
      [0, 100],
    ],
  } as const;
  expect(selfCrossing(polygonSides(bow))).toEqual(at(50, 50));
  expect(selfCrossing(polygonSides(D_END))).toBeNull();
  // More than half a circle inwards: it cuts the bottom at x = 55.
  expect(selfCrossing(polygonSides({ ...D_END, bulges: [0, -2, 0, 0] }))).not.toBeNull();
});
