import type { BoxMm, PointMm } from '@nucleon/core/geometry/outline';

/** How the face lies in its window: px a mm, and where its lower left stands, px from the top left. */
export interface PlanView {
  readonly scale: number;
  readonly left: number;
  readonly bottom: number;
}

/** Room round the piece for its datum distances, px. */
const ROOM_PX = 34;
/** And at its right for the buttons, px. */
const BUTTONS_PX = 30;
const MOST_ZOOM = 60;

/** The whole face in the middle of the window. */
export function fitView({ widthMm, heightMm }: BoxMm, width: number, height: number): PlanView {
  const scale = Math.max(
    1e-3,
    Math.min((width - 2 * ROOM_PX - BUTTONS_PX) / widthMm, (height - 2 * ROOM_PX) / heightMm),
  );
  return {
    scale,
    left: (width - BUTTONS_PX - widthMm * scale) / 2,
    bottom: (height + heightMm * scale) / 2,
  };
}

export const toMm = ({ scale, left, bottom }: PlanView, x: number, y: number): PointMm => ({
  xMm: (x - left) / scale,
  yMm: (bottom - y) / scale,
});

/** Nearer or further about a point of the window, within what is useful. */
export function zoomed(view: PlanView, by: number, x: number, y: number, fit: PlanView): PlanView {
  const scale = Math.min(fit.scale * MOST_ZOOM, Math.max(fit.scale * 0.5, view.scale * by));
  const k = scale / view.scale;
  return { scale, left: x - (x - view.left) * k, bottom: y - (y - view.bottom) * k };
}

export const panned = (view: PlanView, dx: number, dy: number): PlanView => ({
  ...view,
  left: view.left + dx,
  bottom: view.bottom + dy,
});
