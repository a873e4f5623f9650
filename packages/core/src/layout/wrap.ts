import type { PointMm } from './outline';
import type { Outline } from '../documents/outline';
import { widestRadius } from './clearDistances';
import { chordOfArc, fullRingDepth, radiusAt } from './curve';

type Round = Extract<Outline, { kind: 'cylinder' | 'cone' }>;
export const isRound = (outline: Outline): outline is Round =>
  outline.kind === 'cylinder' || outline.kind === 'cone';

/** A point on the outside of a round piece: X and Y across its axis, Z up from the base, mm. */
export interface PointOnRound {
  readonly X: number;
  readonly Y: number;
  readonly Z: number;
}

const FULL_DEG = 360;

/** Half the taper of a cone, rad; positive where it narrows upwards. */
export const coneHalfAngle = ({
  bottomDiameterMm,
  topDiameterMm,
  heightMm,
}: Extract<Outline, { kind: 'cone' }>): number =>
  Math.atan((bottomDiameterMm - topDiameterMm) / 2 / heightMm);

/** How far round from the seam a point of the unrolled face lies, degrees 0 … 360. */
export function turnOf(outline: Round, xMm: number): number {
  const R = widestRadius(outline) ?? 1;
  const deg = ((xMm / R) * 180) / Math.PI;
  return ((deg % FULL_DEG) + FULL_DEG) % FULL_DEG;
}

/** From the unrolled face onto the round piece: angle x/R, at the radius of its height. */
export function wrapPoint(outline: Round, { xMm, yMm }: PointMm): PointOnRound {
  const angle = xMm / (widestRadius(outline) ?? 1);
  const r = radiusAt(outline, yMm) ?? 0;
  return { X: r * Math.cos(angle), Y: r * Math.sin(angle), Z: yMm };
}

/** And back: x along the widest round, 0 up to once round. */
export function unwrapPoint(outline: Round, { X, Y, Z }: PointOnRound): PointMm {
  const R = widestRadius(outline) ?? 1;
  const angle = Math.atan2(Y, X);
  return { xMm: R * (angle < 0 ? angle + 2 * Math.PI : angle), yMm: Z };
}

/** Places for `count` holes evenly round, the first at x, all at one height. */
export function equalRound(outline: Round, first: PointMm, count: number): readonly PointMm[] {
  const round = 2 * Math.PI * (widestRadius(outline) ?? 1);
  return Array.from({ length: count }, (_, index) => ({
    xMm: (first.xMm + (round * index) / count) % round,
    yMm: first.yMm,
  }));
}

/** How a hole in a round wall is set out and bedded. */
export interface RoundSetting {
  readonly radiusMm: number;
  /** Round the outside at the hole's height from the seam, and straight across with calipers. */
  readonly arcMm: number;
  readonly chordMm: number;
  readonly turnDeg: number;
  /** Turn the piece in its cradle by this from seam-up, so that the hole lies on top. */
  readonly cradleTurnDeg: number;
  /** Raise the narrow end by this, so that a cone's wall lies level under the bit. */
  readonly tiltDeg: number;
  /** Depth at which the whole rim touches: until then it cuts two crescents. */
  readonly ringDepthMm: number;
  /** Half the bit's width seen round the wall, against straight across. */
  readonly acrossArcMm: number;
}

export function roundSetting(outline: Round, at: PointMm, diameterMm: number): RoundSetting {
  const R = radiusAt(outline, at.yMm) ?? 0;
  const turnDeg = turnOf(outline, at.xMm);
  const arcMm = (turnDeg * Math.PI * R) / 180;
  return {
    radiusMm: R,
    arcMm,
    chordMm: chordOfArc(R, Math.min(arcMm, 2 * Math.PI * R - arcMm)),
    turnDeg,
    cradleTurnDeg: turnDeg > 180 ? FULL_DEG - turnDeg : turnDeg,
    tiltDeg: outline.kind === 'cone' ? Math.abs((coneHalfAngle(outline) * 180) / Math.PI) : 0,
    ringDepthMm: fullRingDepth(R, diameterMm),
    acrossArcMm: diameterMm >= 2 * R ? Math.PI * R : 2 * R * Math.asin(diameterMm / (2 * R)),
  };
}

/** A point of a cut strip laid flat, mm. */
export type Flat = readonly [x: number, y: number];

/**
 * Lays the wall flat as paper would lie on it: a cylinder's is the unrolled face itself; a cone's
 * is part of a ring about its apex (a developable surface keeps every length).
 */
export function layFlat(outline: Round, { xMm, yMm }: PointMm): Flat {
  if (outline.kind === 'cylinder' || outline.bottomDiameterMm === outline.topDiameterMm)
    return [xMm, yMm];
  const half = coneHalfAngle(outline);
  const sin = Math.sin(Math.abs(half));
  const R = widestRadius(outline) ?? 1;
  // Slant from the apex ρ = r/sin α; the strip turns by φ = θ·sin α.
  const rho = (radiusAt(outline, yMm) ?? 0) / sin;
  const phi = (xMm / R - Math.PI) * sin;
  const foot = R / sin;
  // The widest round lies at the bottom for a cone that narrows upwards, at the top otherwise.
  return half > 0
    ? [rho * Math.sin(phi), foot - rho * Math.cos(phi)]
    : [rho * Math.sin(phi), rho * Math.cos(phi) - foot + slantHeight(outline)];
}

/** Length of a cone's wall from base to rim, mm. */
export const slantHeight = (outline: Extract<Outline, { kind: 'cone' }>): number =>
  outline.heightMm / Math.cos(coneHalfAngle(outline));

/**
 * A radial hole's rim as it lies on the unrolled wall: D/2·sin up, R·asin(D/2·cos/R) along, so that
 * a strip wrapped round shows where the bit touches.
 */
export function wrappedRim(
  outline: Round,
  at: PointMm,
  diameterMm: number,
  count = 72,
): readonly PointMm[] {
  const widest = widestRadius(outline) ?? 1;
  const R = radiusAt(outline, at.yMm) ?? widest;
  return Array.from({ length: count }, (_, i) => {
    const angle = (2 * Math.PI * i) / count;
    const across = Math.min(1, Math.max(-1, ((diameterMm / 2) * Math.cos(angle)) / R));
    return {
      xMm: at.xMm + widest * Math.asin(across),
      yMm: at.yMm + (diameterMm / 2) * Math.sin(angle),
    };
  });
}
