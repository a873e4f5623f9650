import type { BoxMm } from '@nucleon/core/layout/outline';
import { fitFace, type FaceView } from '../../drawing/faceView';

/** Room round the piece for its datum distances, px. */
const ROOM_PX = 34;
/** And at its right for the buttons, px. */
const BUTTONS_PX = 30;
const MAX_ZOOM = 60;

/** The whole face in the middle of the window. */
export const fitView = (box: BoxMm, width: number, height: number): FaceView =>
  fitFace(box, { width, height, room: ROOM_PX, right: BUTTONS_PX });

/** Nearer or further about a point of the window, within what is useful. */
export function zoomed(view: FaceView, by: number, x: number, y: number, fit: FaceView): FaceView {
  const scale = Math.min(fit.scale * MAX_ZOOM, Math.max(fit.scale * 0.5, view.scale * by));
  const k = scale / view.scale;
  return { scale, left: x - (x - view.left) * k, bottom: y - (y - view.bottom) * k };
}

export const panned = (view: FaceView, dx: number, dy: number): FaceView => ({
  ...view,
  left: view.left + dx,
  bottom: view.bottom + dy,
});
