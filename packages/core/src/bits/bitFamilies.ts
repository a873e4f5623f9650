/** What bits of one make have in common. Ranges run from the smallest size to the largest. */
export interface BitFamily {
  readonly name: string;
  /** Grinds the whole disc rather than a ring. */
  readonly solid: boolean;
  readonly diameterMm: readonly [number, number];
  /** w, mm, smallest to largest bit; a solid bit's rim is its radius. */
  readonly rimWidthMm: readonly [number, number];
  /** φ: share of the rim that is diamond. */
  readonly coverage: number;
  /** f: multiplies the material's pressure window. */
  readonly pressureFactor: number;
  /** Multiplies the material's speed window. */
  readonly speedFactor: number;
  readonly usableDepthMm: readonly [number, number];
  /** Depth cut in its best material until the rim is spent, m. */
  readonly lifeDepthM: readonly [number, number];
  /** c: gap beside the rim that fines rise through, mm a side. */
  readonly clearancePerSideMm: number;
  /** Plated diamond is one layer: it goes bald, and hard bodies shorten its life. */
  readonly plated: boolean;
  /** The maker's dry use is allowed in masonry. */
  readonly mayRunDry: boolean;
  readonly note: string;
  /** Rough price of a small and of a large one, in one's own money, until it is entered. */
  readonly priceMoney: readonly [number, number];
  /** Sizes that are easily had, mm: what quick entry offers. */
  readonly sizesMm: readonly number[];
}

const PLATED_GAP = 0.1;
const SEGMENTED_GAP = 0.25;

// prettier-ignore
export const BIT_FAMILIES = {
  'plated-point': { name: 'Plated point', solid: true, diameterMm: [0.8, 3], rimWidthMm: [0.4, 1.5], coverage: 1, pressureFactor: 3.5, speedFactor: 1, usableDepthMm: [10, 25], lifeDepthM: [0.15, 0.4], clearancePerSideMm: PLATED_GAP, plated: true, mayRunDry: false, note: 'It bends, and its centre has no speed: let it find its way.', priceMoney: [2, 3], sizesMm: [1, 1.5, 2, 2.5, 3] },
  'sintered-rod': { name: 'Sintered or plated rod', solid: true, diameterMm: [3, 8], rimWidthMm: [1.5, 4], coverage: 1, pressureFactor: 2, speedFactor: 1, usableDepthMm: [30, 30], lifeDepthM: [0.4, 0.4], clearancePerSideMm: PLATED_GAP, plated: false, mayRunDry: false, note: 'For opening a hole in steps.', priceMoney: [5, 9], sizesMm: [3, 4, 5, 6, 8] },
  'plated-tube': { name: 'Thin plated tube', solid: false, diameterMm: [2, 12], rimWidthMm: [0.4, 0.8], coverage: 1, pressureFactor: 1.6, speedFactor: 1, usableDepthMm: [10, 40], lifeDepthM: [0.2, 0.6], clearancePerSideMm: PLATED_GAP, plated: true, mayRunDry: false, note: 'The core stays inside: clear it after each hole.', priceMoney: [3, 8], sizesMm: [2, 3, 4, 5, 6, 8, 10] },
  'plated-cup-saw': { name: 'Plated cup saw', solid: false, diameterMm: [6, 120], rimWidthMm: [1.0, 1.2], coverage: 1, pressureFactor: 1, speedFactor: 1, usableDepthMm: [20, 60], lifeDepthM: [0.15, 0.5], clearancePerSideMm: PLATED_GAP, plated: true, mayRunDry: false, note: 'Check that the shank is central: spin it and watch the rim.', priceMoney: [4, 30], sizesMm: [6, 8, 10, 12, 16, 20, 25, 28, 32, 35, 40, 50, 60, 68] },
  'sintered-core': { name: 'Sintered core', solid: false, diameterMm: [3, 80], rimWidthMm: [1.0, 1.5], coverage: 1, pressureFactor: 1.3, speedFactor: 1, usableDepthMm: [40, 100], lifeDepthM: [6, 20], clearancePerSideMm: PLATED_GAP, plated: false, mayRunDry: false, note: 'Takes water through the spindle; dress it when it slows.', priceMoney: [15, 120], sizesMm: [4, 6, 8, 10, 12, 16, 20, 25, 35, 50] },
  'brazed-tile-core': { name: 'Brazed tile core', solid: false, diameterMm: [6, 120], rimWidthMm: [2.0, 2.5], coverage: 0.85, pressureFactor: 1, speedFactor: 1.8, usableDepthMm: [30, 45], lifeDepthM: [0.3, 1], clearancePerSideMm: PLATED_GAP, plated: false, mayRunDry: false, note: 'Start it tilted and stand it up.', priceMoney: [12, 60], sizesMm: [6, 8, 10, 20, 25, 28, 35, 51, 68] },
  'segmented-core': { name: 'Segmented masonry core', solid: false, diameterMm: [28, 300], rimWidthMm: [3, 4], coverage: 0.5, pressureFactor: 1.4, speedFactor: 1, usableDepthMm: [150, 450], lifeDepthM: [8, 25], clearancePerSideMm: SEGMENTED_GAP, plated: false, mayRunDry: true, note: 'Look at the thread and the adapter before you climb.', priceMoney: [50, 220], sizesMm: [38, 52, 65, 78, 102, 117, 127, 152] },
  'carbide-spear': { name: 'Carbide spear', solid: true, diameterMm: [3, 12], rimWidthMm: [1.5, 6], coverage: 1, pressureFactor: 3, speedFactor: 1, usableDepthMm: [50, 50], lifeDepthM: [0.03, 0.1], clearancePerSideMm: PLATED_GAP, plated: false, mayRunDry: false, note: 'Not diamond: for soft-bodied wall tile only, a few holes each.', priceMoney: [2, 5], sizesMm: [4, 5, 6, 8, 10] },
} as const satisfies Record<string, BitFamily>;

export type BitFamilyId = keyof typeof BIT_FAMILIES;
export const BIT_FAMILY_IDS = Object.keys(BIT_FAMILIES) as readonly BitFamilyId[];
