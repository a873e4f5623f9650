import { pointsAlong, type Side } from '@nucleon/core/math/arc';
import { selfCrossing } from '@nucleon/core/math/crossing';
import { distanceToEdge, extent, isOnFace, outlineArea } from '@nucleon/core/layout/outline';
import type { Outline } from '@nucleon/core/documents/outline';
import type { KeepOff } from '@nucleon/core/documents/piece';
import { HELPER_LAYERS, Tally, type DrawnFile, type Entry, type Loop } from './drawnFile';
import { roundLoop } from './roundLoop';

export interface PieceChoice {
  readonly mmPerUnit: number;
  /** Layers to read; all but the helpers' where none are chosen. */
  readonly layers?: readonly string[];
}

export interface DrawnHole {
  readonly xMm: number;
  readonly yMm: number;
  readonly diameterMm: number;
}

export type DrawnPiece =
  | {
      readonly kind: 'piece';
      readonly outline: Outline;
      readonly holes: readonly DrawnHole[];
      readonly keepOff: readonly KeepOff[];
      readonly taken: readonly Entry[];
      readonly left: readonly Entry[];
    }
  | { readonly kind: 'none'; readonly message: string; readonly left: readonly Entry[] };

const LARGEST_MM = 100_000;
const LARGEST_HOLE_MM = 1000;
const SAME_MM = 0.01;

/** To a thousandth of a millimetre. */
const round = (mm: number): number => Math.round(mm * 1000) / 1000;

/**
 * The largest closed boundary becomes the outline, circles inside it holes, other closed shapes
 * inside it cut-outs. Everything else is counted as left, with why.
 */
export function pieceFromDrawing(drawn: DrawnFile, { mmPerUnit, layers }: PieceChoice): DrawnPiece {
  const left = new Tally();
  drawn.left.forEach(({ what, count }) => {
    left.add(what, count);
  });
  const wanted = drawn.loops.filter(({ layer }) => {
    const is = layers ? layers.includes(layer) : !HELPER_LAYERS.includes(layer);
    if (!is) left.add(`shapes on layer ${layer}, not chosen`);
    return is;
  });
  const scaled = wanted.map((loop) => ({
    ...loop,
    sides: loop.sides.map((s) => bySize(s, mmPerUnit)),
  }));
  const sized = scaled
    .map((loop) => ({ loop, area: areaOf(loop) }))
    .filter(({ area }) => area > 0)
    .sort((a, b) => b.area - a.area);
  const biggest = sized[0]?.loop;
  const none = (message: string): DrawnPiece => ({ kind: 'none', message, left: left.entries() });
  if (!biggest)
    return none(
      'No closed outline was found: the piece’s edge must be one closed line, or lines that meet.',
    );
  const { min, max } = extent(biggest.sides);
  const across = Math.max(max.xMm - min.xMm, max.yMm - min.yMm);
  if (across > LARGEST_MM)
    return none(
      `The outline would be ${Math.round(across / 1000)} m across; at most ${LARGEST_MM / 1000} m. Is the unit right?`,
    );
  const crossing = selfCrossing(biggest.sides);
  if (crossing)
    return none(
      `The outline crosses itself near ${round(crossing.xMm)}, ${round(crossing.yMm)} mm; its sides may meet only at their ends.`,
    );
  const outline = outlineOf(biggest.sides, min);
  return withHoles(
    outline,
    sized.slice(1).map(({ loop }) => loop),
    min,
    left,
  );
}

const bySize = ({ a, b, bulge }: Side, k: number): Side => ({
  a: { xMm: a.xMm * k, yMm: a.yMm * k },
  b: { xMm: b.xMm * k, yMm: b.yMm * k },
  bulge,
});

const polygonOf = (sides: readonly Side[], shift = { xMm: 0, yMm: 0 }) => ({
  kind: 'polygon' as const,
  pointsMm: sides.map(({ a }) => [round(a.xMm - shift.xMm), round(a.yMm - shift.yMm)] as const),
  ...(sides.some(({ bulge }) => bulge !== 0) ? { bulges: sides.map(({ bulge }) => bulge) } : {}),
});

const areaOf = ({ sides }: Loop): number => {
  const circle = roundLoop(sides);
  return circle ? (Math.PI * circle.diameter ** 2) / 4 : outlineArea(polygonOf(sides));
};

/** Rectangles and circles for what they are, else a polygon run counter-clockwise from the lower left. */
function outlineOf(sides: readonly Side[], min: { xMm: number; yMm: number }): Outline {
  const circle = roundLoop(sides);
  if (circle) return { kind: 'circle', diameterMm: round(circle.diameter) };
  const square =
    sides.length === 4 &&
    sides.every(
      ({ a, b, bulge }) =>
        bulge === 0 && (Math.abs(a.xMm - b.xMm) < SAME_MM || Math.abs(a.yMm - b.yMm) < SAME_MM),
    );
  if (square) {
    const { max } = extent(sides);
    return {
      kind: 'rectangle',
      widthMm: round(max.xMm - min.xMm),
      heightMm: round(max.yMm - min.yMm),
    };
  }
  return polygonOf(counterClockwise(sides), min);
}

function counterClockwise(sides: readonly Side[]): readonly Side[] {
  const points = sides.flatMap((side) => pointsAlong(side, 0.1));
  const doubled = points.reduce((sum, p, i) => {
    const q = points[(i + 1) % points.length] ?? p;
    return sum + p.xMm * q.yMm - q.xMm * p.yMm;
  }, 0);
  return doubled >= 0
    ? sides
    : [...sides].reverse().map(({ a, b, bulge }) => ({ a: b, b: a, bulge: -bulge }));
}

function withHoles(
  outline: Outline,
  loops: readonly Loop[],
  min: { xMm: number; yMm: number },
  left: Tally,
): DrawnPiece {
  const taken = new Tally();
  taken.add('outline');
  const holes: DrawnHole[] = [];
  const keepOff: KeepOff[] = [];
  for (const { sides } of loops) {
    const circle = roundLoop(sides);
    if (!circle) {
      const box = extent(sides);
      const at = { xMm: round(box.min.xMm - min.xMm), yMm: round(box.min.yMm - min.yMm) };
      if (!isOnFace(outline, { xMm: at.xMm + SAME_MM, yMm: at.yMm + SAME_MM })) {
        left.add('shapes outside the outline');
        continue;
      }
      taken.add('cut-outs, as the boxes round them');
      keepOff.push({
        id: `cut-out-${keepOff.length + 1}`,
        kind: 'cut-out',
        shape: {
          kind: 'rectangle',
          ...at,
          widthMm: round(box.max.xMm - box.min.xMm),
          heightMm: round(box.max.yMm - box.min.yMm),
        },
      });
      continue;
    }
    const hole: DrawnHole = {
      xMm: round(circle.x - min.xMm),
      yMm: round(circle.y - min.yMm),
      diameterMm: round(circle.diameter),
    };
    const why = whyLeft(outline, hole, holes);
    if (why) left.add(why);
    else {
      holes.push(hole);
      taken.add('holes');
    }
  }
  return { kind: 'piece', outline, holes, keepOff, taken: taken.entries(), left: left.entries() };
}

function whyLeft(outline: Outline, hole: DrawnHole, holes: readonly DrawnHole[]): string | null {
  if (hole.diameterMm > LARGEST_HOLE_MM) return `circles above ${LARGEST_HOLE_MM} mm`;
  if (hole.diameterMm <= 0) return 'circles without a size';
  const clear = distanceToEdge(outline, hole) - hole.diameterMm / 2;
  if (clear < -SAME_MM) return 'circles that reach outside the outline';
  const gap = (other: DrawnHole): number => Math.hypot(other.xMm - hole.xMm, other.yMm - hole.yMm);
  if (
    holes.some(
      (other) => gap(other) < SAME_MM && Math.abs(other.diameterMm - hole.diameterMm) < SAME_MM,
    )
  )
    return 'circles drawn twice';
  const overlaps = holes.some((other) => {
    const away = gap(other);
    return away > SAME_MM && away < (other.diameterMm + hole.diameterMm) / 2 - SAME_MM;
  });
  return overlaps ? 'circles that overlap another hole' : null;
}
