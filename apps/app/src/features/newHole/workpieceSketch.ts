import type { OTHER } from '@nucleon/core/advice/start/answers';
import type { WorkpieceId } from '@nucleon/core/advice/start/workpieces';

/** A line drawing on a ground of 56 × 40: its strokes, and the hole. */
export interface Sketch {
  readonly strokes: readonly string[];
  readonly hole: { readonly x: number; readonly y: number; readonly r: number };
}

export const SKETCH_BOX = { width: 56, height: 40 } as const;

/** What each thing looks like at a glance; not to scale. */
export const SKETCHES: Record<WorkpieceId | typeof OTHER, Sketch> = {
  'loose-pane': {
    strokes: ['M8 30 L20 8 H50 L38 30 Z', 'M8 30 V33 H38 L50 11 V8', 'M38 30 V33'],
    hole: { x: 29, y: 19, r: 3 },
  },
  'built-tank': {
    strokes: ['M6 13 H38 V36 H6 Z', 'M6 13 L18 5 H50 L38 13', 'M50 5 V28 L38 36', 'M18 5 V13'],
    hole: { x: 44, y: 17, r: 3 },
  },
  bottle: {
    strokes: ['M24 3 H32 V13 C32 17 37 18 37 23 V37 H19 V23 C19 18 24 17 24 13 Z', 'M24 7 H32'],
    hole: { x: 28, y: 31, r: 2.5 },
  },
  pot: {
    strokes: ['M11 9 H45 V14 H11 Z', 'M14 14 L18 36 H38 L42 14'],
    hole: { x: 28, y: 36, r: 3 },
  },
  bead: {
    strokes: ['M28 5 C44 5 48 15 46 23 C44 32 36 36 27 35 C16 34 8 29 9 20 C10 11 18 5 28 5 Z'],
    hole: { x: 28, y: 20, r: 3 },
  },
  shell: {
    strokes: [
      'M28 35 C20 35 23 31 8 22 C6 12 16 5 28 5 C40 5 50 12 48 22 C33 31 36 35 28 35 Z',
      'M28 34 L16 9',
      'M28 34 L28 5',
      'M28 34 L40 9',
    ],
    hole: { x: 28, y: 29, r: 2 },
  },
  'wall-tile': {
    strokes: ['M6 4 H50 V36 H6 Z', 'M6 15 H50', 'M6 26 H50', 'M20 4 V36', 'M36 4 V36'],
    hole: { x: 28, y: 20.5, r: 3 },
  },
  'loose-tile': {
    strokes: ['M28 6 L50 18 L28 31 L6 18 Z', 'M6 18 V22 L28 35 L50 22 V18', 'M28 31 V35'],
    hole: { x: 28, y: 18, r: 3 },
  },
  worktop: {
    strokes: ['M4 13 H52 V20 H4 Z', 'M8 20 V36 H48 V20', 'M28 20 V36', 'M20 13 V6 H26'],
    hole: { x: 38, y: 13, r: 3 },
  },
  paving: {
    strokes: [
      'M4 30 L16 12 H52 L44 30 Z',
      'M10 21 H48',
      'M34 12 L27 30',
      'M4 30 V34 H44 V30',
      'M44 34 L52 16 V12',
    ],
    hole: { x: 22, y: 25.5, r: 2.5 },
  },
  'outside-wall': {
    strokes: [
      'M6 4 H22 V36 H6 Z',
      'M6 12 H22',
      'M6 20 H22',
      'M6 28 H22',
      'M32 4 H50 V36 H32 Z',
      'M32 20 H50',
    ],
    hole: { x: 27, y: 16, r: 3 },
  },
  'post-socket': {
    strokes: ['M4 20 H52 V36 H4 Z', 'M24 3 H32 V30 H24 Z', 'M20 20 V32 H36 V20'],
    hole: { x: 28, y: 20, r: 3 },
  },
  other: {
    strokes: ['M12 28 L8 16 L20 7 L38 6 L49 17 L44 32 L26 35 Z'],
    hole: { x: 28, y: 21, r: 3 },
  },
};
