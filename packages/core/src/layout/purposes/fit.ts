import type { Drawing } from '../../math/primitives';
import type { Fault } from '../../documents/fault';
import type { Fit } from '../../documents/fit';
import type { ReasonInput } from '../../documents/reason';
import type { UnitSystem } from '../../data/unitSystem';

/** What a calculator knows beside its own fields. */
export interface FitScene {
  /** Infinity where no piece is known. */
  readonly thicknessMm: number;
  /** Mass of the whole piece, kg; null where its size is not known. */
  readonly pieceMassKg: number | null;
  readonly units: UnitSystem;
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
