/** How the bit is steered. */
export const HOLDS = ['freehand', 'guided', 'press', 'rig'] as const;
export type Hold = (typeof HOLDS)[number];

/** How the first half-millimetre is won. */
export const STARTS = ['tilt', 'guide', 'tape', 'seat', 'pilot'] as const;
export type Start = (typeof STARTS)[number];

export const PACES = ['gentle', 'steady', 'brisk'] as const;
export type Pace = (typeof PACES)[number];

export const PIECE_FORMS = ['sheet', 'slab', 'block', 'vessel', 'bead', 'wall', 'floor'] as const;
export type PieceForm = (typeof PIECE_FORMS)[number];

export const GLASS_TREATMENTS = [
  'annealed',
  'tempered',
  'heat-strengthened',
  'chemically-strengthened',
  'laminated',
  'wired',
  'sealed-unit',
  'toughened-tableware',
  'glass-ceramic',
  'unknown',
] as const;
export type GlassTreatment = (typeof GLASS_TREATMENTS)[number];

/** Strong by a stress that drilling lets go. */
export const STRENGTHENED_TREATMENTS = [
  'tempered',
  'heat-strengthened',
  'chemically-strengthened',
  'toughened-tableware',
  'glass-ceramic',
] as const satisfies readonly GlassTreatment[];

export const DAMAGES = ['none', 'edge-chip', 'crack', 'mended'] as const;
export type Damage = (typeof DAMAGES)[number];

/** Groups of materials that share spreads, a default look and manners at the bench. */
export const MATERIAL_CLASSES = ['glass', 'ceramic', 'stone', 'masonry'] as const;
export type MaterialClass = (typeof MATERIAL_CLASSES)[number];

/** What is drawn on a piece beside its holes. */
export const KEEP_OFF_KINDS = ['handle', 'rib', 'curve', 'crack', 'hole', 'cut-out'] as const;
export type KeepOffKind = (typeof KEEP_OFF_KINDS)[number];

export const MARK_KINDS = ['dot', 'circle', 'ticks', 'tape-cross'] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

export const BIT_STATES = ['new', 'good', 'tired', 'bald', 'out-of-true'] as const;
export type BitState = (typeof BIT_STATES)[number];

/** Why a bit is no longer used. */
export const BIT_ENDS = ['worn', 'broken', 'lost', 'not-needed'] as const;
export type BitEnd = (typeof BIT_ENDS)[number];

export const COUPLING_KINDS = ['adapter', 'extension', 'swivel'] as const;
export type CouplingKind = (typeof COUPLING_KINDS)[number];

export const HELP_ANSWERS = ['yes', 'no', 'not-sure'] as const;
export type HelpAnswer = (typeof HELP_ANSWERS)[number];

export const CRACK_SIGHTS = ['none', 'hairline', 'broken'] as const;
export type CrackSight = (typeof CRACK_SIGHTS)[number];

/** How hard it was pressed, beside what was planned. */
export const FORCES_FELT = ['lighter', 'as-planned', 'harder'] as const;
export type ForceFelt = (typeof FORCES_FELT)[number];

export const PART_FITS = ['fits', 'tight', 'loose', 'not-tried'] as const;
export type PartFit = (typeof PART_FITS)[number];

export const VERDICTS = ['fine', 'usable', 'spoiled'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** Disputes of practice that a house settles for itself. */
export const SCHOOL_IDS = [
  'backing',
  'start',
  'hold',
  'sides',
  'water',
  'wall-water',
  'pace',
] as const;
export type SchoolId = (typeof SCHOOL_IDS)[number];

/** Rules of how near is too near: a house may let one of edge distance bind. */
export const EDGE_RULE_IDS = [
  'diameter-of-stone',
  'two-diameters-of-built-pane',
  'two-thicknesses-of-glass',
  'six-thicknesses-to-corner',
  'two-thicknesses-between-holes',
  'hole-as-wide-as-thick',
  'forty-of-built-vessel',
  'fifteen-of-tile',
  'three-diameters-of-masonry',
  'thickness-of-pebble',
  'house-rule',
  'clear-of-holes',
  'thickness-to-handle',
  'three-thicknesses-to-crack',
] as const;
export type EdgeRuleId = (typeof EDGE_RULE_IDS)[number];
