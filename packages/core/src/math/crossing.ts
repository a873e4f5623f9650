import { pointsAlong, type PointMm, type Side } from './arc';

/** Arcs are looked at as chords this near them, mm. */
const SAGITTA_MM = 0.05;

interface Piece {
  readonly a: PointMm;
  readonly b: PointMm;
  readonly index: number;
  readonly left: number;
  readonly right: number;
}

/**
 * Where a closed boundary crosses or touches itself; null where it never does. Pairs are looked at
 * from left to right, so that only pieces side by side are compared.
 */
export function selfCrossing(sides: readonly Side[]): PointMm | null {
  const points = sides.flatMap((side) => pointsAlong(side, SAGITTA_MM));
  const count = points.length;
  const pieces = points
    .map((a, index): Piece => {
      const b = points[(index + 1) % count] ?? a;
      return { a, b, index, left: Math.min(a.xMm, b.xMm), right: Math.max(a.xMm, b.xMm) };
    })
    .sort((one, other) => one.left - other.left);
  for (const [at, one] of pieces.entries()) {
    for (let next = at + 1; next < count; next++) {
      const other = pieces[next];
      if (!other || other.left > one.right) break;
      const apart = Math.abs(one.index - other.index);
      if (apart === 1 || apart === count - 1) continue;
      const met = meeting(one, other);
      if (met) return met;
    }
  }
  return null;
}

/** Where two straight pieces meet, or null. */
function meeting(p: Piece, q: Piece): PointMm | null {
  const [px, py] = [p.b.xMm - p.a.xMm, p.b.yMm - p.a.yMm];
  const [qx, qy] = [q.b.xMm - q.a.xMm, q.b.yMm - q.a.yMm];
  const cross = px * qy - py * qx;
  if (cross === 0) return null;
  const [dx, dy] = [q.a.xMm - p.a.xMm, q.a.yMm - p.a.yMm];
  const alongP = (dx * qy - dy * qx) / cross;
  const alongQ = (dx * py - dy * px) / cross;
  return alongP >= 0 && alongP <= 1 && alongQ >= 0 && alongQ <= 1
    ? { xMm: p.a.xMm + alongP * px, yMm: p.a.yMm + alongP * py }
    : null;
}
