import type { PointMm } from '@nucleon/core/layout/outline';
import type { KeepOffShape } from '@nucleon/core/documents/piece';

const settled = (mm: number): number => Math.round(mm * 10) / 10;

/** What a drag across the face draws: a round about where it began, a box, or a line. */
export function shapeBetween(
  kind: KeepOffShape['kind'],
  { from, to }: { readonly from: PointMm; readonly to: PointMm },
): KeepOffShape | null {
  const [dx, dy] = [to.xMm - from.xMm, to.yMm - from.yMm];
  if (Math.hypot(dx, dy) < 1) return null;
  switch (kind) {
    case 'circle':
      return {
        kind,
        xMm: settled(from.xMm),
        yMm: settled(from.yMm),
        diameterMm: settled(2 * Math.hypot(dx, dy)),
      };
    case 'rectangle':
      return Math.min(Math.abs(dx), Math.abs(dy)) < 1
        ? null
        : {
            kind,
            xMm: settled(Math.min(from.xMm, to.xMm)),
            yMm: settled(Math.min(from.yMm, to.yMm)),
            widthMm: settled(Math.abs(dx)),
            heightMm: settled(Math.abs(dy)),
          };
    case 'line':
      return {
        kind,
        pointsMm: [
          [settled(from.xMm), settled(from.yMm)],
          [settled(to.xMm), settled(to.yMm)],
        ],
      };
  }
}
