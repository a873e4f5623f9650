import type { BoxMm, PointMm } from '@nucleon/core/layout/outline';

/** How a face lies in its drawing: px a mm, and where its lower left stands, px from the drawing's top left. */
export interface FaceView {
  readonly scale: number;
  readonly left: number;
  readonly bottom: number;
}

/** A drawing, px, and the room kept free at each of its sides and besides at its right. */
export interface Sheet {
  readonly width: number;
  readonly height: number;
  readonly room: number;
  readonly right?: number;
}

const MIN_SCALE = 1e-3;

/** The whole face as large as the drawing allows, in its middle. */
export function fitFace(
  { widthMm, heightMm }: BoxMm,
  { width, height, room, right = 0 }: Sheet,
): FaceView {
  const scale = Math.max(
    MIN_SCALE,
    Math.min((width - 2 * room - right) / widthMm, (height - 2 * room) / heightMm),
  );
  return {
    scale,
    left: (width - right - widthMm * scale) / 2,
    bottom: (height + heightMm * scale) / 2,
  };
}

export const xOf = ({ left, scale }: FaceView, mm: number): number => left + mm * scale;
export const yOf = ({ bottom, scale }: FaceView, mm: number): number => bottom - mm * scale;

/** The point of the face under a point of the drawing. */
export const pointAt = ({ scale, left, bottom }: FaceView, x: number, y: number): PointMm => ({
  xMm: (x - left) / scale,
  yMm: (bottom - y) / scale,
});
