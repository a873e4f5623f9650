import { boardOver, nextClamp, nextPad } from './supportPlaces';

const outline = { kind: 'rectangle', widthMm: 300, heightMm: 201 } as const;
const hole = { xMm: 120, yMm: 90 };

it('props a piece near its corners, one after the other, then under the hole', () => {
  // A fifth of 201 is 40; a tenth of it is left free.
  const places = [0, 1, 2, 3, 4, 5].map((count) => nextPad(outline, hole, count));
  expect(places.map(({ xMm, yMm }) => [xMm, yMm])).toEqual([
    [4, 4],
    [256, 4],
    [256, 157],
    [4, 157],
    [100, 70],
    [100, 70],
  ]);
  for (const pad of places) expect(pad).toMatchObject({ widthMm: 40, heightMm: 40 });
});

it('clamps left and right by turns, half way up', () => {
  expect([0, 1, 2].map((count) => nextClamp(outline, count))).toEqual([
    { xMm: 20, yMm: 101, padDiameterMm: 20, forceN: 50 },
    { xMm: 280, yMm: 101, padDiameterMm: 20, forceN: 50 },
    { xMm: 20, yMm: 101, padDiameterMm: 20, forceN: 50 },
  ]);
});

it('lays a square board over the hole, half as wide as the shorter span', () => {
  expect(boardOver(outline, hole)).toEqual({
    xMm: 70,
    yMm: 40,
    widthMm: 101,
    heightMm: 101,
    thicknessMm: 18,
  });
});
