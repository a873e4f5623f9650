import type { PointMm } from './outline';
import type { Hole } from '../documents/hole';
import type { Piece } from '../documents/piece';
import { formatLengthAbout, formatLengthShort } from '../words/units/length';
import { input, type Reason } from '../documents/reason';
import type { UnitSystem } from '../words/units/unitSystem';
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
  /** Whether that is enough, in a sentence. */
  readonly clearText: string;
  readonly reason: Reason;
}

/** Wandering less than this is not worth a number, mm. */
const LEAST_SEEN_MM = 0.1;

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
  units: UnitSystem,
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
  const show = (mm: number): string => formatLengthShort(mm, units);
  const clearMm = Math.min(...clears) - wander;
  const shift =
    fallMm === 0
      ? 'straight behind its entry'
      : `${show(Math.abs(fallMm))} ${fallMm < 0 ? 'lower' : 'higher'} than it goes in`;
  return {
    at,
    depthMm,
    fallMm,
    acrossMm,
    alongMm,
    lengthMm: hole.diameterMm * Math.sqrt(stretch),
    clearMm,
    clearText:
      clearMm < 0
        ? 'There it may run into the edge, another hole or a marked place.'
        : `There it stays ${show(clearMm)} clear even then.`,
    reason: {
      text:
        wander < LEAST_SEEN_MM
          ? `It comes out ${shift}, to within ${formatLengthAbout(LEAST_SEEN_MM, units)}, steered by ${lean.how}.`
          : `It comes out ${shift}, give or take ${formatLengthAbout(acrossMm, units)} sideways and ${formatLengthAbout(alongMm, units)} up or down, steered by ${lean.how}.`,
      inputs: [
        input('Depth', show(depthMm)),
        input('Fall', Number.isFinite(oneIn) ? `one in ${oneIn}, ${lowSide} face lower` : 'none'),
        input('Lean sideways', `${lean.acrossDeg.toFixed(1)}°`),
        input('Lean up or down', `${lean.alongDeg.toFixed(1)}°`),
      ],
      source: 'Exit offset = depth × tan(angle); fall = depth ÷ run',
      spread: 'about two in three holes come out within the ellipse',
    },
  };
}
