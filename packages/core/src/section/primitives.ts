/**
 * Drawing primitives of the section, in mm: x across from the bit's axis, z down from the entry
 * face (negative above it). Whoever draws them chooses the scale, colours and type.
 */
export type Tone =
  | 'glass'
  | 'ceramic'
  | 'stone'
  | 'masonry'
  | 'soft'
  | 'wood'
  | 'hard'
  | 'grain'
  | 'water'
  | 'murk'
  | 'void'
  | 'rim'
  | 'barrel'
  | 'core'
  | 'ink'
  | 'muted'
  | 'caution';

export type Primitive =
  | {
      readonly kind: 'area';
      readonly x0: number;
      readonly z0: number;
      readonly x1: number;
      readonly z1: number;
      readonly tone: Tone;
      readonly outlined?: boolean;
    }
  | {
      readonly kind: 'path';
      readonly points: readonly (readonly [number, number])[];
      readonly tone: Tone;
      readonly closed?: boolean;
    }
  | {
      readonly kind: 'line';
      readonly x0: number;
      readonly z0: number;
      readonly x1: number;
      readonly z1: number;
      readonly tone: Tone;
      readonly dashed?: boolean;
      readonly heavy?: boolean;
    }
  | {
      readonly kind: 'arrow';
      readonly x: number;
      readonly z0: number;
      readonly z1: number;
      readonly tone: Tone;
    }
  | {
      readonly kind: 'turn';
      readonly x: number;
      readonly z: number;
      readonly radiusMm: number;
      readonly tone: Tone;
    }
  | { readonly kind: 'water-line'; readonly x0: number; readonly x1: number; readonly z: number };

/** A word or number beside the drawing; the drawer keeps labels of one side apart. */
export interface SectionLabel {
  readonly side: 'left' | 'right' | 'force' | 'speed' | 'layer';
  readonly z: number;
  readonly text: string;
  readonly tone: Tone;
  readonly strong?: boolean;
}

export interface Section {
  readonly halfWidthMm: number;
  readonly topMm: number;
  readonly bottomMm: number;
  readonly primitives: readonly Primitive[];
  readonly labels: readonly SectionLabel[];
  /** What the drawing shows, for those who cannot see it. */
  readonly description: string;
}
