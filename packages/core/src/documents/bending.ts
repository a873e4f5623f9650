import type { PointMm } from '../math/arc';

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

/** Why a piece is not calculated as a plate. */
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
      readonly max?: number;
    };
