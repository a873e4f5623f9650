import { isFlat } from '../data/pieceForms';
import type { EdgeRuleId, KeepOffKind } from '../data/choices';
import type { Piece, KeepOff } from '../documents/piece';
import type { Material } from '../data/materials/material';
import { isTile } from '../data/materials/materials';
import type { House } from '../documents/house';
import {
  spanToCorner,
  spanToEdge,
  spanToHole,
  spanToKeepOff,
  type ClearSpan,
  type PlacedHole,
} from './clearDistances';

/** What a rule measures from the hole's edge: to a free edge, a cut-out's side, a corner … */
export type Measure = 'edge' | 'web' | 'corner' | 'hole' | 'diameter' | 'handle' | 'crack';

export interface RuleScene {
  readonly piece: Pick<Piece, 'form' | 'thicknessMm' | 'assembled' | 'outline' | 'keepOff'>;
  readonly material: Pick<Material, 'id' | 'class' | 'traits'>;
  readonly hole: PlacedHole;
  readonly house?: House | undefined;
}

interface Rule {
  readonly measure: Measure;
  readonly label: string;
  readonly source: string;
  readonly applies: (scene: RuleScene) => boolean;
  readonly requiredMm: (scene: RuleScene) => number;
}

const isPane = ({ piece, material }: RuleScene): boolean =>
  material.class === 'glass' && isFlat(piece);
const isBuilt = (scene: RuleScene): boolean => isPane(scene) && scene.piece.assembled === true;
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
    applies: ({ material }) => isTile(material),
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
  'house-rule': {
    measure: 'edge',
    label: 'Your house rule, to the edge',
    source: 'What this workshop has settled on',
    applies: ({ house }) => house?.edge !== undefined,
    requiredMm: ({ house, hole, piece }) => {
      const { per = 'mm', value = 0 } = house?.edge ?? {};
      return value * { diameter: hole.diameterMm, thickness: piece.thicknessMm, mm: 1 }[per];
    },
  },
  'clear-of-holes': {
    measure: 'hole',
    label: 'Not into another hole',
    source: 'A rim that meets an open hole catches and tears',
    applies: (scene) => !isPane(scene),
    requiredMm: () => 0,
  },
  'thickness-to-handle': {
    measure: 'handle',
    label: 'One thickness from handles, ribs and sharp curves',
    source: 'Workshop rule: the wall is thicker and strained there',
    applies: () => true,
    requiredMm: ({ piece }) => piece.thicknessMm,
  },
  'three-thicknesses-to-crack': {
    measure: 'crack',
    label: 'Three thicknesses from a crack',
    source: 'Workshop rule: a crack runs to the nearest hole',
    applies: () => true,
    requiredMm: ({ piece }) => 3 * piece.thicknessMm,
  },
} as const satisfies Record<EdgeRuleId, Rule>;

export interface JudgedRule {
  readonly rule: EdgeRuleId;
  readonly measure: Measure;
  readonly label: string;
  readonly source: string;
  readonly requiredMm: number;
  readonly actualMm: number;
  readonly ok: boolean;
  /** The strictest of those that count: the one with least to spare. */
  readonly binds: boolean;
  /** False for schools of edge distance that the workshop has put aside. */
  readonly counts: boolean;
  /** Where it is measured on the face; none for the diameter. */
  readonly span?: Pick<ClearSpan, 'from' | 'to'>;
}

/** Rounding room, mm. */
const SAME_MM = 1e-6;

type Span = Pick<ClearSpan, 'from' | 'to'> & {
  readonly clearMm: number;
  /** Where the person has said how far to stay away, instead of the rule. */
  readonly marginMm?: number | undefined;
};

/** Everything a hole is measured against, by what it is. */
function spansOf(
  { piece, hole }: RuleScene,
  others: readonly PlacedHole[],
): Partial<Record<Measure, Span>> {
  const { outline, keepOff = [] } = piece;
  const of = (...kinds: readonly KeepOffKind[]): readonly KeepOff[] =>
    keepOff.filter((place) => kinds.includes(place.kind));
  const holes = [spanToHole(outline, hole, others), spanToKeepOff(outline, hole, of('hole'))];
  const spans: Record<Exclude<Measure, 'diameter'>, Span | null> = {
    edge: spanToEdge(outline, hole),
    web: spanToKeepOff(outline, hole, of('cut-out')),
    corner: spanToCorner(outline, hole),
    hole: holes
      .filter((span) => span !== null)
      .reduce<Span | null>((a, b) => (a && a.clearMm < b.clearMm ? a : b), null),
    handle: nearestWithMargin(piece.thicknessMm, outline, hole, of('handle', 'rib', 'curve')),
    crack: nearestWithMargin(3 * piece.thicknessMm, outline, hole, of('crack')),
  };
  return Object.fromEntries(Object.entries(spans).filter(([, span]) => span !== null));
}

/** The place with least to spare, by its own margin where the person gave one. */
function nearestWithMargin(
  usualMm: number,
  outline: RuleScene['piece']['outline'],
  hole: PlacedHole,
  places: readonly KeepOff[],
): Span | null {
  const spans = places.flatMap((place) => {
    const span = spanToKeepOff(outline, hole, [place]);
    return span ? [{ ...span, marginMm: place.marginMm }] : [];
  });
  const toSpare = (span: Span): number => span.clearMm - (span.marginMm ?? usualMm);
  return spans.reduce<Span | null>((a, b) => (a && toSpare(a) < toSpare(b) ? a : b), null);
}

/** Which of the rules counts: all, unless the workshop has chosen its school of edge distance. */
function doesCount(id: EdgeRuleId, measure: Measure, house: House | undefined): boolean {
  const isSchool = measure === 'edge' || measure === 'web';
  return !isSchool || house?.school === undefined || house.school === id || id === 'house-rule';
}

const spare = (one: Pick<JudgedRule, 'actualMm' | 'requiredMm'>): number =>
  one.actualMm - one.requiredMm;

/**
 * Every rule that is meant for this piece, the strictest (least to spare) first. A rule for edges
 * is asked of cut-outs too: the web left beside one breaks like an edge.
 */
export function judgeEdges(scene: RuleScene, others: readonly PlacedHole[]): readonly JudgedRule[] {
  const spans = spansOf(scene, others);
  const judged = (Object.entries(EDGE_RULES) as [EdgeRuleId, Rule][])
    .filter(([, rule]) => rule.applies(scene))
    .flatMap(([id, rule]) => {
      const measures: readonly Measure[] =
        rule.measure === 'edge' ? ['edge', 'web'] : [rule.measure];
      return measures.flatMap((measure) => {
        const span = spans[measure];
        const actualMm = measure === 'diameter' ? scene.hole.diameterMm : span?.clearMm;
        if (actualMm === undefined) return [];
        const requiredMm = span?.marginMm ?? rule.requiredMm(scene);
        return [
          {
            rule: id,
            measure,
            label:
              measure === 'web' ? rule.label.replace(/(the|a free) edge/, 'a cut-out') : rule.label,
            source: rule.source,
            requiredMm,
            actualMm,
            ok: actualMm >= requiredMm - SAME_MM,
            counts: doesCount(id, measure, scene.house),
            ...(span ? { span: { from: span.from, to: span.to } } : {}),
          },
        ];
      });
    })
    .sort((a, b) => spare(a) - spare(b));
  const binding = judged.find((one) => one.counts);
  return judged.map((one) => ({ ...one, binds: one === binding }));
}

/** The first rule that counts and is broken. */
export const brokenRule = (judged: readonly JudgedRule[]): JudgedRule | undefined =>
  judged.find((one) => one.counts && !one.ok);
