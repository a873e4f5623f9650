/** How far off true each way of steering leans, degrees. */
export const AIM_DEG = { freehand: 2, level: 1, laser: 0.4, press: 0.3, rig: 0.2 } as const;
export type Aim = keyof typeof AIM_DEG;

/** The two sides of a hole are marked this well against each other, mm. */
const MARKING_MM = 0.5;

const tanDeg = (deg: number): number => Math.tan((deg * Math.PI) / 180);

/** Drift at the far end, mm: depth × tan(angle). */
export const exitOffset = (depthMm: number, aim: Aim): number => depthMm * tanDeg(AIM_DEG[aim]);

/** Step where a hole met from both sides comes together, mm: √2 × offset of each half + marking. */
export const twoSidedMismatch = (depthMm: number, aim: Aim): number =>
  Math.SQRT2 * exitOffset(depthMm / 2, aim) + MARKING_MM;
