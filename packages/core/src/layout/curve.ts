import type { Outline } from '../documents/outline';

/**
 * Full-ring depth s = R − √(R² − D²/4), mm: how deep a bit of diameter D cuts into a cylinder of
 * outer radius R before its whole rim touches. R where the bit is as wide as the cylinder.
 */
export const fullRingDepth = (R: number, D: number): number =>
  R - Math.sqrt(Math.max(0, R ** 2 - D ** 2 / 4));

/** Chord straight across between two points that lie an arc apart, mm. */
export const chordOfArc = (R: number, arcMm: number): number => 2 * R * Math.sin(arcMm / (2 * R));

/** The arc along the outside for a chord measured straight across, mm; the chord is at most 2·R. */
export const arcOfChord = (R: number, chordMm: number): number =>
  2 * R * Math.asin(Math.min(1, chordMm / (2 * R)));

/** Outer radius where a side hole is drilled, mm; null on flat faces. A cone at its own height. */
export function radiusAt(outline: Outline, yMm: number): number | null {
  if (outline.kind === 'cylinder') return outline.outerDiameterMm / 2;
  if (outline.kind !== 'cone') return null;
  const { bottomDiameterMm: bottom, topDiameterMm: top, heightMm } = outline;
  return (bottom + ((top - bottom) * yMm) / heightMm) / 2;
}
