/**
 * How the ring's temperature goes over time: heat conducted into the body from under the rim, by
 * finite volumes in the distance from it. A core's ring is a line on a half-space, so heat spreads as
 * in a half-cylinder; a solid bit's disc spreads as in a half-sphere; `plane` is the closed form's own
 * case. SI inside, mm and seconds at the boundary.
 */
export type HeatSpread = 'plane' | 'half-cylinder' | 'half-sphere';

export interface HeatedRim {
  readonly spread: HeatSpread;
  /** Width of the groove, or diameter of a solid bit, mm; how far it spreads from. */
  readonly widthMm: number;
  readonly conductivityWPerMK: number;
  readonly densityKgPerM3: number;
  readonly specificHeatJPerKgK: number;
  /** q into the piece while it cuts, W/mm². */
  readonly heatFluxWPerMm2: number;
}

/** A stretch of time in which nothing changes. */
export interface HeatPhase {
  readonly seconds: number;
  readonly cutting: boolean;
  /** h at the rim, W/(m²·K). */
  readonly waterWPerM2K: number;
  /** Heat while it cuts in this phase beside the usual: 1.5·β/β where it runs dry. */
  readonly heatFactor?: number;
}

export interface RimHistory {
  readonly atS: Float64Array;
  /** Above the water, K. */
  readonly riseK: Float64Array;
  readonly maxK: number;
}

/** Cells away from the rim, and how much each is longer than the last. */
const CELLS = 44;
const GROWTH = 1.14;
/** First cell of the groove's width. */
const FIRST_CELL = 1 / 12;

/**
 * Backward Euler in time, so that any step is stable; boundary q − h·T at the rim, none at the far
 * end, which lies beyond what is reached.
 * @param stepS time step, s; the answer is given at each
 */
export function rimHistory(
  rim: HeatedRim,
  phases: readonly HeatPhase[],
  stepS: number,
): RimHistory {
  const { k, ρc, areas, volumes, gaps, footArea } = cellsOf(rim);
  const T = new Float64Array(CELLS);
  const times: number[] = [0];
  const rises: number[] = [0];
  let now = 0;
  for (const { seconds, cutting, waterWPerM2K: h, heatFactor = 1 } of phases) {
    const steps = Math.max(1, Math.ceil(seconds / stepS - 1e-9));
    const dt = seconds / steps;
    const q = cutting ? rim.heatFluxWPerMm2 * 1e6 * heatFactor : 0;
    // The rim's own face is half a cell from the first cell's middle.
    const half = (k * (areas[0] ?? 0)) / ((gaps[0] ?? 1) / 2);
    const face = h * footArea;
    const through = (half * face) / (half + face);
    const supplied = (q * footArea * half) / (half + face);
    for (let step = 0; step < steps; step++) {
      const next = tridiagonal(T, { k, ρc, areas, volumes, gaps, dt, through, supplied });
      T.set(next);
      now += dt;
      times.push(now);
      // T_face from q·A − h·A·T_face = half·(T_face − T₀).
      rises.push((q * footArea + half * (T[0] ?? 0)) / (half + face));
    }
  }
  const riseK = Float64Array.from(rises);
  return { atS: Float64Array.from(times), riseK, maxK: riseK.reduce((a, b) => Math.max(a, b), 0) };
}

interface Cells {
  readonly k: number;
  readonly ρc: number;
  /** Area of each cell's near face, m² a metre of groove (or m²); one more than cells. */
  readonly areas: Float64Array;
  readonly volumes: Float64Array;
  readonly gaps: Float64Array;
  /** Area the rim itself presses on. */
  readonly footArea: number;
}

function cellsOf(rim: HeatedRim): Cells {
  const w = rim.widthMm / 1000;
  const r0 = rim.spread === 'plane' ? 0 : w / 2;
  const gaps = Float64Array.from({ length: CELLS }, (_, i) => w * FIRST_CELL * GROWTH ** i);
  const areas = new Float64Array(CELLS + 1);
  const volumes = new Float64Array(CELLS);
  let r = r0;
  areas[0] = areaAt(rim.spread, r);
  for (let i = 0; i < CELLS; i++) {
    const beyond = r + (gaps[i] ?? 0);
    areas[i + 1] = areaAt(rim.spread, beyond);
    volumes[i] = volumeBetween(rim.spread, r, beyond);
    r = beyond;
  }
  return {
    k: rim.conductivityWPerMK,
    ρc: rim.densityKgPerM3 * rim.specificHeatJPerKgK,
    areas,
    volumes,
    gaps,
    footArea: { plane: 1, 'half-cylinder': w, 'half-sphere': (Math.PI * w * w) / 4 }[rim.spread],
  };
}

const areaAt = (spread: HeatSpread, r: number): number =>
  ({ plane: 1, 'half-cylinder': Math.PI * r, 'half-sphere': 2 * Math.PI * r * r })[spread];

const volumeBetween = (spread: HeatSpread, r: number, R: number): number =>
  ({
    plane: R - r,
    'half-cylinder': (Math.PI / 2) * (R * R - r * r),
    'half-sphere': ((2 * Math.PI) / 3) * (R ** 3 - r ** 3),
  })[spread];

/** One implicit step: Thomas's algorithm. */
function tridiagonal(
  T: Float64Array,
  at: Omit<Cells, 'footArea'> & {
    readonly dt: number;
    readonly through: number;
    readonly supplied: number;
  },
): Float64Array {
  const { k, ρc, areas, volumes, gaps, dt, through, supplied } = at;
  const diagonal = new Float64Array(CELLS);
  const above = new Float64Array(CELLS);
  const x = new Float64Array(CELLS);
  for (let i = 0; i < CELLS; i++) {
    const kept = (ρc * (volumes[i] ?? 0)) / dt;
    const inward =
      i === 0 ? 0 : (k * (areas[i] ?? 0)) / (((gaps[i - 1] ?? 0) + (gaps[i] ?? 0)) / 2);
    const outward =
      i === CELLS - 1 ? 0 : (k * (areas[i + 1] ?? 0)) / (((gaps[i] ?? 0) + (gaps[i + 1] ?? 0)) / 2);
    const own = kept + inward + outward + (i === 0 ? through : 0);
    const right = kept * (T[i] ?? 0) + (i === 0 ? supplied : 0);
    // Eliminates −inward below the diagonal by the row before.
    const factor = i === 0 ? 0 : -inward / (diagonal[i - 1] ?? 1);
    diagonal[i] = i === 0 ? own : own - factor * (above[i - 1] ?? 0);
    above[i] = -outward;
    x[i] = i === 0 ? right : right - factor * (x[i - 1] ?? 0);
  }
  for (let i = CELLS - 1; i >= 0; i--)
    x[i] =
      ((x[i] ?? 0) - (above[i] ?? 0) * (i + 1 < CELLS ? (x[i + 1] ?? 0) : 0)) / (diagonal[i] ?? 1);
  return x;
}

/**
 * Surface of a half-space under an even flux q with water h (Carslaw and Jaeger, 2.7):
 * ΔT = q/h·(1 − exp(h²at/k²)·erfc(h√(at)/k)), K.
 */
export function semiInfiniteRise(
  rim: Pick<
    HeatedRim,
    'conductivityWPerMK' | 'densityKgPerM3' | 'specificHeatJPerKgK' | 'heatFluxWPerMm2'
  >,
  waterWPerM2K: number,
  seconds: number,
): number {
  const k = rim.conductivityWPerMK;
  const a = k / (rim.densityKgPerM3 * rim.specificHeatJPerKgK);
  const z = (waterWPerM2K * Math.sqrt(a * seconds)) / k;
  return ((rim.heatFluxWPerMm2 * 1e6) / waterWPerM2K) * (1 - scaledErfc(z));
}

/** exp(z²)·erfc(z), z ≥ 0: Numerical Recipes' rational Chebyshev fit, good to 1.2e-7. */
function scaledErfc(z: number): number {
  const t = 1 / (1 + z / 2);
  const terms = [
    -1.26551223, 1.00002368, 0.37409196, 0.09678418, -0.18628806, 0.27886807, -1.13520398,
    1.48851587, -0.82215223, 0.17087277,
  ];
  const sum = terms.reduceRight((acc, c) => c + t * acc, 0);
  return t * Math.exp(sum);
}
