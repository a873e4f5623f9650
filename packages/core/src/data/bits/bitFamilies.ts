import type { Shank } from '../couplings/shank';
import { type Material } from '../materials/material';
import { hasTrait } from '../materials/traits';
import type { AbrasiveId } from './abrasives';

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
  /** c: gap beside the rim that fines rise through, mm a side. */
  readonly clearancePerSideMm: number;
  /** How its grains are held: sets specific energy and life. */
  readonly abrasive: AbrasiveId;
  /** Made for dry: never in glass all the same, unless it is no diamond. */
  readonly mayRunDry: boolean;
  /** Made for dry tile: carbide, or diamond that cools itself there. */
  readonly dryInTile: boolean;
  /** Water ruins it or what it leaves: never wet. */
  readonly dryOnly: boolean;
  /** Stands a machine's hammer; diamond never does. */
  readonly takesHammer: boolean;
  /** What it is any use on. */
  readonly suits: (material: Pick<Material, 'class' | 'traits'>) => boolean;
  /** The shank a bit of this size usually comes with. */
  readonly shank: (diameterMm: number) => Shank;
  /** h at the rim when it runs dry with a coolant of its own inside, W/(m²·K). */
  readonly ownCoolingWPerM2K?: number;
  readonly note: string;
  /** Rough price of a small and of a large one, in one's own money, until it is entered. */
  readonly priceMoney: readonly [number, number];
  /** Sizes that are easily had, mm: what quick entry offers. */
  readonly sizesMm: readonly number[];
}

const PLATED_GAP = 0.1;
const SEGMENTED_GAP = 0.25;

const round = (sizeMm: number): Shank => ({ kind: 'round', sizeMm });
const QUARTER_INCH_HEX: Shank = { kind: 'hex', sizeMm: 6.35 };
/** Above this a sintered core comes with a thread rather than a shank, mm. */
const LARGEST_SHANKED_CORE_MM = 30;
/** Above this a masonry core needs the heavy thread, mm. */
const LARGEST_LIGHT_THREAD_MM = 132;
/** Small tile cores come on a shank for a drill's chuck, mm. */
const LARGEST_SHANKED_TILE_CORE_MM = 16;
/** A masonry bit's shank is as thick as the bit, up to what chucks take, mm. */
const LARGEST_ROUND_SHANK_MM = 13;
const masonryThread = (D: number): Shank => ({
  kind: D <= LARGEST_LIGHT_THREAD_MM ? 'thread-g-half' : 'thread-1-1-4',
});

/** Thin wet cups are used up in walls, hole by hole, but they do cut. */
const ANYTHING = (): boolean => true;
const NOT_MASONRY = ({ class: kind }: Pick<Material, 'class'>): boolean => kind !== 'masonry';

// prettier-ignore
export const BIT_FAMILIES = {
  'plated-point': { name: 'Plated point', solid: true, diameterMm: [0.8, 3], rimWidthMm: [0.4, 1.5], coverage: 1, pressureFactor: 3.5, speedFactor: 1, usableDepthMm: [10, 25], clearancePerSideMm: PLATED_GAP, abrasive: 'plated', mayRunDry: false, dryInTile: false, dryOnly: false, takesHammer: false, suits: NOT_MASONRY, shank: () => round(2.35), note: 'It bends, and its centre has no speed: let it find its way.', priceMoney: [2, 3], sizesMm: [1, 1.5, 2, 2.5, 3] },
  'sintered-rod': { name: 'Sintered or plated rod', solid: true, diameterMm: [3, 8], rimWidthMm: [1.5, 4], coverage: 1, pressureFactor: 2, speedFactor: 1, usableDepthMm: [30, 30], clearancePerSideMm: PLATED_GAP, abrasive: 'impregnated', mayRunDry: false, dryInTile: false, dryOnly: false, takesHammer: false, suits: ANYTHING, shank: (D) => round(D <= 4 ? 3 : 6), note: 'For opening a hole in steps.', priceMoney: [5, 9], sizesMm: [3, 4, 5, 6, 8] },
  'plated-tube': { name: 'Thin plated tube', solid: false, diameterMm: [2, 12], rimWidthMm: [0.4, 0.8], coverage: 1, pressureFactor: 1.6, speedFactor: 1, usableDepthMm: [10, 40], clearancePerSideMm: PLATED_GAP, abrasive: 'plated', mayRunDry: false, dryInTile: false, dryOnly: false, takesHammer: false, suits: NOT_MASONRY, shank: (D) => round(D <= 3 ? 2.35 : 6), note: 'The core stays inside: clear it after each hole.', priceMoney: [3, 8], sizesMm: [2, 3, 4, 5, 6, 8, 10] },
  'plated-cup-saw': { name: 'Plated cup saw', solid: false, diameterMm: [6, 120], rimWidthMm: [1.0, 1.2], coverage: 1, pressureFactor: 1, speedFactor: 1, usableDepthMm: [20, 60], clearancePerSideMm: PLATED_GAP, abrasive: 'plated', mayRunDry: false, dryInTile: false, dryOnly: false, takesHammer: false, suits: ANYTHING, shank: (D) => round(D <= 14 ? 6 : 10), note: 'Check that the shank is central: spin it and watch the rim.', priceMoney: [4, 30], sizesMm: [6, 8, 10, 12, 16, 20, 25, 28, 32, 35, 40, 50, 60, 68] },
  'sintered-core': { name: 'Sintered core', solid: false, diameterMm: [3, 80], rimWidthMm: [1.0, 1.5], coverage: 1, pressureFactor: 1.3, speedFactor: 1, usableDepthMm: [40, 100], clearancePerSideMm: PLATED_GAP, abrasive: 'sintered', mayRunDry: false, dryInTile: false, dryOnly: false, takesHammer: false, suits: ANYTHING, shank: (D) => (D <= LARGEST_SHANKED_CORE_MM ? round(10) : { kind: 'thread-g-half' }), note: 'Takes water through the spindle; dress it when it slows.', priceMoney: [15, 120], sizesMm: [4, 6, 8, 10, 12, 16, 20, 25, 35, 50] },
  'brazed-tile-core': { name: 'Brazed tile core', solid: false, diameterMm: [6, 120], rimWidthMm: [2.0, 2.5], coverage: 0.85, pressureFactor: 1.3, speedFactor: 1.8, usableDepthMm: [30, 45], clearancePerSideMm: PLATED_GAP, abrasive: 'brazed', mayRunDry: false, dryInTile: false, dryOnly: false, takesHammer: false, suits: ANYTHING, shank: (D) => (D <= LARGEST_SHANKED_TILE_CORE_MM ? round(10) : { kind: 'thread-m14' }), note: 'Start it tilted and stand it up.', priceMoney: [12, 60], sizesMm: [6, 8, 10, 20, 25, 28, 35, 51, 68] },
  'segmented-core': { name: 'Segmented masonry core', solid: false, diameterMm: [28, 300], rimWidthMm: [3, 4], coverage: 0.5, pressureFactor: 1.4, speedFactor: 1, usableDepthMm: [150, 450], clearancePerSideMm: SEGMENTED_GAP, abrasive: 'segmented', mayRunDry: true, dryInTile: false, dryOnly: false, takesHammer: false, suits: ({ class: kind }) => kind === 'masonry' || kind === 'stone', shank: masonryThread, note: 'Look at the thread and the adapter before you climb.', priceMoney: [50, 220], sizesMm: [38, 52, 65, 78, 102, 117, 127, 152] },
  'grinder-core': { name: 'Grinder core', solid: false, diameterMm: [6, 120], rimWidthMm: [2.0, 2.5], coverage: 0.85, pressureFactor: 1, speedFactor: 5, usableDepthMm: [30, 60], clearancePerSideMm: PLATED_GAP, abrasive: 'brazed', mayRunDry: true, dryInTile: true, dryOnly: false, takesHammer: false, suits: ({ class: kind }) => kind !== 'glass', shank: () => ({ kind: 'thread-m14' }), note: 'Brazed, on the grinder’s own thread: start it tilted, rock it, keep both hands on.', priceMoney: [10, 50], sizesMm: [6, 8, 10, 20, 28, 35, 51, 68] },
  'dry-tile-core': { name: 'Wax-filled tile core', solid: false, diameterMm: [5, 14], rimWidthMm: [1.5, 2.0], coverage: 0.85, pressureFactor: 1.3, speedFactor: 3, usableDepthMm: [25, 35], clearancePerSideMm: PLATED_GAP, abrasive: 'brazed', mayRunDry: true, dryInTile: true, dryOnly: true, takesHammer: false, suits: (material) => hasTrait(material, 'tile'), shank: () => QUARTER_INCH_HEX, ownCoolingWPerM2K: 1200, note: 'The wax inside melts and cools it: half a minute at a time, then let it set.', priceMoney: [8, 18], sizesMm: [6, 8, 10, 12] },
  'dry-segmented-core': { name: 'Dry segmented core', solid: false, diameterMm: [28, 200], rimWidthMm: [3, 4], coverage: 0.5, pressureFactor: 1.2, speedFactor: 1.3, usableDepthMm: [150, 300], clearancePerSideMm: SEGMENTED_GAP, abrasive: 'segmented', mayRunDry: true, dryInTile: false, dryOnly: true, takesHammer: false, suits: ({ class: kind }) => kind === 'masonry', shank: masonryThread, note: 'For brick and block with extraction; let it out of the hole to cool.', priceMoney: [40, 160], sizesMm: [38, 52, 65, 78, 107, 117, 127, 152] },
  'masonry-bit': { name: 'Masonry bit', solid: true, diameterMm: [4, 25], rimWidthMm: [2, 12.5], coverage: 1, pressureFactor: 2, speedFactor: 0.7, usableDepthMm: [80, 400], clearancePerSideMm: SEGMENTED_GAP, abrasive: 'carbide', mayRunDry: true, dryInTile: true, dryOnly: true, takesHammer: true, suits: (material) => material.class === 'masonry' && !hasTrait(material, 'steel'), shank: (D) => round(Math.min(D, LARGEST_ROUND_SHANK_MM)), note: 'Not diamond: brick, block and mortar, turning only where a face must not spall.', priceMoney: [3, 20], sizesMm: [5, 6, 8, 10, 12, 16, 20] },
  'carbide-spear': { name: 'Carbide spear', solid: true, diameterMm: [3, 12], rimWidthMm: [1.5, 6], coverage: 1, pressureFactor: 3, speedFactor: 1, usableDepthMm: [50, 50], clearancePerSideMm: PLATED_GAP, abrasive: 'carbide', mayRunDry: true, dryInTile: true, dryOnly: false, takesHammer: false, suits: (material) => hasTrait(material, 'soft-body'), shank: () => QUARTER_INCH_HEX, note: 'Not diamond: for soft-bodied wall tile only, a few holes each.', priceMoney: [2, 5], sizesMm: [4, 5, 6, 8, 10] },
} as const satisfies Record<string, BitFamily>;

export type BitFamilyId = keyof typeof BIT_FAMILIES;
export const BIT_FAMILY_IDS = Object.keys(BIT_FAMILIES) as readonly BitFamilyId[];
