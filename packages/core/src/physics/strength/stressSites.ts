/** Where the piece is stretched while it is drilled; stresses in MPa. */
export interface StressSite {
  readonly kind: 'rim' | 'web' | 'groove';
  /** σ_T: goes with force times speed. */
  readonly thermalMpa: number;
  /** By the drill: goes with force. */
  readonly pressedMpa: number;
  /** By weight and clamps. */
  readonly atRestMpa: number;
  /** Length under tension over that of the reference hole's rim. */
  readonly lengthShare: number;
}

/** Strengths are those of the rim of a hole of this diameter, mm. */
const REFERENCE_DIAMETER_MM = 25;

/** Weibull's size effect: a longer edge has more flaws. L/L₀ of a rim of diameter D. */
export const rimLengthShare = (diameterMm: number): number => diameterMm / REFERENCE_DIAMETER_MM;

/**
 * Web between the hole and an edge or another hole, as a strip of clear width b and length D clamped
 * at its ends, under its share of the ring's force, F/π, evenly spread: M = (F/π)·D/12,
 * σ = 6·M/(b·t²) = F·D/(2π·b·t²). It fades out as b nears D, where the plate itself carries it.
 */
export function webStress(
  forceN: number,
  diameterMm: number,
  clearMm: number,
  thicknessMm: number,
): number {
  if (clearMm >= diameterMm) return 0;
  const b = Math.max(clearMm, 0.01 * diameterMm);
  const fading = 1 - clearMm / diameterMm;
  return (fading * forceN * diameterMm) / (2 * Math.PI * b * thicknessMm ** 2);
}

/**
 * Far face under the groove with δ left: a ring of width w clamped on both sides under the line load
 * q = F/(2π·r_m): M = q·w/8, σ = 6·M/δ² = 0.75·q·w/δ². Under a solid bit a clamped disc of its
 * radius, σ = 3F/(4π·δ²) (Roark).
 */
export const grooveStress = (
  forceN: number,
  ring: { readonly solid: boolean; readonly meanRadiusMm: number; readonly rimWidthMm: number },
  leftMm: number,
): number => grooveLoad(forceN, ring) / leftMm ** 2;

/** σ·δ², N. */
const grooveLoad = (
  forceN: number,
  {
    solid,
    meanRadiusMm,
    rimWidthMm,
  }: { readonly solid: boolean; readonly meanRadiusMm: number; readonly rimWidthMm: number },
): number =>
  solid
    ? (3 * forceN) / (4 * Math.PI)
    : (0.75 * forceN * rimWidthMm) / (2 * Math.PI * meanRadiusMm);

/** δ at which the last ligament lets go, mm: where σ of the groove reaches the strength. */
export const lastLigament = (
  forceN: number,
  ring: { readonly solid: boolean; readonly meanRadiusMm: number; readonly rimWidthMm: number },
  strengthMpa: number,
): number => Math.sqrt(grooveLoad(forceN, ring) / strengthMpa);

/** Roark's shell coefficients over μ: membrane B and bending C under a load on a small circle. */
const ROARK = [
  [0.1, 0.215, 1.394],
  [0.2, 0.212, 1.064],
  [0.4, 0.204, 0.739],
  [0.6, 0.193, 0.554],
  [0.8, 0.181, 0.429],
  [1.0, 0.168, 0.337],
  [1.2, 0.155, 0.266],
  [1.4, 0.143, 0.211],
] as const;

/**
 * Greatest tension of a curved wall under a load on a circle of radius r₀ (Roark, spherical shell with a
 * load on a small concentric circle): σ = B·F·√(1 − ν²)/t² + C·F·(1 + ν)/t², B and C by
 * μ = r₀′·(12(1 − ν²)/(R²t²))^¼, r₀′ as Westergaard's. A cylinder is curved one way only: it stands as
 * a sphere of twice its radius.
 */
export function shellStress(
  forceN: number,
  wall: { readonly radiusMm: number; readonly thicknessMm: number; readonly poisson: number },
  loadRadiusMm: number,
): number {
  const { thicknessMm: t, poisson: ν } = wall;
  const R = 2 * wall.radiusMm;
  const r0 =
    loadRadiusMm < 0.5 * t ? Math.sqrt(1.6 * loadRadiusMm ** 2 + t * t) - 0.675 * t : loadRadiusMm;
  const μ = r0 * ((12 * (1 - ν * ν)) / (R * R * t * t)) ** 0.25;
  const [B, C] = coefficientsAt(μ);
  return (forceN * (B * Math.sqrt(1 - ν * ν) + C * (1 + ν))) / (t * t);
}

function coefficientsAt(μ: number): readonly [B: number, C: number] {
  const [first] = ROARK;
  const last = ROARK[ROARK.length - 1] ?? first;
  if (μ <= first[0]) return [first[1], first[2]];
  // Beyond the table the load is spread over a wide circle and both die away with it.
  if (μ >= last[0]) return [(last[1] * last[0]) / μ, last[2] * (last[0] / μ) ** 2];
  const upper = ROARK.findIndex(([at]) => at >= μ);
  const [high, low] = [ROARK[upper] ?? last, ROARK[upper - 1] ?? first];
  const along = (μ - low[0]) / (high[0] - low[0]);
  return [low[1] + along * (high[1] - low[1]), low[2] + along * (high[2] - low[2])];
}
