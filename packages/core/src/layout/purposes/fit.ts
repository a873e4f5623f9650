import type { Fit } from '../../documents/fit';
import type { ReasonInput } from '../../documents/reason';
import type { Drawing } from '../../math/primitives';
import type { FieldFault } from './field';

/** What a calculator knows beside its own fields. */
export interface FitScene {
  /** Infinity where no piece is known. */
  readonly thicknessMm: number;
  /** Mass of the whole piece, kg; null where its size is not known. */
  readonly pieceMassKg: number | null;
}

/** How numbers are written, in the person's own units: handed to what says them. */
export interface Say {
  /** A length, mm. */
  readonly L: (mm: number) => string;
  /** A volume, l. */
  readonly volume: (litres: number) => string;
  /** A force, N. */
  readonly force: (newtons: number) => string;
  readonly decimals: (value: number, digits: number) => string;
  readonly significant: (value: number, digits: number) => string;
}

/** Something to be said, once the numbers stand and units are chosen. */
export type Says<T> = (say: Say) => T;

/** What the part asks of the hole, in numbers. */
export type FitNumbers = Pick<
  Fit,
  | 'diameter'
  | 'depth'
  | 'fall'
  | 'behindMm'
  | 'easesEdges'
  | 'roughensWall'
  | 'coverMm'
  | 'toleranceMm'
>;

/** How it came about and what follows, in words. */
export interface FitWords extends Pick<Fit, 'results' | 'followUps' | 'cautions'> {
  readonly why: string;
  readonly working: readonly ReasonInput[];
  readonly source: string;
}

/** Two values that cannot both be: the field that would mend it, and a sentence naming both. */
export interface Clash {
  readonly kind: 'clash';
  readonly field: string;
  readonly says: Says<string>;
}

export const clash = (field: string, says: Says<string>): Clash => ({
  kind: 'clash',
  field,
  says,
});

export type SizingFault = ({ readonly kind: 'field' } & FieldFault) | Clash;

/** What a purpose makes of its fields. */
export type Sizing =
  | {
      readonly kind: 'sized';
      readonly numbers: FitNumbers;
      readonly says: Says<FitWords>;
      readonly draws: Says<Drawing>;
    }
  /** Values that cannot be, or that clash with each other. */
  | { readonly kind: 'faulty'; readonly faults: readonly SizingFault[] };

/** Nothing was given for it: to be asked for rather than mended. */
export const isMissing = (fault: SizingFault): boolean =>
  fault.kind === 'field' && fault.field.kind !== 'choice' && (fault.given ?? null) === null;
