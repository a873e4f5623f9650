/** A point in the piece's own plane: origin at the lower left of the bounding box, mm. */
export interface PointMm {
  readonly xMm: number;
  readonly yMm: number;
}

/**
 * The piece seen square on to the face that is drilled. A cylinder or cone is unrolled: x is arc
 * length along the outside (at the larger end of a cone), y is height.
 */
export type Outline =
  | { readonly kind: 'rectangle'; readonly widthMm: number; readonly heightMm: number }
  | { readonly kind: 'circle'; readonly diameterMm: number }
  | { readonly kind: 'polygon'; readonly pointsMm: readonly (readonly [number, number])[] }
  | { readonly kind: 'cylinder'; readonly outerDiameterMm: number; readonly heightMm: number }
  | {
      readonly kind: 'cone';
      readonly bottomDiameterMm: number;
      readonly topDiameterMm: number;
      readonly heightMm: number;
    };

export interface BoxMm {
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Width and height of the (unrolled) outline. */
export function boundingBox(outline: Outline): BoxMm {
  switch (outline.kind) {
    case 'rectangle':
      return { widthMm: outline.widthMm, heightMm: outline.heightMm };
    case 'circle':
      return { widthMm: outline.diameterMm, heightMm: outline.diameterMm };
    case 'cylinder':
      return { widthMm: Math.PI * outline.outerDiameterMm, heightMm: outline.heightMm };
    case 'cone':
      return {
        widthMm: Math.PI * Math.max(outline.bottomDiameterMm, outline.topDiameterMm),
        heightMm: outline.heightMm,
      };
    case 'polygon': {
      const xs = outline.pointsMm.map(([x]) => x);
      const ys = outline.pointsMm.map(([, y]) => y);
      return {
        widthMm: Math.max(...xs) - Math.min(...xs),
        heightMm: Math.max(...ys) - Math.min(...ys),
      };
    }
  }
}

/** Area of the (unrolled) outline, mm². Polygons by the shoelace formula. */
export function outlineArea(outline: Outline): number {
  switch (outline.kind) {
    case 'rectangle':
      return outline.widthMm * outline.heightMm;
    case 'circle':
      return (Math.PI * outline.diameterMm ** 2) / 4;
    case 'cylinder':
      return Math.PI * outline.outerDiameterMm * outline.heightMm;
    case 'cone':
      return (Math.PI * (outline.bottomDiameterMm + outline.topDiameterMm) * outline.heightMm) / 2;
    case 'polygon': {
      let doubled = 0;
      forEachSegment(outline.pointsMm, (ax, ay, bx, by) => {
        doubled += ax * by - bx * ay;
      });
      return Math.abs(doubled) / 2;
    }
  }
}

/** Middle of the bounding box, where a hole is put until it is placed. */
export function outlineCentre(outline: Outline): PointMm {
  const box = boundingBox(outline);
  return { xMm: box.widthMm / 2, yMm: box.heightMm / 2 };
}

/** The face of a vessel that a hole enters; its base is a disc about its own centre. */
export function faceOutline(outline: Outline, face: 'top' | 'side' | 'base'): Outline {
  if (face !== 'base') return outline;
  if (outline.kind === 'cylinder') return { kind: 'circle', diameterMm: outline.outerDiameterMm };
  if (outline.kind === 'cone') return { kind: 'circle', diameterMm: outline.bottomDiameterMm };
  return outline;
}

/**
 * Distance from a point to the nearest free edge, mm; negative outside. On an unrolled cylinder or
 * cone only the rims are edges: there is no edge along the seam.
 */
export function distanceToEdge(outline: Outline, point: PointMm): number {
  switch (outline.kind) {
    case 'rectangle':
      return Math.min(
        point.xMm,
        outline.widthMm - point.xMm,
        point.yMm,
        outline.heightMm - point.yMm,
      );
    case 'circle': {
      const radius = outline.diameterMm / 2;
      return radius - Math.hypot(point.xMm - radius, point.yMm - radius);
    }
    case 'cylinder':
    case 'cone':
      return Math.min(point.yMm, outline.heightMm - point.yMm);
    case 'polygon':
      return polygonDistance(outline.pointsMm, point);
  }
}

function polygonDistance(points: readonly (readonly [number, number])[], at: PointMm): number {
  let nearest = Infinity;
  let crossings = 0;
  forEachSegment(points, (ax, ay, bx, by) => {
    const lengthSquared = (bx - ax) ** 2 + (by - ay) ** 2;
    const along =
      lengthSquared === 0
        ? 0
        : ((at.xMm - ax) * (bx - ax) + (at.yMm - ay) * (by - ay)) / lengthSquared;
    const clamped = Math.min(1, Math.max(0, along));
    nearest = Math.min(
      nearest,
      Math.hypot(at.xMm - ax - clamped * (bx - ax), at.yMm - ay - clamped * (by - ay)),
    );
    // Even–odd ray casting to the right of the point.
    const crosses = ay > at.yMm !== by > at.yMm;
    if (crosses && at.xMm < ((bx - ax) * (at.yMm - ay)) / (by - ay) + ax) crossings += 1;
  });
  return crossings % 2 === 1 ? nearest : -nearest;
}

function forEachSegment(
  points: readonly (readonly [number, number])[],
  visit: (ax: number, ay: number, bx: number, by: number) => void,
): void {
  points.forEach(([ax, ay], index) => {
    const next = points[(index + 1) % points.length];
    if (next) visit(ax, ay, next[0], next[1]);
  });
}
