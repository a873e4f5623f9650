import type { Outline } from '../documents/outline';
import type { KeepOff } from '../documents/piece';
import {
  baseShift,
  clearToCorner,
  clearToEdge,
  clearToHole,
  cornersOf,
  middleOf,
  spanToCorner,
  spanToEdge,
  spanToHole,
  spanToKeepOff,
  spanToShape,
  widestRadius,
} from './clearDistances';

const pane: Outline = { kind: 'rectangle', widthMm: 400, heightMm: 300 };
const jar: Outline = { kind: 'cylinder', outerDiameterMm: 100, heightMm: 200 };
const pot: Outline = {
  kind: 'cone',
  bottomDiameterMm: 100,
  topDiameterMm: 200,
  heightMm: 100,
};
const hole = (xMm: number, yMm: number, diameterMm = 20, id = 'h') => ({
  id,
  xMm,
  yMm,
  diameterMm,
});
const at = (xMm: number, yMm: number) => ({ xMm, yMm });

describe('spans say from where to where', () => {
  it('rim to edge, along the shortest way', () => {
    expect(spanToEdge(pane, hole(370, 150))).toEqual({
      from: at(380, 150),
      to: at(400, 150),
      clearMm: 20,
    });
    expect(spanToEdge(pane, hole(200, 30)).to).toEqual(at(200, 0));
    // A hole whose middle lies off the piece is as far over as it is.
    expect(clearToEdge(pane, hole(-15, 150))).toBeCloseTo(-25, 9);
  });

  it('rim to the nearest corner', () => {
    expect(cornersOf(pane)).toEqual([at(0, 0), at(400, 0), at(400, 300), at(0, 300)]);
    const span = spanToCorner(pane, hole(370, 260));
    expect(span?.to).toEqual(at(400, 300));
    expect(span?.clearMm).toBeCloseTo(40, 9);
    expect(span?.from.xMm).toBeCloseTo(370 + 0.6 * 10, 9);
    expect(span?.from.yMm).toBeCloseTo(260 + 0.8 * 10, 9);
    for (const round of [jar, pot, { kind: 'circle', diameterMm: 50 } as const])
      expect(clearToCorner(round, hole(20, 20))).toBeNull();
  });

  it('rim to rim of the nearest hole on the same face', () => {
    const others = [hole(300, 100, 20, 'far'), hole(150, 100, 40, 'near')];
    expect(spanToHole(pane, hole(100, 100), others)).toEqual({
      from: at(110, 100),
      to: at(130, 100),
      clearMm: 20,
    });
    expect(clearToHole(pane, hole(100, 100), [])).toBeNull();
    expect(
      clearToHole(pane, hole(100, 100), [{ ...hole(150, 100, 40, 'b'), face: 'base' }]),
    ).toBeNull();
    // Steps of one hole share its middle; a hair beside it is another hole.
    expect(clearToHole(pane, hole(100, 100), [hole(100.009, 100, 8, 's')])).toBeNull();
    expect(clearToHole(pane, hole(100, 100), [hole(100.02, 100, 8, 's')])).toBeCloseTo(-13.98, 9);
  });
});

it('does not count a corner where an arc begins or ends', () => {
  const rounded: Outline = {
    kind: 'polygon',
    pointsMm: [
      [0, 0],
      [100, 0],
      [100, 100],
      [0, 100],
    ],
    bulges: [0, 0.4, 0, 0],
  };
  expect(cornersOf(rounded)).toEqual([at(0, 0), at(0, 100)]);
  expect(cornersOf({ ...rounded, bulges: [0, 0, 0, 0] })).toHaveLength(4);
});

describe('round pieces', () => {
  it('measure a base from its own centre', () => {
    expect(baseShift(jar, 'base')).toBe(50);
    expect(baseShift(pot, 'base')).toBe(50);
    expect([baseShift(jar, 'side'), baseShift(jar, undefined), baseShift(pane, 'base')]).toEqual([
      0, 0, 0,
    ]);
    expect(middleOf(jar, { ...hole(3, -4), face: 'base' })).toEqual(at(53, 46));
    expect(clearToEdge(jar, { ...hole(30, 0), face: 'base' })).toBeCloseTo(10, 9);
  });

  it('go the shorter way round the seam', () => {
    const round = Math.PI * 100;
    const [a, b] = [hole(10, 100), hole(round - 20, 100, 20, 'o')];
    expect(clearToHole(jar, a, [b])).toBeCloseTo(10, 9);
    expect(clearToHole(jar, b, [a])).toBeCloseTo(10, 9);
    expect(clearToHole(jar, hole(10, 100), [hole(70, 100, 20, 'o')])).toBeCloseTo(40, 9);
  });

  it('on a cone are as far apart as at the height between them', () => {
    expect(widestRadius(pot)).toBe(100);
    expect(widestRadius(jar)).toBe(50);
    expect(widestRadius(pane)).toBeNull();
    // 80 mm along the widest round; at half height the radius is 75.
    expect(clearToHole(pot, hole(100, 50), [hole(180, 50, 20, 'o')])).toBeCloseTo(60 - 20, 9);
    expect(clearToHole(pot, hole(100, 0), [hole(180, 0, 20, 'o')])).toBeCloseTo(40 - 20, 9);
  });
});

describe('marked places', () => {
  const box = { kind: 'rectangle', xMm: 100, yMm: 100, widthMm: 60, heightMm: 20 } as const;
  it('are round, boxes or lines', () => {
    expect(
      spanToShape({ kind: 'circle', xMm: 60, yMm: 0, diameterMm: 20 }, at(0, 0), 10).clearMm,
    ).toBe(40);
    const line = {
      kind: 'line',
      pointsMm: [
        [50, -40],
        [50, 40],
        [90, 40],
      ] as [number, number][],
    } as const;
    expect(spanToShape(line, at(0, 0), 10)).toEqual({
      from: at(10, 0),
      to: at(50, 0),
      clearMm: 40,
    });
    expect(spanToShape(line, at(80, 70), 10).clearMm).toBeCloseTo(20, 9);
  });

  it('keep a hole out of a box from every side, and say how deep it lies within', () => {
    const clear = (xMm: number, yMm: number) => spanToShape(box, at(xMm, yMm), 5).clearMm;
    expect([clear(80, 110), clear(180, 110), clear(130, 70), clear(130, 150)]).toEqual([
      15, 15, 25, 25,
    ]);
    expect(clear(97, 96)).toBeCloseTo(0, 9);
    // 8 mm inside its lower side: out by that and the hole’s radius.
    expect(clear(130, 108)).toBeCloseTo(-13, 9);
    expect(clear(130, 118)).toBeCloseTo(-7, 9);
    expect(clear(103, 110)).toBeCloseTo(-8, 9);
    expect(clear(158, 110)).toBeCloseTo(-7, 9);
    // On its very side it is not within.
    expect(clear(100, 110)).toBeCloseTo(-5, 9);
    expect(clear(130, 120)).toBeCloseTo(-5, 9);
  });

  it('are taken nearest first, on the face they are drawn on', () => {
    const place = (id: string, xMm: number): KeepOff => ({
      id,
      kind: 'rib',
      shape: { kind: 'circle', xMm, yMm: 100, diameterMm: 20 },
    });
    const places = [place('far', 250), place('near', 150)];
    expect(spanToKeepOff(pane, hole(100, 100), places)).toMatchObject({
      clearMm: 30,
      place: { id: 'near' },
    });
    expect(spanToKeepOff(pane, hole(100, 100), [])).toBeNull();
    expect(spanToKeepOff(jar, { ...hole(0, 0), face: 'base' }, places)).toBeNull();
  });
});
