import { distanceToEdge, faceOutline, outlineCentre, type PointMm } from './outline';
import type { Outline } from '../documents/outline';
import type { Hole } from '../documents/hole';

/** Another hole is first put this many diameters from its neighbours. */
const CLEAR_DIAMETERS = 2.5;

/**
 * Where one more hole like the last may stand: beside it, clear of edges and of the others; the
 * last one's own place when nothing near is free. Coordinates as the face's holes have them.
 */
export function nextHolePlace(
  outline: Outline,
  holes: readonly Pick<Hole, 'xMm' | 'yMm' | 'diameterMm' | 'face'>[],
): PointMm {
  const last = holes.at(-1);
  if (!last) return outlineCentre(outline);
  const face = faceOutline(outline, last.face ?? 'top');
  const shift = last.face === 'base' && face.kind === 'circle' ? face.diameterMm / 2 : 0;
  const step = CLEAR_DIAMETERS * last.diameterMm;
  const places = [1, 2, 3].flatMap((times) =>
    [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ].map(([dx = 0, dy = 0]) => ({
      xMm: last.xMm + dx * times * step,
      yMm: last.yMm + dy * times * step,
    })),
  );
  const isFree = (place: PointMm): boolean =>
    distanceToEdge(face, { xMm: place.xMm + shift, yMm: place.yMm + shift }) >= last.diameterMm &&
    holes.every((hole) => Math.hypot(hole.xMm - place.xMm, hole.yMm - place.yMm) >= step * 0.99);
  return places.find(isFree) ?? { xMm: last.xMm, yMm: last.yMm };
}
