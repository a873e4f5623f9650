import { boundingBox, distanceToEdge, outlineArea } from './outline';
import type { Hole } from '../documents/hole';
import { asPolygon, bowOfBulge, bulgeOfBow, scalePhoto, traceOutline } from './traceOutline';

const hole: Hole = { id: 'h', xMm: 60, yMm: 70, diameterMm: 10, depth: { kind: 'through' } };
const placed = {
  piece: {
    outline: { kind: 'rectangle', widthMm: 200, heightMm: 200 },
    keepOff: [
      {
        id: 'a',
        kind: 'rib',
        shape: {
          kind: 'line',
          pointsMm: [
            [50, 50],
            [60, 50],
          ],
        },
      },
      { id: 'b', kind: 'hole', shape: { kind: 'circle', xMm: 80, yMm: 80, diameterMm: 5 } },
    ],
    photo: { id: 'f', xMm: 0, yMm: 0, mmPerPx: 0.5, widthPx: 400, heightPx: 300 },
  },
  holes: [hole, { ...hole, id: 'base', face: 'base' }],
} as const;

it('moves everything along with the new origin, and runs counter-clockwise', () => {
  const traced = traceOutline(placed, [
    [40, 140],
    [140, 140],
    [140, 40],
    [40, 40],
  ]);
  if (traced.kind !== 'traced') throw new Error(traced.why.code);
  const { piece, holes } = traced.placed;
  expect(piece.outline).toEqual({
    kind: 'polygon',
    pointsMm: [
      [0, 0],
      [100, 0],
      [100, 100],
      [0, 100],
    ],
  });
  expect(holes.map(({ xMm, yMm }) => [xMm, yMm])).toEqual([
    [20, 30],
    [60, 70],
  ]);
  expect(piece.keepOff?.[0]?.shape).toEqual({
    kind: 'line',
    pointsMm: [
      [10, 10],
      [20, 10],
    ],
  });
  expect(piece.photo).toMatchObject({ xMm: -40, yMm: -40 });
});

it('keeps arcs when a clockwise trace is turned round', () => {
  const counter = [
    [0, 0],
    [100, 0],
    [100, 60],
    [0, 60],
  ] as const;
  const clockwise = [...counter].reverse();
  const there = traceOutline(placed, counter, [0, 1, 0, 0]);
  // Points reversed: 0,60 · 100,60 · 100,0 · 0,0; the right side is the second.
  const back = traceOutline(placed, clockwise, [0, -1, 0, 0]);
  if (there.kind !== 'traced' || back.kind !== 'traced') throw new Error('fault');
  for (const { placed: at } of [there, back]) {
    expect(boundingBox(at.piece.outline).widthMm).toBeCloseTo(130);
    expect(outlineArea(at.piece.outline)).toBeCloseTo(6000 + (Math.PI * 900) / 2);
  }
});

it('says what keeps a trace from being an outline', () => {
  expect(
    traceOutline(placed, [
      [0, 0],
      [1, 1],
    ]),
  ).toEqual({ kind: 'fault', why: { code: 'too-few-points', count: 2 } });
  expect(
    traceOutline(placed, [
      [0, 0],
      [100, 100],
      [100, 0],
      [0, 100],
    ]),
  ).toMatchObject({ why: { code: 'crosses-itself', at: { xMm: 50, yMm: 50 } } });
});

it('bows a side by its height over the chord', () => {
  expect(bulgeOfBow(60, 30)).toBe(1);
  expect(bowOfBulge(60, bulgeOfBow(60, 7))).toBeCloseTo(7);
  const round = asPolygon({ kind: 'circle', diameterMm: 100 });
  expect(outlineArea(round)).toBeCloseTo(Math.PI * 2500);
  expect(distanceToEdge(round, { xMm: 50, yMm: 50 })).toBeCloseTo(50);
});

it('scales a photograph by two points, the first staying put', () => {
  const { photo } = placed.piece;
  const scaled = scalePhoto(photo, { xMm: 20, yMm: 10 }, { xMm: 70, yMm: 10 }, 100);
  expect(scaled).toMatchObject({ mmPerPx: 1, xMm: -20, yMm: -10 });
});
