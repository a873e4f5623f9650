/** A point, mm. */
export interface PointMm {
  readonly xMm: number;
  readonly yMm: number;
}

/**
 * One side of a boundary, from a to b. `bulge` is the tangent of a quarter of the angle it turns
 * through, as drawings exchange it: 0 straight, 1 half a circle, positive counter-clockwise.
 */
export interface Side {
  readonly a: PointMm;
  readonly b: PointMm;
  readonly bulge: number;
}

export interface Arc {
  readonly centre: PointMm;
  readonly radiusMm: number;
  /** Where it starts, rad, and how far it turns, rad; counter-clockwise positive. */
  readonly startRad: number;
  readonly turnRad: number;
}

const FULL = 2 * Math.PI;

/** Centre, radius and turn of a bent side; null where it is straight. */
export function arcOf({ a, b, bulge }: Side): Arc | null {
  if (bulge === 0) return null;
  const chord = Math.hypot(b.xMm - a.xMm, b.yMm - a.yMm);
  if (chord === 0) return null;
  // The centre lies on the chord's left normal, c·(1 − bulge²)/(4·bulge) from its middle.
  const off = (1 - bulge ** 2) / (4 * bulge);
  const centre = {
    xMm: (a.xMm + b.xMm) / 2 - (b.yMm - a.yMm) * off,
    yMm: (a.yMm + b.yMm) / 2 + (b.xMm - a.xMm) * off,
  };
  return {
    centre,
    radiusMm: (chord * (1 + bulge ** 2)) / (4 * Math.abs(bulge)),
    startRad: Math.atan2(a.yMm - centre.yMm, a.xMm - centre.xMm),
    turnRad: 4 * Math.atan(bulge),
  };
}

/** Whether an arc passes through this direction from its centre. */
function sweeps({ startRad, turnRad }: Arc, directionRad: number): boolean {
  const along = (directionRad - startRad) * Math.sign(turnRad);
  return ((along % FULL) + FULL) % FULL <= Math.abs(turnRad);
}

const onArc = ({ centre, radiusMm }: Arc, directionRad: number): PointMm => ({
  xMm: centre.xMm + radiusMm * Math.cos(directionRad),
  yMm: centre.yMm + radiusMm * Math.sin(directionRad),
});

export const distance = (p: PointMm, q: PointMm): number =>
  Math.hypot(p.xMm - q.xMm, p.yMm - q.yMm);

/** The point of a side nearest to p. */
export function nearestOnSide(side: Side, p: PointMm): PointMm {
  const { a, b } = side;
  const arc = arcOf(side);
  if (arc) {
    const direction = Math.atan2(p.yMm - arc.centre.yMm, p.xMm - arc.centre.xMm);
    if (sweeps(arc, direction)) return onArc(arc, direction);
    return distance(p, a) <= distance(p, b) ? a : b;
  }
  const [dx, dy] = [b.xMm - a.xMm, b.yMm - a.yMm];
  const lengthSquared = dx ** 2 + dy ** 2;
  if (lengthSquared === 0) return a;
  const along = ((p.xMm - a.xMm) * dx + (p.yMm - a.yMm) * dy) / lengthSquared;
  const t = Math.min(1, Math.max(0, along));
  return { xMm: a.xMm + t * dx, yMm: a.yMm + t * dy };
}

/** The points that bound a side: its ends, and where an arc reaches furthest left, right, up or down. */
export function extremesOf(side: Side): readonly PointMm[] {
  const arc = arcOf(side);
  const quarters = arc
    ? [0, 1, 2, 3]
        .map((quarter) => (quarter * Math.PI) / 2)
        .filter((direction) => sweeps(arc, direction))
        .map((direction) => onArc(arc, direction))
    : [];
  return [side.a, side.b, ...quarters];
}

/** Area between a side's chord and its arc, mm²; positive where it bulges to the right of a→b. */
export function bulgeArea(side: Side): number {
  const arc = arcOf(side);
  // Circular segment: R²/2·(θ − sin θ).
  return arc ? (arc.radiusMm ** 2 / 2) * (arc.turnRad - Math.sin(arc.turnRad)) : 0;
}

/**
 * Points along a side without its end, so near that no chord leaves the arc by more than this.
 * @param sagittaMm above 0
 */
export function pointsAlong(side: Side, sagittaMm: number): readonly PointMm[] {
  const arc = arcOf(side);
  if (!arc) return [side.a];
  const step = 2 * Math.acos(Math.max(0, 1 - sagittaMm / arc.radiusMm)) || 0.1;
  const count = Math.max(1, Math.ceil(Math.abs(arc.turnRad) / step));
  return Array.from({ length: count }, (_, i) =>
    i === 0 ? side.a : onArc(arc, arc.startRad + (arc.turnRad * i) / count),
  );
}

/** How a ray to the right of p meets the region that these sides enclose: true inside. */
export function isInside(sides: readonly Side[], p: PointMm): boolean {
  let inside = false;
  for (const side of sides) {
    const { a, b } = side;
    // Even–odd ray casting over the chords.
    const straddles = a.yMm > p.yMm !== b.yMm > p.yMm;
    if (straddles && p.xMm < ((b.xMm - a.xMm) * (p.yMm - a.yMm)) / (b.yMm - a.yMm) + a.xMm)
      inside = !inside;
    // Between a chord and its arc the answer turns round: inside the disc, on the arc's side.
    const arc = arcOf(side);
    if (arc && distance(arc.centre, p) < arc.radiusMm) {
      const [dx, dy] = [b.xMm - a.xMm, b.yMm - a.yMm];
      const cross = dx * (p.yMm - a.yMm) - dy * (p.xMm - a.xMm);
      // A point on the chord itself counts as right of it or above it, as the ray above has it.
      const turned = cross !== 0 ? cross : dy !== 0 ? -dy : dx;
      if (turned * side.bulge < 0) inside = !inside;
    }
  }
  return inside;
}
