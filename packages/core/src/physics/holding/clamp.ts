/** What bounds how hard a piece may be clamped; forces N, stresses MPa. */
export interface ClampLimit {
  /** The most one clamp may press, by the stricter of the two below. */
  readonly maxN: number;
  /** By the pad: tension round its rim. */
  readonly byPadN: number;
  /** Force that presses the twist flat, at each corner, and the stress that makes. */
  readonly flattenN: number;
  readonly flattenMpa: number;
  readonly bound: 'pad' | 'twist';
}

export interface ClampedPiece {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly thicknessMm: number;
  readonly youngModulusMpa: number;
  readonly poisson: number;
  /** How far one corner stands off a flat bed. */
  readonly twistMm: number;
  readonly padDiameterMm: number;
  /** What clamping may add, MPa. */
  readonly spareMpa: number;
}

/**
 * How hard a clamp may press. Under a soft round pad the face is pressed evenly, and is in tension
 * round the pad's rim: σ = (1 − 2ν)/2·p (Boussinesq). A twisted piece pressed flat on a hard bed is
 * bent to a saddle, w = g·xy/(W·H): σ = E·t·g/(2(1 + ν)·W·H), which takes 2M_xy = D_p(1 − ν)·2g/(W·H)
 * at each corner (Kirchhoff's corner force). Flattened or not, no more than what is to spare.
 */
export function clampLimit(piece: ClampedPiece): ClampLimit {
  const { widthMm, heightMm, thicknessMm: t, youngModulusMpa: E, poisson: ν, twistMm } = piece;
  const padAreaMm2 = (Math.PI * piece.padDiameterMm ** 2) / 4;
  const byPadN = (2 * piece.spareMpa * padAreaMm2) / (1 - 2 * ν);
  const saddle = twistMm / (widthMm * heightMm);
  const flattenMpa = (E * t * saddle) / (2 * (1 + ν));
  const flattenN = (E * t ** 3 * saddle) / (6 * (1 + ν));
  // Short of flat the stress goes with the force; flat, more force adds nothing but the pad's own.
  const byTwistN =
    flattenMpa > piece.spareMpa ? (flattenN * piece.spareMpa) / flattenMpa : Infinity;
  return {
    maxN: Math.min(byPadN, byTwistN),
    byPadN,
    flattenN,
    flattenMpa,
    bound: byTwistN < byPadN ? 'twist' : 'pad',
  };
}
