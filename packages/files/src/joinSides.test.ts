import type { PointMm, Side } from '@nucleon/core/math/arc';
import { joinSides } from './joinSides';

const TOUCHING = 0.01;
const at = (xMm: number, yMm: number): PointMm => ({ xMm, yMm });
const line = (a: PointMm, b: PointMm, bulge = 0): Side => ({ a, b, bulge });
const [A, B, C, D] = [at(0, 0), at(30, 0), at(30, 20), at(0, 20)];
const SQUARE = [line(A, B), line(B, C), line(C, D), line(D, A)];

it('joins sides that follow one another into a chain that closes', () => {
  expect(joinSides(SQUARE, TOUCHING)).toEqual({ closed: [SQUARE], open: [] });
});

it('turns a side that was drawn the other way, and its bulge with it', () => {
  const { closed } = joinSides([line(A, B), line(C, B, 0.5), line(C, D), line(A, D)], TOUCHING);
  expect(closed).toEqual([[line(A, B), line(B, C, -0.5), line(C, D), line(D, A, -0)]]);
});

it('does not mind the order they were drawn in', () => {
  const [first, second, third, fourth] = SQUARE as [Side, Side, Side, Side];
  const { closed, open } = joinSides([third, first, fourth, second], TOUCHING);
  expect(open).toEqual([]);
  expect(closed).toHaveLength(1);
  expect(closed[0]).toHaveLength(4);
});

it.each([
  ['meets', 0.99 * TOUCHING, 1],
  ['does not meet', 1.01 * TOUCHING, 0],
])('an end that is off by %s', (_, off, chains) => {
  const gapped = [line(A, B), line(B, C), line(C, D), line(D, at(0, off))];
  const { closed, open } = joinSides(gapped, TOUCHING);
  expect(closed).toHaveLength(chains);
  expect(open).toHaveLength(4 - 4 * chains);
});

it('meets across the lines of the grid it looks ends up in', () => {
  // Cells are two touching lengths wide: these ends lie on either side of a line of it.
  const seam = 10 * TOUCHING;
  const [near, far] = [at(seam - 0.3 * TOUCHING, 0), at(seam + 0.3 * TOUCHING, 0)];
  const corner = at(seam, 10);
  const { closed } = joinSides(
    [line(A, near), line(far, corner), line(corner, at(0, 10)), line(at(0, 10), A)],
    TOUCHING,
  );
  expect(closed).toHaveLength(1);
});

it('keeps chains apart, and says which sides belong to none', () => {
  const moved = SQUARE.map(({ a, b, bulge }) =>
    line(at(a.xMm + 100, a.yMm), at(b.xMm + 100, b.yMm), bulge),
  );
  const loose = line(at(200, 0), at(220, 0));
  const { closed, open } = joinSides([...SQUARE, loose, ...moved], TOUCHING);
  expect(closed).toEqual([SQUARE, moved]);
  expect(open).toEqual([loose]);
});

it('takes two half circles as an outline, and a side that ends where it began as none', () => {
  const [left, right] = [at(0, 0), at(10, 0)];
  const halves = [line(left, right, 1), line(right, left, 1)];
  expect(joinSides(halves, TOUCHING).closed).toEqual([halves]);
  const point = line(left, left);
  expect(joinSides([point], TOUCHING)).toEqual({ closed: [], open: [point] });
});

it('joins no side to itself, and uses each once', () => {
  // A comb: every tooth begins in one point.
  const teeth = Array.from({ length: 500 }, (_, i) => line(A, at(1 + i, 5)));
  const { closed, open } = joinSides([...teeth, ...SQUARE], TOUCHING);
  expect(closed.flat().length + open.length).toBe(teeth.length + SQUARE.length);
  expect(new Set([...closed.flat(), ...open].map((side) => JSON.stringify(side))).size).toBe(
    teeth.length + SQUARE.length,
  );
});
