/** A V that holds something round; lengths mm, angles degrees, forces N. */
export interface Cradle {
  /** Angle between its two faces. */
  readonly openingDeg: number;
  /** Across, where the piece touches; the V is made at least this much wider at the top. */
  readonly touchWidthMm: number;
  readonly minWidthMm: number;
  /** How far the piece's lowest point stands above the V's corner. */
  readonly standsMm: number;
  /** On each face while the drill presses. */
  readonly faceForceN: number;
  /** How far to the side the drill may press before the piece rolls out. */
  readonly rollsAtMm: number;
}

/** A V opens this wide: steep enough not to roll, flat enough not to wedge. */
export const USUAL_OPENING_DEG = 90;
/** Friction of wet ware on rubber-faced wood. */
const WET_FRICTION = 0.3;

/**
 * A V-cradle for a cylinder of radius R pressed from above with F. It touches at β = (180° − α)/2
 * either side of the lowest point: touch width 2R·sin β, each face takes F/(2cos β), and the press
 * may wander by R·sin β before a face comes free, less where friction lets it turn first.
 */
export function cradle(radiusMm: number, forceN: number, openingDeg = USUAL_OPENING_DEG): Cradle {
  const β = ((180 - openingDeg) / 2) * (Math.PI / 180);
  const touchWidthMm = 2 * radiusMm * Math.sin(β);
  return {
    openingDeg,
    touchWidthMm,
    minWidthMm: touchWidthMm + radiusMm / 2,
    standsMm: radiusMm / Math.cos(β) - radiusMm,
    faceForceN: forceN / (2 * Math.cos(β)),
    // Two faces of friction μN at R against the turn F·e: e = μ·R/cos β.
    rollsAtMm: Math.min(touchWidthMm / 2, (WET_FRICTION * radiusMm) / Math.cos(β)),
  };
}
