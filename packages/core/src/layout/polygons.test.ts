import { pointsAlong } from '../math/arc';
import { selfCrossing } from '../math/crossing';
import { distanceToEdge, outlineArea, polygonSides } from './outline';
import type { Outline } from '../documents/outline';
import { clearToEdge } from './clearDistances';

/** Mulberry32: the same polygons every time. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** A star-shaped polygon round (100, 100), dents and all. */
function polygon(random: () => number): (readonly [number, number])[] {
  const corners = 3 + Math.floor(random() * 9);
  return Array.from({ length: corners }, (_, index) => {
    const angle = (2 * Math.PI * (index + 0.6 * random())) / corners;
    const radius = 30 + 60 * random();
    return [100 + radius * Math.cos(angle), 100 + radius * Math.sin(angle)] as const;
  });
}

const STEPS = 2000;
const nearestSample = (points: readonly (readonly [number, number])[], x: number, y: number) =>
  Math.min(
    ...points.flatMap(([ax, ay], index) => {
      const [bx, by] = points[(index + 1) % points.length] ?? [ax, ay];
      return Array.from({ length: STEPS + 1 }, (_, step) =>
        Math.hypot(ax + ((bx - ax) * step) / STEPS - x, ay + ((by - ay) * step) / STEPS - y),
      );
    }),
  );

it('agrees with a brute-force walk round random polygons', () => {
  const random = seeded(7);
  for (let round = 0; round < 25; round++) {
    const pointsMm = polygon(random);
    const outline: Outline = { kind: 'polygon', pointsMm };
    const [x, y] = [100 + 20 * (random() - 0.5), 100 + 20 * (random() - 0.5)];
    const clear = clearToEdge(outline, { id: 'h', xMm: x, yMm: y, diameterMm: 2 });
    // Sign apart: a point in a dent lies outside.
    expect(Math.abs(clear + 1)).toBeCloseTo(nearestSample(pointsMm, x, y), 2);
  }
});

/** Whether a point lies inside many short chords, by counting crossings to its right. */
function insideChords(points: readonly { xMm: number; yMm: number }[], x: number, y: number) {
  let inside = false;
  points.forEach((a, index) => {
    const b = points[(index + 1) % points.length] ?? a;
    if (a.yMm > y !== b.yMm > y && x < ((b.xMm - a.xMm) * (y - a.yMm)) / (b.yMm - a.yMm) + a.xMm)
      inside = !inside;
  });
  return inside;
}

it('agrees with chords along random polygons whose sides bend in and out', () => {
  const random = seeded(11);
  let judged = 0;
  for (let round = 0; round < 200; round++) {
    const pointsMm = polygon(random);
    const bulges = pointsMm.map(() => 0.6 * (random() - 0.5));
    const outline = { kind: 'polygon', pointsMm, bulges } as const;
    const sides = polygonSides(outline);
    if (selfCrossing(sides)) continue;
    judged += 1;
    const chords = sides.flatMap((side) => pointsAlong(side, 1e-4));
    const area = chords.reduce((sum, p, i) => {
      const q = chords[(i + 1) % chords.length] ?? p;
      return sum + (p.xMm * q.yMm - q.xMm * p.yMm) / 2;
    }, 0);
    expect(outlineArea(outline)).toBeCloseTo(area, 0);
    for (let point = 0; point < 20; point++) {
      const [x, y] = [200 * random(), 200 * random()];
      const signed = distanceToEdge(outline, { xMm: x, yMm: y });
      const nearest = Math.min(...chords.map((p) => Math.hypot(p.xMm - x, p.yMm - y)));
      // Chords are sampled at their ends: never nearer than the true side, nor much further.
      expect(Math.abs(signed)).toBeLessThan(nearest + 1e-3);
      if (Math.abs(signed) > 0.01) expect(signed > 0).toBe(insideChords(chords, x, y));
    }
  }
  expect(judged).toBeGreaterThan(50);
});
