import type { PointMm, Side } from '../../math/arc';

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
