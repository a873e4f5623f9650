import type { Hole, HoleDepth } from './hole';
import type { Reason } from './reason';

export interface DiameterRange {
  readonly targetMm: number;
  readonly leastMm: number;
  readonly mostMm: number;
}

/** Another number the part needs: a tube's length, a grout volume. The key carries the unit. */
export interface FitResult {
  readonly key: string;
  readonly label: string;
  readonly value: number;
  readonly text: string;
}

/** Something to do for the part, before the drilling or after it. */
export interface FollowUp {
  readonly when: 'before' | 'after';
  readonly title: string;
  readonly detail: string;
}

export const CAUTION_CODES = [
  'closes-in-the-kiln',
  'goes-right-through',
  'hole-near-edge',
  'many-holes',
  'no-chip-hidden',
  'reaches-past-tile',
  'steep-fall',
  'thin-left',
  'tight-bore',
] as const;
export type CautionCode = (typeof CAUTION_CODES)[number];

export interface Caution {
  readonly code: CautionCode;
  readonly message: string;
}

/** From the part to the hole: what the hole must be, what it hides, and what follows. */
export interface Fit {
  readonly diameter: DiameterRange;
  readonly depth: HoleDepth;
  readonly fall?: NonNullable<Hole['fall']>;
  /** Behind the face, in another leaf, the hole is of another width, mm. */
  readonly behindMm?: number;
  /** What hangs in it is cut by a sharp rim: both are eased. */
  readonly easesEdges?: true;
  /** Its wall is roughened for grout to hold on. */
  readonly roughensWall?: true;
  /** Width of edge chips that the finished work hides, mm, play and seal taken off; null: nothing covers it. */
  readonly coverMm: number | null;
  /** How far off its mark the hole may sit, mm; null where the part does not care. */
  readonly toleranceMm: number | null;
  readonly reason: Reason;
  readonly results: readonly FitResult[];
  readonly followUps: readonly FollowUp[];
  readonly cautions: readonly Caution[];
}
