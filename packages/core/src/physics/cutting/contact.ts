import type { BitGeometry } from './bitGeometry';

/** The face a bit grinds. Areas mm², lengths mm. */
export interface Contact {
  /** A_k: area of material ground away. */
  readonly kerfAreaMm2: number;
  /** A_c = φ·A_k: area of diamond that bears on it. */
  readonly contactAreaMm2: number;
  /** r_m: radius at which friction acts. */
  readonly meanRadiusMm: number;
}

/**
 * Kerf and contact of a bit of outside diameter D.
 *
 * Core: A_k = π(D − w)w, r_m = (D − w)/2. Solid: A_k = πD²/4, r_m = D/3.
 * Following a pilot of diameter d, only the annulus is ground: A_k = π(D² − d²)/4 and
 * r_m = (D³ − d³)/(3(D² − d²)), the centroid of uniform pressure, which is D/3 at d = 0.
 */
export function contactOf(
  bit: Pick<BitGeometry, 'solid' | 'diameterMm' | 'rimWidthMm' | 'coverage'>,
  pilotDiameterMm = 0,
): Contact {
  const D = bit.diameterMm;
  const w = bit.rimWidthMm;
  const innerMm = bit.solid ? 0 : D - 2 * w;
  const d = Math.min(Math.max(pilotDiameterMm, innerMm), 0.999 * D);
  const followsRing = !bit.solid && d === innerMm;
  const kerfAreaMm2 = followsRing ? Math.PI * (D - w) * w : (Math.PI * (D * D - d * d)) / 4;
  const meanRadiusMm = followsRing ? (D - w) / 2 : (D ** 3 - d ** 3) / (3 * (D * D - d * d));
  return { kerfAreaMm2, contactAreaMm2: bit.coverage * kerfAreaMm2, meanRadiusMm };
}

/** n = 60 000·v/(π·D), rpm from rim speed m/s and diameter mm. */
export const rpmForRimSpeed = (rimSpeedMPerS: number, diameterMm: number): number =>
  (60_000 * rimSpeedMPerS) / (Math.PI * diameterMm);

/** v = π·D·n/60 000, m/s. */
export const rimSpeedAt = (rpm: number, diameterMm: number): number =>
  (Math.PI * diameterMm * rpm) / 60_000;

/** v_m = 2π·r_m·n/60 000: speed at the mean radius, m/s. */
export const meanSpeedAt = (rpm: number, meanRadiusMm: number): number =>
  (2 * Math.PI * meanRadiusMm * rpm) / 60_000;
