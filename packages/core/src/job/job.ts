import type { CoolantId } from '../coolants/coolants';
import type { Outline } from '../geometry/outline';
import type { Material } from '../materials/material';
import type { SupportId } from '../supports/supports';
import type { Hold, Pace, Start } from './choices';
import type { Kit } from './kit';
import type { Datum, HoleMark, House, KeepOff, PiecePhoto, ServiceBand } from './place';

export type { Bit, Kit, Machine } from './kit';

/** The job file's own vocabulary, version 1. Lengths mm; see docs/job-file.md. */
export interface JobFile {
  readonly format: 'nucleon-job';
  readonly version: 1;
  readonly job: JobHeader;
  readonly pieces: readonly Piece[];
  readonly kit?: Kit;
  readonly customMaterials?: readonly Material[];
  readonly house?: House;
  /** What was drilled: each run with everything that happened in it. */
  readonly log?: readonly LoggedRun[];
}

/** A run as it travels; its events are read by the run’s own room. */
export interface LoggedRun {
  readonly runId: string;
  readonly events: readonly unknown[];
}

export interface JobHeader {
  readonly id: string;
  readonly name: string;
  readonly notes?: string;
  readonly checks?: readonly HazardCheck[];
}

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

/** An answer given to a gate, with when it was given. */
export interface HazardCheck {
  readonly hazard: string;
  readonly answer: string;
  readonly at: string;
  /** What was written with it: who scanned, with what, which survey. */
  readonly note?: string;
  /** What it was answered for; when the piece or the work changes, it no longer holds. */
  readonly of?: string;
}

export const DAMAGES = ['none', 'edge-chip', 'crack', 'mended'] as const;
export type Damage = (typeof DAMAGES)[number];

/** One thing the piece may turn out to be, and how likely. */
export interface Possibility {
  readonly material: string;
  readonly share: number;
}

/** What was answered on the way to knowing the piece, to go on from where it was left. */
export interface Knowing {
  readonly kind: string;
  readonly answers: Readonly<Record<string, string>>;
}

export interface LayerMix {
  readonly material: string;
  readonly share: number;
}

/** One leaf of a built-up piece, from the entry face inwards. */
export interface Layer {
  /** A material id, or `cavity`. */
  readonly material: string;
  readonly thicknessMm: number;
  readonly mix?: readonly LayerMix[];
}

export interface Piece {
  readonly id: string;
  readonly name: string;
  readonly form: PieceForm;
  readonly material: string;
  readonly thicknessMm: number;
  readonly outline: Outline;
  readonly glassTreatment?: GlassTreatment;
  readonly assembled?: boolean;
  readonly valueMoney?: number;
  readonly layers?: readonly Layer[];
  readonly checks?: readonly HazardCheck[];
  /** Each measured place; thicknessMm lies among them. */
  readonly thicknessReadingsMm?: readonly number[];
  readonly damage?: Damage;
  readonly spareAvailable?: boolean;
  /** When it was made or put up. */
  readonly yearMade?: number;
  /** A spare to try on first. */
  readonly practice?: boolean;
  /** Where nobody is sure of the material: what it may be; the plan's ranges widen. */
  readonly couldBe?: readonly Possibility[];
  readonly knowing?: Knowing;
  readonly keepOff?: readonly KeepOff[];
  /** What a scan found behind the face. */
  readonly services?: readonly ServiceBand[];
  readonly datum?: Datum;
  readonly photo?: PiecePhoto;
  readonly holes: readonly Hole[];
}

export type HoleDepth =
  | { readonly kind: 'through' }
  | { readonly kind: 'blind'; readonly depthMm: number }
  | { readonly kind: 'ring'; readonly depthMm: number };

export interface Hole {
  readonly id: string;
  readonly label?: string;
  readonly xMm: number;
  readonly yMm: number;
  readonly face?: 'top' | 'side' | 'base';
  readonly diameterMm: number;
  readonly depth: HoleDepth;
  readonly fall?: { readonly oneIn: number; readonly lowSide: 'near' | 'far' };
  /** What it is for: the purpose's kind and what is known of the part. */
  readonly purpose?: { readonly kind: string; readonly [field: string]: unknown };
  readonly checks?: readonly HazardCheck[];
  readonly mark?: HoleMark;
  readonly setup?: Setup;
}

export interface SupportSetup {
  readonly kind: SupportId;
  readonly thicknessMm?: number;
  readonly contactFraction?: number;
  readonly edgesHeld?: 'none' | 'two' | 'four';
  /** Where given, the piece rests on these alone; a pad is of the support’s kind unless it says. */
  readonly pads?: readonly SupportPad[];
  /** How far one corner stands off a flat bed when the two beside it touch. */
  readonly twistMm?: number;
  readonly clamps?: readonly ClampSetup[];
  /** Boards laid on the piece that spread what presses. */
  readonly boards?: readonly BoardSetup[];
}

/** A rectangle on the face, its lower left corner first. */
interface PatchSetup {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

export interface SupportPad extends PatchSetup {
  readonly kind?: SupportId;
  readonly thicknessMm?: number;
}

export interface BoardSetup extends PatchSetup {
  readonly thicknessMm: number;
}

/** A clamp with a round pad, by its middle. */
export interface ClampSetup {
  readonly xMm: number;
  readonly yMm: number;
  readonly padDiameterMm: number;
  readonly forceN: number;
}

export interface WaterSetup {
  readonly kind: CoolantId;
  readonly trayLengthMm?: number;
  readonly trayWidthMm?: number;
  readonly coverMm?: number;
  readonly extraction?: boolean;
  /** Running water is shut this far before the far face of a wall, to keep the room dry. */
  readonly offBeforeFarFaceMm?: number;
}

/** How the person means to drill it. All optional: the planner fills the rest and says so. */
export interface Setup {
  readonly bit?: string;
  readonly bits?: readonly string[];
  readonly machine?: string;
  readonly support?: SupportSetup;
  readonly guide?: {
    readonly kind: string;
    readonly thicknessMm?: number;
    readonly clearanceMm?: number;
  };
  readonly hold?: Hold;
  readonly start?: Start;
  readonly pace?: Pace;
  readonly sides?: 'one' | 'two';
  readonly water?: WaterSetup;
  readonly rimSpeedMPerS?: number;
  readonly contactPressureMpa?: number;
  /** What holds a drill stand. */
  readonly standFixing?: 'anchor' | 'vacuum' | 'prop';
}
