import type { PointMm, Side } from '../geometry/arc';

/** A rectangle on the face, its lower left corner first, mm. */
export interface Patch {
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Something the piece rests on in one place. */
export type Pad = Patch & { readonly foundationNPerMm3: number };

/** A board that lies on the piece unglued and spreads what presses on it. */
export type Board = Patch & { readonly thicknessMm: number };

/** A clamp's pad, round, and what it presses with. */
export interface ClampLoad extends PointMm {
  readonly padDiameterMm: number;
  readonly forceN: number;
}

/** A sheet, what holds it, and the rim that presses on it. */
export interface BendingScene {
  /** Counter-clockwise. */
  readonly edge: readonly Side[];
  readonly widthMm: number;
  readonly heightMm: number;
  /** Holes and cut-outs that are there already. */
  readonly gaps: readonly (readonly Side[])[];
  readonly thicknessMm: number;
  readonly youngModulusMpa: number;
  readonly poisson: number;
  readonly densityKgPerM3: number;
  /** It lies flat, so that its own weight presses on the bed. */
  readonly lies: boolean;
  /** k_f under all of it, N/mm³, with how much of it touches; 0 for none. */
  readonly bedNPerMm3: number;
  /** Where there are pads, only they carry. */
  readonly pads: readonly Pad[];
  readonly edgesHeld: 'none' | 'two' | 'four';
  /** How far one corner stands off a flat bed when the opposite ones touch, mm. */
  readonly twistMm: number;
  readonly clamps: readonly ClampLoad[];
  readonly boards: readonly Board[];
  readonly rim: PointMm & { readonly meanRadiusMm: number };
  readonly forceN: number;
}

export const BENDING_TROUBLES = [
  /** Nothing holds it. */
  'unheld',
  /** What is under it does not hold it up when it is pressed there. */
  'tips',
  'contact-unsettled',
  'mesh-too-fine',
  'rim-off-piece',
] as const;
export type BendingTrouble = (typeof BENDING_TROUBLES)[number];

/** Why a piece is not reckoned as a plate. */
export const BENDING_DECLINES = ['thick', 'curved', 'built-in', 'layered', 'later'] as const;
export type BendingDecline = (typeof BENDING_DECLINES)[number];

export interface Bent {
  readonly kind: 'bent';
  /** Greatest tension anywhere, MPa, on which face and where. */
  readonly stressMpa: number;
  readonly face: 'near' | 'far';
  readonly at: PointMm;
  /** What is there without the drill: the piece's weight and its clamps, MPa. */
  readonly atRestMpa: number;
  /** Greatest tension within two radii of the rim, and along the outer edge, MPa. */
  readonly underRimMpa: number;
  readonly edgeMpa: number;
  readonly edgeAt: PointMm;
  readonly deflectionMm: number;
  /** Share of the bed that has lost touch, 0 to 1. */
  readonly liftOffFraction: number;
  /** What the bed, pads and edges give back, N. */
  readonly carriedN: number;
  /** Of that, each pad, N. */
  readonly padsN: readonly number[];
  readonly nodes: number;
  readonly rounds: number;
}

export type Bending =
  | Bent
  | { readonly kind: 'declined'; readonly why: BendingDecline }
  | {
      readonly kind: 'trouble';
      readonly trouble: BendingTrouble;
      /** How many nodes were wished for, or still changed. */
      readonly count?: number;
      readonly most?: number;
    };
