import { distanceToEdge, faceOutline, type Outline, type PointMm } from '../geometry/outline';
import type { Hole } from '../job/job';

export type PlacedHole = Pick<Hole, 'id' | 'xMm' | 'yMm' | 'diameterMm' | 'face'>;

/** A hole's middle in its face's own coordinates: a round base is measured from its centre. */
export function middleOf(outline: Outline, hole: PlacedHole): PointMm {
  const face = faceOutline(outline, hole.face ?? 'top');
  const shift = hole.face === 'base' && face.kind === 'circle' ? face.diameterMm / 2 : 0;
  return { xMm: hole.xMm + shift, yMm: hole.yMm + shift };
}

/** Corners of an outline; round and unrolled ones have none. */
export function cornersOf(outline: Outline): readonly PointMm[] {
  switch (outline.kind) {
    case 'rectangle': {
      const { widthMm: w, heightMm: h } = outline;
      return [
        [0, 0],
        [w, 0],
        [w, h],
        [0, h],
      ].map(([xMm = 0, yMm = 0]) => ({ xMm, yMm }));
    }
    case 'polygon':
      return outline.pointsMm.map(([xMm, yMm]) => ({ xMm, yMm }));
    case 'circle':
    case 'cylinder':
    case 'cone':
      return [];
  }
}

/** Hole's edge to the piece's nearest edge, mm; negative where it runs over it. */
export const clearToEdge = (outline: Outline, hole: PlacedHole): number =>
  distanceToEdge(faceOutline(outline, hole.face ?? 'top'), middleOf(outline, hole)) -
  hole.diameterMm / 2;

/** Hole's edge to the nearest corner, mm; null where there are none. */
export function clearToCorner(outline: Outline, hole: PlacedHole): number | null {
  const at = middleOf(outline, hole);
  const corners = cornersOf(faceOutline(outline, hole.face ?? 'top'));
  if (corners.length === 0) return null;
  const nearest = Math.min(
    ...corners.map((corner) => Math.hypot(corner.xMm - at.xMm, corner.yMm - at.yMm)),
  );
  return nearest - hole.diameterMm / 2;
}

/**
 * Hole's edge to the nearest other hole's edge on the same face, mm; null where it stands alone.
 * On an unrolled cylinder or cone the way round the seam counts too.
 */
export function clearToHole(
  outline: Outline,
  hole: PlacedHole,
  others: readonly PlacedHole[],
): number | null {
  const face = hole.face ?? 'top';
  const at = middleOf(outline, hole);
  const round = roundOf(faceOutline(outline, face));
  const distances = others
    .filter((other) => other.id !== hole.id && (other.face ?? 'top') === face)
    .map((other) => {
      const to = middleOf(outline, other);
      const across = Math.abs(to.xMm - at.xMm);
      const dx = round === null ? across : Math.min(across % round, round - (across % round));
      return Math.hypot(dx, to.yMm - at.yMm) - (hole.diameterMm + other.diameterMm) / 2;
    });
  return distances.length === 0 ? null : Math.min(...distances);
}

/** Length once round an unrolled outline, mm. */
function roundOf(outline: Outline): number | null {
  if (outline.kind === 'cylinder') return Math.PI * outline.outerDiameterMm;
  return outline.kind === 'cone'
    ? Math.PI * Math.max(outline.bottomDiameterMm, outline.topDiameterMm)
    : null;
}
