import type { PointMm } from './outline';
import type { Hole } from '../documents/hole';
import type { Piece } from '../documents/piece';
import { clearToEdge, clearToHole, spanToKeepOff, type PlacedHole } from './clearDistances';
import { tanDeg, type Lean } from './aim';
import { reachOf } from './services';

/** Where the hole comes out: its middle, the shape it leaves there, and how far it may wander. */
export interface ExitPlace {
  /** Middle on the far face, in the entry face's coordinates. */
  readonly at: PointMm;
  readonly depthMm: number;
  /** Shift from the entry by the fall, mm: negative lower. */
  readonly fallMm: number;
  /** Half axes of the ellipse it may come out in: across and along the fall, mm. */
  readonly acrossMm: number;
  readonly alongMm: number;
  /** The hole itself is an ellipse where it leans: D across, D/cos along. */
  readonly lengthMm: number;
  /** The hole's rim at its worst to the far face's edge, other holes and marked places, mm. */
  readonly clearMm: number;
  readonly lean: Lean;
  readonly fall: Hole['fall'];
}

/**
 * Where a through hole comes out. The fall shifts it by depth/oneIn towards the low side; the lean
 * of the bit adds depth·tan(angle), in the direction of the fall stretched by 1/cos² of the fall.
 * null for holes that do not go through.
 */
export function exitPlace(
  piece: Pick<Piece, 'outline' | 'thicknessMm' | 'keepOff'>,
  hole: PlacedHole & Pick<Hole, 'depth' | 'fall'>,
  others: readonly PlacedHole[],
  lean: Lean,
): ExitPlace | null {
  if (hole.depth.kind !== 'through') return null;
  const depthMm = reachOf(hole, piece);
  const { oneIn = Infinity, lowSide = 'far' } = hole.fall ?? {};
  const slope = 1 / oneIn;
  const fallMm = (lowSide === 'far' ? -1 : 1) * depthMm * slope;
  const stretch = 1 + slope ** 2;
  const acrossMm = depthMm * tanDeg(lean.acrossDeg);
  const alongMm = depthMm * tanDeg(lean.alongDeg) * stretch;
  const at = { xMm: hole.xMm, yMm: hole.yMm + fallMm };
  const exit = { ...hole, ...at };
  const wander = Math.max(acrossMm, alongMm);
  const clears = [
    clearToEdge(piece.outline, exit),
    clearToHole(piece.outline, exit, others),
    spanToKeepOff(piece.outline, exit, piece.keepOff ?? [])?.clearMm,
  ].filter((one): one is number => typeof one === 'number');
  const clearMm = Math.min(...clears) - wander;
  return {
    at,
    depthMm,
    fallMm,
    acrossMm,
    alongMm,
    lengthMm: hole.diameterMm * Math.sqrt(stretch),
    clearMm,
    lean,
    fall: hole.fall,
  };
}
