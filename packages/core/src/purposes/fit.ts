import type { Drawing } from '../drawing/primitives';
import type { Fault } from '../job/fault';
import type { Hole, HoleDepth } from '../documents/hole';
import type { Reason, ReasonInput } from '../reason/reason';
import type { UnitSystem } from '../units/unitSystem';

/** What a calculator knows beside its own fields. */
export interface FitScene {
  /** Infinity where no piece is known. */
  readonly thicknessMm: number;
  /** Mass of the whole piece, kg; null where its size is not known. */
  readonly pieceMassKg: number | null;
  readonly units: UnitSystem;
}

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
  /** Width of edge chips that the finished work hides, mm, play and seal taken off; null: nothing covers it. */
  readonly coverMm: number | null;
  /** How far off its mark the hole may sit, mm; null where the part does not care. */
  readonly toleranceMm: number | null;
  readonly reason: Reason;
  readonly results: readonly FitResult[];
  readonly followUps: readonly FollowUp[];
  readonly cautions: readonly Caution[];
}

export type FitOutcome =
  | { readonly kind: 'fits'; readonly fit: Fit; readonly drawing: Drawing }
  /** Values that cannot be, or that clash with each other: each fault names them. */
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/** What a calculator returns: the fit, or the sentences that name the values which clash. */
export type Calculated = Omit<Fit, 'reason'> & {
  readonly working: readonly ReasonInput[];
  readonly source: string;
  readonly why: string;
};

/** Two values that cannot both be: the field that would mend it, and a sentence naming both. */
export interface Clash {
  readonly kind: 'clash';
  readonly field: string;
  readonly message: string;
}

export const clash = (field: string, message: string): Clash => ({ kind: 'clash', field, message });
