import { boundingBox, distanceToEdge, faceOutline, outlineArea } from './outline';

const lShape = {
  kind: 'polygon',
  pointsMm: [
    [0, 0],
    [100, 0],
    [100, 40],
    [40, 40],
    [40, 100],
    [0, 100],
  ],
} as const;

it('measures rectangles, circles and polygons from inside and outside', () => {
  expect(
    distanceToEdge({ kind: 'rectangle', widthMm: 100, heightMm: 60 }, { xMm: 20, yMm: 30 }),
  ).toBe(20);
  expect(distanceToEdge({ kind: 'circle', diameterMm: 100 }, { xMm: 50, yMm: 80 })).toBeCloseTo(20);
  expect(distanceToEdge(lShape, { xMm: 20, yMm: 20 })).toBe(20);
  expect(distanceToEdge(lShape, { xMm: 70, yMm: 70 })).toBeCloseTo(-30);
  expect(distanceToEdge(lShape, { xMm: 30, yMm: 35 })).toBeCloseTo(Math.hypot(10, 5));
});

it('finds areas and boxes', () => {
  expect(outlineArea(lShape)).toBe(100 * 40 + 40 * 60);
  expect(boundingBox(lShape)).toEqual({ widthMm: 100, heightMm: 100 });
  expect(outlineArea({ kind: 'circle', diameterMm: 20 })).toBeCloseTo(100 * Math.PI);
});

it('unrolls a cylinder with no edge at its seam, and gives its base as a disc', () => {
  const pot = { kind: 'cylinder', outerDiameterMm: 100, heightMm: 80 } as const;
  expect(boundingBox(pot).widthMm).toBeCloseTo(100 * Math.PI);
  expect(distanceToEdge(pot, { xMm: 0, yMm: 30 })).toBe(30);
  expect(faceOutline(pot, 'base')).toEqual({ kind: 'circle', diameterMm: 100 });
});
