/** How the bit is steered. */
export const HOLDS = ['freehand', 'guided', 'press', 'rig'] as const;
export type Hold = (typeof HOLDS)[number];

/** How the first half-millimetre is won. */
export const STARTS = ['tilt', 'guide', 'tape', 'seat', 'pilot'] as const;
export type Start = (typeof STARTS)[number];

export const PACES = ['gentle', 'steady', 'brisk'] as const;
export type Pace = (typeof PACES)[number];
