import type { BoxMm } from '@nucleon/core/layout/outline';
import { fitFace, type FaceView } from '../../drawing/faceView';

/** The face in a drawing that is no taller than it. */
export interface HeldView extends FaceView {
  /** Of the drawing, px. */
  readonly height: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

const ROOM_PX = 14;

/** The whole face as large as the width allows, no taller than this. */
export function heldView(box: BoxMm, width: number, tallest: number): HeldView {
  const { scale } = fitFace(box, { width, height: tallest, room: ROOM_PX });
  const height = box.heightMm * scale + 2 * ROOM_PX;
  return { ...fitFace(box, { width, height, room: ROOM_PX }), ...box, height };
}
