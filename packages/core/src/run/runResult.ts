import type { BitState } from '../job/kit';
import { BIT_STATES } from '../job/kit';

export const CRACK_SIGHTS = ['none', 'hairline', 'broken'] as const;
export const PART_FITS = ['fits', 'tight', 'loose', 'not-tried'] as const;
export const VERDICTS = ['fine', 'usable', 'spoiled'] as const;
export type CrackSight = (typeof CRACK_SIGHTS)[number];
export type PartFit = (typeof PART_FITS)[number];
export type Verdict = (typeof VERDICTS)[number];
export { BIT_STATES };

/** What was found when the hole was cleaned and looked at. All lengths mm; left out where not measured. */
export interface RunResult {
  readonly verdict: Verdict;
  readonly crack: CrackSight;
  readonly entryDiameterMm?: number;
  readonly exitDiameterMm?: number;
  /** How far the middle sits right of, and above, where it was meant. */
  readonly offXMm?: number;
  readonly offYMm?: number;
  /** How far the exit sits from under the entry. */
  readonly leanMm?: number;
  /** Widest chip at each face, by comparison with drawn sizes. */
  readonly entryChipMm?: number;
  readonly exitChipMm?: number;
  readonly partFit?: PartFit;
  readonly bitState?: BitState;
  readonly photoIds?: readonly string[];
  readonly note?: string;
}

/** Widths drawn life-size to hold beside a chip, mm. */
export const CHIP_SIZES_MM = [0, 0.3, 0.6, 1, 2, 3] as const;
