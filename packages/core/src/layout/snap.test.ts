import { snap, unsnapped } from './snap';

const box = { widthMm: 120, heightMm: 240 };
const at = (xMm: number, yMm: number) => ({ xMm, yMm });

it('rests on halves, thirds and quarters of the face, each way by itself', () => {
  expect(snap(at(61, 7), box, [], 2)).toEqual({
    at: at(60, 7),
    lines: [{ axis: 'x', atMm: 60, why: 'centre' }],
  });
  expect(snap(at(41, 159), box, [], 2)).toEqual({
    at: at(40, 160),
    lines: [
      { axis: 'x', atMm: 40, why: 'third' },
      { axis: 'y', atMm: 160, why: 'third' },
    ],
  });
  expect(snap(at(29, 181), box, [], 2).lines.map(({ why }) => why)).toEqual(['quarter', 'quarter']);
  expect(snap(at(89, 61), box, [], 2).at).toEqual(at(90, 60));
  expect(snap(at(79, 81), box, [], 2).at).toEqual(at(80, 80));
});

it('reaches exactly so far and no further', () => {
  expect(snap(at(62, 7), box, [], 2).at.xMm).toBe(60);
  expect(snap(at(62.1, 7), box, [], 2)).toEqual({ at: at(62.1, 7), lines: [] });
});

it('rests in line with another hole, as far beyond two as they are apart, and half-way between', () => {
  const others = [at(10, 20), at(25, 50)];
  expect(snap(at(10.5, 200), box, others, 1).lines).toEqual([{ axis: 'x', atMm: 10, why: 'hole' }]);
  expect(snap(at(26, 200), box, others, 1).at.xMm).toBe(25);
  // 25 + 15, before 10 − 15, between 17.5.
  expect(snap(at(17, 200), box, others, 1).lines).toEqual([
    { axis: 'x', atMm: 17.5, why: 'spacing' },
  ]);
  expect(snap(at(-5.5, 200), box, others, 1).at.xMm).toBe(-5);
  // 50 + 30.
  expect(snap(at(100, 80.5), box, others, 0.6).at.yMm).toBe(80);
  // Two holes at one x are one line, not a spacing of nothing.
  expect(snap(at(10.5, 200), box, [at(10, 20), at(10, 90)], 1).lines).toHaveLength(1);
});

it('takes the nearest, and of those as near the centre before a hole before a third', () => {
  expect(snap(at(60, 7), box, [at(60, 9)], 1).lines[0]).toMatchObject({ why: 'centre' });
  expect(snap(at(40, 7), box, [at(40, 9)], 1).lines[0]).toMatchObject({ why: 'hole' });
  expect(snap(at(60.4, 7), box, [at(60.5, 9)], 1).at.xMm).toBe(60.5);
});

it('rests on what can be marked where no line is near: a tenth of a millimetre', () => {
  expect(snap(at(17.2345, 100.666), box, [], 2)).toEqual({ at: at(17.2, 100.7), lines: [] });
  // A third of the face stays a third.
  expect(snap(at(33, 7), { widthMm: 100, heightMm: 240 }, [], 2).at.xMm).toBeCloseTo(100 / 3, 12);
  expect(unsnapped(at(59.96, 1.04))).toEqual({ at: at(60, 1), lines: [] });
});
