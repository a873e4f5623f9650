import type { GlassTreatment, PieceForm } from '../../data/choices';
import type { CoolantId } from '../../data/coolants';
import type { MaterialId } from '../../data/materials/materials';
import type { PurposeKind } from '../../layout/purposes/purposes';

/** What may be left open by what it is: each is asked on a screen of its own, in the order a workpiece lists. */
export const QUESTIONS = [
  'make',
  'treatment',
  'build',
  'entry',
  'fixed',
  'pane',
  'face',
  'size',
  'thickness',
  'place',
  'through',
  'part',
  'flange',
  'count',
] as const;
export type Question = (typeof QUESTIONS)[number];

/** What it may be made of, as its owner would say it. */
export interface Make {
  /** Where two are of one material. */
  readonly id?: string;
  readonly material: MaterialId;
  /** Known by what it is. */
  readonly treatment?: GlassTreatment;
}

/** Vessels known by what they hold. */
const SIZE_NAMES = [
  'wine-bottle',
  'beer-bottle',
  'jam-jar',
  'large-jar',
  'drinking-glass',
  'demijohn',
  'mug',
  'small-pot',
  'pot',
  'large-pot',
  'planter',
] as const;

/** Its measures as sold, mm: one across, two of a face or of a round vessel, three of a tank. */
export interface SoldSize {
  readonly mm: readonly number[];
  readonly name?: SizeName;
}

export type SizeName = (typeof SIZE_NAMES)[number];

type Lengths = readonly number[];

export interface Workpiece {
  readonly asks: readonly Question[];
  /** The usual first. */
  readonly makes: readonly Make[];
  readonly form: PieceForm;
  readonly measures: 'across' | 'face' | 'vessel' | 'tank';
  readonly sizes: { readonly metric: readonly SoldSize[]; readonly inch: readonly SoldSize[] };
  readonly thicknessMm: { readonly metric: Lengths; readonly inch: Lengths };
  readonly diameterMm: { readonly metric: Lengths; readonly inch: Lengths };
  /** Parts it is usually drilled for, by which the hole may be sized. */
  readonly parts: readonly PurposeKind[];
  /** Part of a building or of something put together. */
  readonly assembled?: true;
  /** How water is brought where a bath or a pool does not stay. */
  readonly water?: CoolantId;
}

const INCH_MM = 25.4;
const inches = (...lengths: Lengths): Lengths => lengths.map((inch) => inch * INCH_MM);
const sold = (...sizes: readonly Lengths[]): readonly SoldSize[] => sizes.map((mm) => ({ mm }));
const soldInches = (...sizes: readonly Lengths[]): readonly SoldSize[] =>
  sizes.map((size) => ({ mm: inches(...size) }));
const named = (sizes: Readonly<Partial<Record<SizeName, Lengths>>>): readonly SoldSize[] =>
  SIZE_NAMES.flatMap((name) => {
    const mm = sizes[name];
    return mm ? [{ name, mm }] : [];
  });

const PANES = {
  metric: sold([150, 100], [200, 150], [300, 200], [300, 300], [400, 300], [600, 400], [900, 600]),
  inch: soldInches([6, 4], [8, 6], [10, 8], [12, 12], [18, 12], [24, 18], [36, 24]),
};
const TILES = {
  metric: sold([100, 100], [150, 150], [200, 100], [300, 200], [300, 300], [600, 300], [600, 600]),
  inch: soldInches([4, 4], [6, 3], [6, 6], [12, 4], [12, 12], [24, 12], [24, 24]),
};
const ACROSS = {
  metric: sold([8], [10], [15], [20], [30], [40], [60]),
  inch: soldInches([3 / 8], [1 / 2], [3 / 4], [1], [1.5], [2.5]),
};
const WALL_SIDE = { metric: sold([1000, 1000]), inch: soldInches([40, 40]) };

const GLASS_THICKNESS = {
  metric: [3, 4, 5, 6, 8, 10, 12, 15],
  inch: inches(1 / 8, 3 / 16, 1 / 4, 3 / 8, 1 / 2, 5 / 8),
};
const POT_THICKNESS = {
  metric: [3, 4, 5, 6, 8, 10, 12, 15],
  inch: inches(1 / 8, 3 / 16, 1 / 4, 3 / 8, 1 / 2),
};
const BEAD_THICKNESS = {
  metric: [2, 3, 4, 5, 6, 7, 8, 9, 10, 12, 15, 20],
  inch: inches(1 / 16, 1 / 8, 3 / 16, 1 / 4, 5 / 16, 3 / 8, 1 / 2, 3 / 4),
};
const TILE_THICKNESS = {
  metric: [6, 8, 9, 10, 12, 20],
  inch: inches(1 / 4, 5 / 16, 3 / 8, 1 / 2, 3 / 4),
};
const TILE_HOLES = {
  metric: [5, 6, 8, 10, 12, 22, 28, 35, 44, 52, 65, 82, 117],
  inch: inches(3 / 16, 1 / 4, 5 / 16, 3 / 8, 1 / 2, 1, 1.375, 2, 2.5),
};
const BEAD_HOLES = {
  metric: [0.8, 1, 1.2, 1.5, 2, 2.5, 3, 4, 5, 6],
  inch: inches(1 / 32, 3 / 64, 1 / 16, 3 / 32, 1 / 8, 3 / 16, 1 / 4),
};
const BUILDING_HOLES = {
  metric: [10, 22, 28, 38, 52, 65, 82, 107, 117, 127, 152],
  inch: inches(3 / 8, 1, 1.5, 2, 2.5, 3, 4, 4.25, 5, 6),
};

const WALL_TILES: readonly Make[] = [
  { material: 'glazed-wall-tile' },
  { material: 'porcelain-tile' },
  { material: 'marble' },
  { material: 'limestone' },
];

/**
 * The things people bring to be drilled. Sizes as they are sold; what a thing is settles form, whether it is built
 * in, and how water is brought: nobody is asked what follows from it.
 */
export const WORKPIECES = {
  'loose-pane': {
    asks: ['treatment', 'size', 'thickness', 'through', 'part', 'count'],
    makes: [{ material: 'float-glass' }],
    form: 'sheet',
    measures: 'face',
    sizes: PANES,
    thicknessMm: GLASS_THICKNESS,
    diameterMm: {
      metric: [4, 5, 6, 8, 10, 12, 16, 20, 22, 28, 35],
      inch: inches(3 / 16, 1 / 4, 3 / 8, 1 / 2, 3 / 4, 1, 1.375),
    },
    parts: ['shaft', 'pipe', 'tube-rivet', 'hanging-cord'],
  },
  'built-tank': {
    asks: ['treatment', 'size', 'pane', 'thickness', 'through', 'part', 'flange'],
    makes: [{ material: 'float-glass' }],
    form: 'sheet',
    measures: 'tank',
    sizes: {
      metric: sold(
        [400, 250, 250],
        [450, 300, 300],
        [600, 300, 300],
        [600, 300, 380],
        [800, 350, 400],
        [900, 450, 450],
        [1200, 500, 500],
      ),
      inch: soldInches([16, 8, 10], [20, 10, 12], [24, 12, 16], [36, 18, 18], [48, 18, 21]),
    },
    thicknessMm: GLASS_THICKNESS,
    diameterMm: {
      metric: [22, 25, 28, 30, 35, 38, 40, 44, 51, 60],
      inch: inches(1, 1.125, 1.375, 1.5, 1.75, 2, 2.375),
    },
    parts: ['tank-fitting', 'pipe'],
    assembled: true,
    water: 'pool',
  },
  bottle: {
    asks: ['make', 'face', 'size', 'thickness', 'through', 'part'],
    makes: [
      { material: 'container-glass', treatment: 'annealed' },
      {
        id: 'tableware',
        material: 'container-glass',
        treatment: 'unknown',
      },
      { material: 'borosilicate-glass', treatment: 'annealed' },
    ],
    form: 'vessel',
    measures: 'vessel',
    sizes: {
      metric: named({
        'wine-bottle': [75, 300],
        'beer-bottle': [61, 230],
        'jam-jar': [70, 110],
        'large-jar': [110, 180],
        'drinking-glass': [75, 120],
        demijohn: [170, 320],
      }),
      inch: named({
        'wine-bottle': inches(3, 12),
        'beer-bottle': inches(2.375, 9),
        'jam-jar': inches(2.75, 4.25),
        'large-jar': inches(4.25, 7),
        'drinking-glass': inches(3, 4.75),
      }),
    },
    thicknessMm: { metric: [2, 3, 4, 5, 6, 8], inch: inches(1 / 8, 3 / 16, 1 / 4, 5 / 16) },
    diameterMm: {
      metric: [4, 5, 6, 8, 10, 12, 16, 20],
      inch: inches(3 / 16, 1 / 4, 5 / 16, 3 / 8, 1 / 2, 3 / 4),
    },
    parts: ['pipe', 'shaft', 'tube-rivet', 'hanging-cord'],
  },
  pot: {
    asks: ['make', 'face', 'size', 'thickness', 'through', 'part'],
    makes: [
      { material: 'stoneware' },
      { material: 'glazed-earthenware' },
      { material: 'terracotta' },
      { material: 'porcelain-vessel' },
    ],
    form: 'vessel',
    measures: 'vessel',
    sizes: {
      metric: named({
        mug: [80, 95],
        'small-pot': [120, 110],
        pot: [180, 160],
        'large-pot': [250, 230],
        planter: [400, 350],
      }),
      inch: named({
        mug: inches(3.25, 3.75),
        'small-pot': inches(5, 4.5),
        pot: inches(7, 6),
        'large-pot': inches(10, 9),
        planter: inches(16, 14),
      }),
    },
    thicknessMm: POT_THICKNESS,
    diameterMm: {
      metric: [5, 6, 8, 10, 12, 15, 20, 25],
      inch: inches(3 / 16, 1 / 4, 3 / 8, 1 / 2, 5 / 8, 3 / 4, 1),
    },
    parts: ['pipe', 'shaft', 'hanging-cord'],
  },
  bead: {
    asks: ['make', 'size', 'thickness', 'place', 'through', 'part', 'count'],
    makes: [
      { material: 'quartzite-agate' },
      { material: 'jade' },
      { material: 'marble' },
      { material: 'slate' },
      { material: 'granite' },
      { material: 'basalt' },
      { material: 'fused-glass' },
    ],
    form: 'bead',
    measures: 'across',
    sizes: ACROSS,
    thicknessMm: BEAD_THICKNESS,
    diameterMm: BEAD_HOLES,
    parts: ['bead-bore', 'tube-rivet', 'hanging-cord'],
  },
  shell: {
    asks: ['size', 'thickness', 'place', 'through', 'part', 'count'],
    makes: [{ material: 'shell' }],
    form: 'bead',
    measures: 'across',
    sizes: ACROSS,
    thicknessMm: { metric: [1, 1.5, 2, 2.5, 3, 4, 5, 6], inch: inches(1 / 16, 1 / 8, 3 / 16) },
    diameterMm: BEAD_HOLES,
    parts: ['bead-bore', 'hanging-cord'],
  },
  'wall-tile': {
    asks: ['make', 'size', 'thickness', 'through', 'part'],
    makes: WALL_TILES,
    form: 'wall',
    measures: 'face',
    sizes: TILES,
    thicknessMm: TILE_THICKNESS,
    diameterMm: TILE_HOLES,
    parts: ['wall-plug', 'pipe'],
  },
  'loose-tile': {
    asks: ['make', 'size', 'thickness', 'through', 'part', 'count'],
    makes: [...WALL_TILES, { material: 'slate' }, { material: 'granite' }],
    form: 'slab',
    measures: 'face',
    sizes: TILES,
    thicknessMm: TILE_THICKNESS,
    diameterMm: TILE_HOLES,
    parts: ['pipe', 'shaft'],
  },
  worktop: {
    asks: ['make', 'fixed', 'thickness', 'through', 'part'],
    makes: [
      { material: 'granite' },
      { material: 'engineered-quartz' },
      { material: 'marble' },
      { material: 'slate' },
      { material: 'terrazzo' },
      { material: 'porcelain-tile' },
    ],
    form: 'slab',
    measures: 'face',
    sizes: { metric: sold([2000, 600]), inch: soldInches([80, 25]) },
    thicknessMm: { metric: [12, 20, 30, 40], inch: inches(1 / 2, 3 / 4, 1.25, 1.5) },
    diameterMm: {
      metric: [12, 20, 25, 28, 30, 32, 35, 38, 51, 60, 80],
      inch: inches(1 / 2, 3 / 4, 1, 1.25, 1.375, 1.5, 2, 2.5, 3),
    },
    parts: ['shaft', 'pipe'],
  },
  paving: {
    asks: ['make', 'fixed', 'size', 'thickness', 'through', 'part', 'count'],
    makes: [
      { material: 'concrete' },
      { material: 'sandstone' },
      { material: 'limestone' },
      { material: 'granite' },
      { material: 'slate' },
      { material: 'porcelain-tile' },
    ],
    form: 'slab',
    measures: 'face',
    sizes: {
      metric: sold([300, 300], [450, 450], [600, 300], [600, 600], [900, 600], [1200, 600]),
      inch: soldInches([12, 12], [18, 18], [24, 12], [24, 24], [36, 24]),
    },
    thicknessMm: { metric: [20, 30, 40, 50, 60, 100], inch: inches(3 / 4, 1, 1.5, 2, 4) },
    diameterMm: {
      metric: [10, 12, 16, 22, 28, 52, 82, 107, 127],
      inch: inches(3 / 8, 1 / 2, 5 / 8, 1, 2, 3, 4, 5),
    },
    parts: ['pipe', 'post-socket'],
  },
  'outside-wall': {
    asks: ['build', 'entry', 'thickness', 'through', 'part'],
    makes: [{ material: 'clay-brick' }],
    form: 'wall',
    measures: 'face',
    sizes: WALL_SIDE,
    thicknessMm: {
      metric: [100, 215, 260, 270, 300, 320, 350, 450],
      inch: inches(4, 8, 10, 11, 12, 14, 16),
    },
    diameterMm: BUILDING_HOLES,
    parts: ['pipe'],
  },
  'post-socket': {
    asks: ['make', 'thickness', 'through', 'part'],
    makes: [
      { material: 'concrete' },
      { material: 'reinforced-concrete' },
      { material: 'granite' },
      { material: 'sandstone' },
      { material: 'limestone' },
    ],
    form: 'floor',
    measures: 'face',
    sizes: WALL_SIDE,
    thicknessMm: { metric: [100, 120, 150, 200, 250, 300], inch: inches(4, 5, 6, 8, 10, 12) },
    diameterMm: {
      metric: [52, 62, 72, 82, 92, 107, 127, 152],
      inch: inches(2, 2.5, 3, 3.5, 4, 5, 6),
    },
    parts: ['post-socket'],
  },
} as const satisfies Record<string, Workpiece>;

export const makeId = ({ id, material }: Make): string => id ?? material;

export type WorkpieceId = keyof typeof WORKPIECES;
export const WORKPIECE_IDS = Object.keys(WORKPIECES) as readonly WorkpieceId[];
export const isWorkpieceId = (id: string): id is WorkpieceId => Object.hasOwn(WORKPIECES, id);
