import { evenlySpread, mirrored, patternPlaces } from './patterns';
import { snap } from './snap';

const from = { xMm: 100, yMm: 50 };

it('sets out rows, grids and circles', () => {
  const row = patternPlaces({ kind: 'row', count: 3, pitchMm: 20, angleDeg: 90 }, from);
  expect(row.map(({ yMm }) => yMm)).toEqual([50, 70, 90]);
  expect(row[2]?.xMm).toBeCloseTo(100);
  const grid = patternPlaces(
    { kind: 'grid', columns: 3, rows: 2, pitchXMm: 10, pitchYMm: 30 },
    from,
  );
  expect(grid).toHaveLength(6);
  expect(grid[5]).toEqual({ xMm: 120, yMm: 80 });
  const ring = patternPlaces({ kind: 'circle', count: 6, diameterMm: 80, startDeg: 0 }, from);
  ring.forEach((place, index) => {
    const next = ring[(index + 1) % 6] ?? place;
    expect(Math.hypot(place.xMm - from.xMm, place.yMm - from.yMm)).toBeCloseTo(40);
    // Six round a circle stand one radius apart.
    expect(Math.hypot(place.xMm - next.xMm, place.yMm - next.yMm)).toBeCloseTo(40);
  });
});

it('mirrors about the centre lines, twice back to where it was', () => {
  const box = { widthMm: 400, heightMm: 300 };
  expect(mirrored(from, box, 'upright')).toEqual({ xMm: 300, yMm: 50 });
  expect(mirrored(mirrored(from, box, 'level'), box, 'level')).toEqual(from);
});

it('spreads evenly between the outer two, whatever their order', () => {
  const at = (xMm: number) => ({ xMm, yMm: 5 });
  expect(evenlySpread([at(90), at(0), at(10)], 'x')).toEqual([at(90), at(0), at(45)]);
});

describe('snapping', () => {
  const box = { widthMm: 300, heightMm: 200 };
  it('comes to rest on the nearest line within reach', () => {
    expect(snap({ xMm: 148, yMm: 66 }, box, [], 3)).toEqual({
      at: { xMm: 150, yMm: 200 / 3 },
      lines: [
        { axis: 'x', atMm: 150, why: 'centre' },
        { axis: 'y', atMm: 200 / 3, why: 'third' },
      ],
    });
    expect(snap({ xMm: 143, yMm: 20 }, box, [], 3)).toEqual({
      at: { xMm: 143, yMm: 20 },
      lines: [],
    });
  });
  it('follows other holes and keeps equal spacing with them', () => {
    const others = [
      { xMm: 20, yMm: 31 },
      { xMm: 61, yMm: 31 },
    ];
    expect(snap({ xMm: 103, yMm: 30 }, box, others, 3)).toEqual({
      at: { xMm: 102, yMm: 31 },
      lines: [
        { axis: 'x', atMm: 102, why: 'spacing' },
        { axis: 'y', atMm: 31, why: 'hole' },
      ],
    });
    expect(snap({ xMm: 40, yMm: 90 }, box, others, 3).at.xMm).toBe(40.5);
  });
});
