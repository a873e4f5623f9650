import { distance, type PointMm } from '../math/arc';
import { selfCrossing } from '../math/crossing';
import { extent, outlineArea, polygonSides } from './outline';
import type { Outline, PolygonOutline } from '../documents/outline';
import type { Hole } from '../documents/hole';
import type { Piece } from '../documents/piece';

/** What of a piece moves together when its origin does. */
export interface Placed {
  readonly piece: Pick<Piece, 'outline' | 'keepOff' | 'services' | 'photo'>;
  readonly holes: readonly Hole[];
}

/** Why points make no outline. */
export type OutlineFault =
  | { readonly code: 'too-few-points'; readonly count: number }
  | { readonly code: 'crosses-itself'; readonly at: PointMm }
  | { readonly code: 'encloses-nothing' };

export type Traced =
  | { readonly kind: 'traced'; readonly placed: Placed }
  | { readonly kind: 'fault'; readonly why: OutlineFault };

const MIN_AREA_MM2 = 1;

/** How far a side bows out over its chord's middle, mm, and the bulge that makes it: 2·bow/chord. */
export const bulgeOfBow = (chordMm: number, bowMm: number): number =>
  chordMm === 0 ? 0 : (2 * bowMm) / chordMm;
export const bowOfBulge = (chordMm: number, bulge: number): number => (bulge * chordMm) / 2;

/** Length of the straight line under a polygon's side, mm. */
export function chordOf(outline: PolygonOutline, side: number): number {
  const at = polygonSides(outline)[side];
  return at ? distance(at.a, at.b) : 0;
}

/** Any outline as a polygon, to be changed point by point. */
export function asPolygon(outline: Outline): PolygonOutline {
  switch (outline.kind) {
    case 'polygon':
      return outline;
    case 'circle': {
      const D = outline.diameterMm;
      const quarter = Math.tan(Math.PI / 8);
      return {
        kind: 'polygon',
        pointsMm: [
          [D, D / 2],
          [D / 2, D],
          [0, D / 2],
          [D / 2, 0],
        ],
        bulges: [quarter, quarter, quarter, quarter],
      };
    }
    case 'rectangle':
    case 'cylinder':
    case 'cone': {
      const w =
        outline.kind === 'rectangle'
          ? outline.widthMm
          : Math.PI *
            (outline.kind === 'cylinder'
              ? outline.outerDiameterMm
              : Math.max(outline.bottomDiameterMm, outline.topDiameterMm));
      const h = outline.heightMm;
      return {
        kind: 'polygon',
        pointsMm: [
          [0, 0],
          [w, 0],
          [w, h],
          [0, h],
        ],
      };
    }
  }
}

const shiftPoints = (
  points: readonly (readonly [number, number])[],
  dx: number,
  dy: number,
): readonly (readonly [number, number])[] => points.map(([x, y]) => [x + dx, y + dy] as const);

/** Everything on the face moved by so much. */
function shifted(
  { piece, holes }: Placed,
  dx: number,
  dy: number,
): Omit<Placed, 'piece'> & {
  readonly piece: Omit<Placed['piece'], 'outline'>;
} {
  const move = <T extends PointMm>(at: T): T => ({ ...at, xMm: at.xMm + dx, yMm: at.yMm + dy });
  return {
    piece: {
      ...(piece.keepOff
        ? {
            keepOff: piece.keepOff.map((place) => ({
              ...place,
              shape:
                place.shape.kind === 'line'
                  ? { ...place.shape, pointsMm: shiftPoints(place.shape.pointsMm, dx, dy) }
                  : move(place.shape),
            })),
          }
        : {}),
      ...(piece.services
        ? {
            services: piece.services.map((band) => ({
              ...band,
              pointsMm: shiftPoints(band.pointsMm, dx, dy),
            })),
          }
        : {}),
      ...(piece.photo ? { photo: move(piece.photo) } : {}),
    },
    holes: holes.map((hole) => (hole.face === 'base' ? hole : move(hole))),
  };
}

/**
 * A traced outline becomes the piece's: run counter-clockwise, its lower left at the origin, and
 * whatever stands on the face moved along, so that everything keeps its place on the piece.
 */
export function traceOutline(
  placed: Placed,
  pointsMm: PolygonOutline['pointsMm'],
  bulges: readonly number[] = [],
): Traced {
  const fault = (why: OutlineFault): Traced => ({ kind: 'fault', why });
  if (new Set(pointsMm.map(String)).size < 3)
    return fault({ code: 'too-few-points', count: pointsMm.length });
  const given: PolygonOutline = { kind: 'polygon', pointsMm, bulges };
  const crossing = selfCrossing(polygonSides(given));
  if (crossing) return fault({ code: 'crosses-itself', at: crossing });
  if (outlineArea(given) < MIN_AREA_MM2) return fault({ code: 'encloses-nothing' });
  const run = isClockwise(pointsMm) ? reversed(given) : given;
  const { min } = extent(polygonSides(run));
  const moved = shifted(placed, -min.xMm, -min.yMm);
  const bent = run.bulges?.some((bulge) => bulge !== 0) ?? false;
  const outline: PolygonOutline = {
    kind: 'polygon',
    pointsMm: shiftPoints(run.pointsMm, -min.xMm, -min.yMm),
    ...(bent && run.bulges ? { bulges: run.pointsMm.map((_, i) => run.bulges?.[i] ?? 0) } : {}),
  };
  return { kind: 'traced', placed: { piece: { ...moved.piece, outline }, holes: moved.holes } };
}

const isClockwise = (points: PolygonOutline['pointsMm']): boolean =>
  points.reduce((sum, [x, y], i) => {
    const [nx = x, ny = y] = points[(i + 1) % points.length] ?? [];
    return sum + x * ny - nx * y;
  }, 0) < 0;

/** The same boundary the other way round: side i of n becomes side n − 2 − i, its bulge turned. */
function reversed({ pointsMm, bulges = [] }: PolygonOutline): PolygonOutline {
  const n = pointsMm.length;
  return {
    kind: 'polygon',
    pointsMm: [...pointsMm].reverse(),
    bulges: pointsMm.map((_, i) => 0 - (bulges[(2 * n - 2 - i) % n] ?? 0)),
  };
}

/** A photograph rescaled about its first marked point, so that two points lie as far apart as measured. */
export function scalePhoto<P extends NonNullable<Piece['photo']>>(
  photo: P,
  first: PointMm,
  second: PointMm,
  trueMm: number,
): P {
  const shownMm = distance(first, second);
  if (shownMm === 0) return photo;
  const k = trueMm / shownMm;
  return {
    ...photo,
    mmPerPx: photo.mmPerPx * k,
    xMm: first.xMm + (photo.xMm - first.xMm) * k,
    yMm: first.yMm + (photo.yMm - first.yMm) * k,
  };
}
