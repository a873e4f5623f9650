import type { HazardCode } from './judgeHazards';

/** Hazards of water, power and running without: shown where the water is planned. */
const WET: readonly HazardCode[] = ['dry-glass', 'mains-and-water', 'dust', 'slurry', 'hot-piece'];
export const WET_GATES: ReadonlySet<string> = new Set(WET);
