import type { Piece } from '../job/job';
import type { Material } from '../materials/material';
import { formatLengthShort } from '../units/length';
import type { UnitSystem } from '../units/unitSystem';
import { clearToCorner, clearToEdge, clearToHole, type PlacedHole } from './clearDistances';

/** What a rule measures from the hole's edge. */
export type Measure = 'edge' | 'corner' | 'hole' | 'diameter';

export interface RuleScene {
  readonly piece: Pick<Piece, 'form' | 'thicknessMm' | 'assembled' | 'outline'>;
  readonly material: Pick<Material, 'id' | 'class'>;
  readonly hole: PlacedHole;
}

interface Rule {
  readonly measure: Measure;
  readonly label: string;
  readonly source: string;
  readonly applies: (scene: RuleScene) => boolean;
  readonly requiredMm: (scene: RuleScene) => number;
}

const isPane = ({ piece, material }: RuleScene): boolean =>
  material.class === 'glass' && (piece.form === 'sheet' || piece.form === 'slab');
const isBuilt = (scene: RuleScene): boolean => isPane(scene) && scene.piece.assembled === true;
const TILES: ReadonlySet<string> = new Set(['porcelain-tile', 'glazed-wall-tile']);
const FLAT_GLASS = 'Usual rule of flat-glass processing standards';

/** The schools of how near is too near, side by side; each is asked only where it is meant for. */
export const EDGE_RULES = {
  'diameter-of-stone': {
    measure: 'edge',
    label: 'One hole diameter to the edge, stone',
    source: 'Stone workers’ rule',
    applies: ({ piece, material }) =>
      material.class === 'stone' && piece.form !== 'bead' && piece.form !== 'block',
    requiredMm: ({ hole }) => hole.diameterMm,
  },
  'two-diameters-of-built-pane': {
    measure: 'edge',
    label: 'Two hole diameters to the edge, built pane',
    source: 'Tank builders’ rule',
    applies: isBuilt,
    requiredMm: ({ hole }) => 2 * hole.diameterMm,
  },
  'two-thicknesses-of-glass': {
    measure: 'edge',
    label: 'Twice the thickness to the edge, glass',
    source: FLAT_GLASS,
    applies: isPane,
    requiredMm: ({ piece }) => 2 * piece.thicknessMm,
  },
  'six-thicknesses-to-corner': {
    measure: 'corner',
    label: 'Six thicknesses to a corner, glass',
    source: FLAT_GLASS,
    applies: isPane,
    requiredMm: ({ piece }) => 6 * piece.thicknessMm,
  },
  'two-thicknesses-between-holes': {
    measure: 'hole',
    label: 'Twice the thickness between holes, glass',
    source: FLAT_GLASS,
    applies: isPane,
    requiredMm: ({ piece }) => 2 * piece.thicknessMm,
  },
  'hole-as-wide-as-thick': {
    measure: 'diameter',
    label: 'A hole no narrower than the glass is thick',
    source: FLAT_GLASS,
    applies: isPane,
    requiredMm: ({ piece }) => piece.thicknessMm,
  },
  'forty-of-built-vessel': {
    measure: 'edge',
    label: '40 mm to the edge, built vessel',
    source: 'Tank builders’ rule',
    applies: isBuilt,
    requiredMm: () => 40,
  },
  'fifteen-of-tile': {
    measure: 'edge',
    label: '15 mm to the edge, tile',
    source: 'Tilers’ rule; the tile maker’s own comes first',
    applies: ({ material }) => TILES.has(material.id),
    requiredMm: () => 15,
  },
  'three-diameters-of-masonry': {
    measure: 'edge',
    label: 'Three hole diameters to a free edge, masonry',
    source: 'Masons’ rule',
    applies: ({ material }) => material.class === 'masonry',
    requiredMm: ({ hole }) => 3 * hole.diameterMm,
  },
  'thickness-of-pebble': {
    measure: 'edge',
    label: 'One thickness to the edge, pebble',
    source: 'Stone jewellers’ rule',
    applies: ({ piece, material }) =>
      material.class === 'stone' && (piece.form === 'bead' || piece.form === 'block'),
    requiredMm: ({ piece }) => piece.thicknessMm,
  },
} as const satisfies Record<string, Rule>;

export type EdgeRuleId = keyof typeof EDGE_RULES;

export interface JudgedRule {
  readonly rule: EdgeRuleId;
  readonly measure: Measure;
  readonly label: string;
  readonly source: string;
  readonly requiredMm: number;
  readonly actualMm: number;
  readonly ok: boolean;
  /** The strictest: the one with least to spare. */
  readonly binds: boolean;
}

/** What is here and what a rule wants, in a line. */
export const edgeText = (
  { actualMm, requiredMm }: Pick<JudgedRule, 'actualMm' | 'requiredMm'>,
  units: UnitSystem,
): string =>
  `${formatLengthShort(actualMm, units)} here, ${formatLengthShort(requiredMm, units)} wanted.`;

/** Rounding room, mm. */
const SAME_MM = 1e-6;

/** Every rule that is meant for this piece, the strictest (least to spare) first. */
export function judgeEdges(scene: RuleScene, others: readonly PlacedHole[]): readonly JudgedRule[] {
  const { hole } = scene;
  const { outline } = scene.piece;
  const measured: Record<Measure, number | null> = {
    edge: clearToEdge(outline, hole),
    corner: clearToCorner(outline, hole),
    hole: clearToHole(outline, hole, others),
    diameter: hole.diameterMm,
  };
  const judged = (Object.entries(EDGE_RULES) as [EdgeRuleId, Rule][]).flatMap(([id, rule]) => {
    const actualMm = measured[rule.measure];
    if (actualMm === null || !rule.applies(scene)) return [];
    const requiredMm = rule.requiredMm(scene);
    const { measure, label, source } = rule;
    return [
      {
        rule: id,
        measure,
        label,
        source,
        requiredMm,
        actualMm,
        ok: actualMm >= requiredMm - SAME_MM,
      },
    ];
  });
  const spare = (one: { readonly actualMm: number; readonly requiredMm: number }): number =>
    one.actualMm - one.requiredMm;
  return judged
    .sort((a, b) => spare(a) - spare(b))
    .map((one, index) => ({ ...one, binds: index === 0 }));
}
