import { arcOf, distance, pointsAlong, type Side } from '@nucleon/core/math/arc';

export interface RoundLoop {
  readonly x: number;
  readonly y: number;
  readonly diameter: number;
}

/** A loop whose every point lies this near one circle, as a share of its radius, is a circle. */
const ROUND_SHARE = 2e-3;
/** Fewer points than this say nothing about being round. */
const MIN_POINTS = 12;

/** The circle a loop is, or null. Arcs about one centre give it exactly. */
export function roundLoop(sides: readonly Side[]): RoundLoop | null {
  const [first] = sides;
  const arc = first && arcOf(first);
  if (arc) {
    const same = sides.every((side) => {
      const other = arcOf(side);
      return (
        other !== null &&
        distance(other.centre, arc.centre) < ROUND_SHARE * arc.radiusMm &&
        Math.abs(other.radiusMm - arc.radiusMm) < ROUND_SHARE * arc.radiusMm
      );
    });
    if (same) return { x: arc.centre.xMm, y: arc.centre.yMm, diameter: 2 * arc.radiusMm };
  }
  const points = sides.flatMap((side) => pointsAlong(side, 0.01));
  if (points.length < MIN_POINTS) return null;
  const x = points.reduce((sum, p) => sum + p.xMm, 0) / points.length;
  const y = points.reduce((sum, p) => sum + p.yMm, 0) / points.length;
  const radii = points.map((p) => Math.hypot(p.xMm - x, p.yMm - y));
  const radius = radii.reduce((sum, r) => sum + r, 0) / radii.length;
  return radii.every((r) => Math.abs(r - radius) < ROUND_SHARE * radius)
    ? { x, y, diameter: 2 * radius }
    : null;
}
