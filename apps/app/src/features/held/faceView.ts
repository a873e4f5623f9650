import type { BoxMm, PointMm } from '@nucleon/core/geometry/outline';

/** How the face lies in its drawing: px a mm, and where its lower left stands, px from the top left. */
export interface FaceView {
  readonly scale: number;
  readonly left: number;
  readonly bottom: number;
  /** Of the drawing, px. */
  readonly height: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

const ROOM_PX = 14;

/** The whole face as large as the width allows, no taller than this. */
export function faceView({ widthMm, heightMm }: BoxMm, width: number, tallest: number): FaceView {
  const scale = Math.min((width - 2 * ROOM_PX) / widthMm, (tallest - 2 * ROOM_PX) / heightMm);
  const height = heightMm * scale + 2 * ROOM_PX;
  return {
    scale,
    left: (width - widthMm * scale) / 2,
    bottom: height - ROOM_PX,
    height,
    widthMm,
    heightMm,
  };
}

export const xOf = ({ left, scale }: FaceView, mm: number): number => left + mm * scale;
export const yOf = ({ bottom, scale }: FaceView, mm: number): number => bottom - mm * scale;

export const pointAt = (view: FaceView, x: number, y: number): PointMm => ({
  xMm: (x - view.left) / view.scale,
  yMm: (view.bottom - y) / view.scale,
});
