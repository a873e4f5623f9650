import type { Hold } from './choices';

/** sd of ln F: how evenly a person presses. */
export const FORCE_SD = {
  freehand: 0.25,
  guided: 0.15,
  press: 0.08,
  rig: 0.08,
} as const satisfies Record<Hold, number>;
export const RPM_SD = 0.05;
