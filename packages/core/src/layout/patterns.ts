import type { PointMm } from './outline';

/** Holes set out together. Lengths mm, angles degrees counter-clockwise from the right. */
export type Pattern =
  | {
      readonly kind: 'row';
      readonly count: number;
      readonly pitchMm: number;
      readonly angleDeg: number;
    }
  | {
      readonly kind: 'grid';
      readonly columns: number;
      readonly rows: number;
      readonly pitchXMm: number;
      readonly pitchYMm: number;
    }
  | {
      readonly kind: 'circle';
      readonly count: number;
      readonly diameterMm: number;
      readonly startDeg: number;
    };
export type PatternKind = Pattern['kind'];

const RAD = Math.PI / 180;

/** Most holes one pattern makes: what a piece is drawn and judged with at a steady pace. */
export const MAX_IN_PATTERN = 400;

/**
 * Middles of a pattern's holes. A row and a grid start at the given place and run right and up; a
 * circle is drawn about it.
 */
export function patternPlaces(pattern: Pattern, from: PointMm): readonly PointMm[] {
  switch (pattern.kind) {
    case 'row': {
      const { count, pitchMm, angleDeg } = pattern;
      return Array.from({ length: count }, (_, i) => ({
        xMm: from.xMm + i * pitchMm * Math.cos(angleDeg * RAD),
        yMm: from.yMm + i * pitchMm * Math.sin(angleDeg * RAD),
      }));
    }
    case 'grid': {
      const { columns, rows, pitchXMm, pitchYMm } = pattern;
      return Array.from({ length: columns * rows }, (_, i) => ({
        xMm: from.xMm + (i % columns) * pitchXMm,
        yMm: from.yMm + Math.floor(i / columns) * pitchYMm,
      }));
    }
    case 'circle': {
      const { count, diameterMm, startDeg } = pattern;
      return Array.from({ length: count }, (_, i) => ({
        xMm: from.xMm + (diameterMm / 2) * Math.cos((startDeg + (360 * i) / count) * RAD),
        yMm: from.yMm + (diameterMm / 2) * Math.sin((startDeg + (360 * i) / count) * RAD),
      }));
    }
  }
}

/** The same place seen in a mirror that stands on the box's upright or level centre line. */
export const mirrored = (
  { xMm, yMm }: PointMm,
  box: { readonly widthMm: number; readonly heightMm: number },
  across: 'upright' | 'level',
): PointMm =>
  across === 'upright' ? { xMm: box.widthMm - xMm, yMm } : { xMm, yMm: box.heightMm - yMm };

/** The same places spread evenly between the first and the last of them along one direction. */
export function evenlySpread(places: readonly PointMm[], along: 'x' | 'y'): readonly PointMm[] {
  const key = along === 'x' ? 'xMm' : 'yMm';
  const order = places.map((_, index) => index).sort((a, b) => value(a) - value(b));
  function value(index: number): number {
    return places[index]?.[key] ?? 0;
  }
  const [first = 0, last = 0] = [order[0], order.at(-1)];
  const step = (value(last) - value(first)) / Math.max(1, places.length - 1);
  return places.map((place, index) => ({
    ...place,
    [key]: value(first) + step * order.indexOf(index),
  }));
}
