/**
 * Drawing primitives in mm. In a section x runs across from the hole's axis and z down from the
 * entry face (negative above it); seen from above z runs down the page. Whoever draws them chooses
 * the scale, colours and type.
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
  | 'turbidity'
  | 'void'
  | 'rim'
  | 'barrel'
  | 'core'
  | 'part'
  | 'gasket'
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
  | { readonly kind: 'water-line'; readonly x0: number; readonly x1: number; readonly z: number }
  | {
      readonly kind: 'disc';
      readonly x: number;
      readonly z: number;
      readonly radiusMm: number;
      readonly tone: Tone;
      /** Only its edge, dashed. */
      readonly hollow?: boolean;
    }
  | {
      /** A measured length with end ticks and its words; level or upright. */
      readonly kind: 'dimension';
      readonly x0: number;
      readonly z0: number;
      readonly x1: number;
      readonly z1: number;
      readonly text: string;
      /** On which side of an upright one its words stand. */
      readonly words?: 'left' | 'right';
    };

/** A drawing on its own: what stands in it, how far it reaches, and what it shows in words. */
export interface Drawing {
  readonly primitives: readonly Primitive[];
  readonly x0: number;
  readonly x1: number;
  readonly z0: number;
  readonly z1: number;
  readonly description: string;
}

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
