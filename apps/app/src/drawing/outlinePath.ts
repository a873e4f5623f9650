import { arcOf } from '@nucleon/core/math/arc';
import { boundingBox, polygonSides } from '@nucleon/core/layout/outline';
import type { Outline } from '@nucleon/core/documents/outline';

interface To {
  readonly X: (mm: number) => number;
  readonly Y: (mm: number) => number;
  readonly scale: number;
}

/** An outline as path data, y down as the screen has it; an unrolled wall is a rectangle. */
export function outlinePath(outline: Outline, { X, Y, scale }: To): string {
  if (outline.kind === 'circle') {
    const r = outline.diameterMm / 2;
    const px = r * scale;
    return `M ${X(0)} ${Y(r)} A ${px} ${px} 0 1 0 ${X(2 * r)} ${Y(r)} A ${px} ${px} 0 1 0 ${X(0)} ${Y(r)} Z`;
  }
  if (outline.kind === 'polygon') {
    const sides = polygonSides(outline);
    const [first] = sides;
    const along = sides.map((side) => {
      const { xMm, yMm } = side.b;
      const arc = arcOf(side);
      if (!arc) return `L ${X(xMm)} ${Y(yMm)}`;
      const r = arc.radiusMm * scale;
      const large = Math.abs(arc.turnRad) > Math.PI ? 1 : 0;
      return `A ${r} ${r} 0 ${large} ${side.bulge > 0 ? 0 : 1} ${X(xMm)} ${Y(yMm)}`;
    });
    return `M ${X(first?.a.xMm ?? 0)} ${Y(first?.a.yMm ?? 0)} ${along.join(' ')} Z`;
  }
  const { widthMm, heightMm } = boundingBox(outline);
  return `M ${X(0)} ${Y(0)} H ${X(widthMm)} V ${Y(heightMm)} H ${X(0)} Z`;
}
