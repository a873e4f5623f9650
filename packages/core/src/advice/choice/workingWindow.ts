import { rpmForRimSpeed } from '../../physics/cutting/contact';
import type { PlanContext } from '../../plan/planContext';
import { areaAt, marginsAt, windowCase, type WindowCase } from '../../setup/windowMargins';
import { WINDOW_AREAS, type WindowArea } from '../../setup/windowAreas';

/** Grid reaches beyond the window by these factors. */
const SPEED_REACH = 2;
const FORCE_REACH = 2;
/**
 * The map of speed against force on a grid, both logarithmic.
 * `margins[area]` runs row by row, one row a force from the least up, columns from the slowest speed;
 * margins are held to ± 9.
 */
export interface WorkingWindow {
  readonly columns: number;
  readonly rows: number;
  /** Speed of each column, rpm, and force of each row, N. */
  readonly rpm: readonly number[];
  readonly forceN: readonly number[];
  readonly margins: { readonly [Area in WindowArea]: Float32Array };
  /** What the machine can turn at, rpm: lines where from and to are the same. */
  readonly machine: readonly { readonly fromRpm: number; readonly toRpm: number }[];
  readonly plan: WindowPoint;
  readonly diameterMm: number;
  readonly contactAreaMm2: number;
}

export interface WindowPoint {
  readonly rpm: number;
  readonly forceN: number;
  readonly area: WindowArea | 'clean';
  /** The least margin there, sd: how far from the nearest border. */
  readonly margin: number;
  readonly nearest: WindowArea;
}

const MAX_MARGIN = 9;
/** Finer says nothing more, and costs. */
export const MAX_GRID = 400;

/** @param size columns and rows, 2 to 400 */
export function workingWindow(context: PlanContext, size = 120): WorkingWindow {
  if (size < 2 || size > MAX_GRID)
    throw new RangeError(`A window of ${size} × ${size} is not drawn; 2 to ${MAX_GRID} are.`);
  const one = windowCase(context);
  const { headline, setup } = context;
  const { window, contact, bit } = headline;
  const { rimSpeedMPerS: v, pressureMpa: p } = window;
  const throwOff = setup.coolant.throwOffMPerS ?? v.high;
  const rpm = logSteps(
    rpmForRimSpeed(
      Math.min(v.low / SPEED_REACH, headline.speed.rimSpeedMPerS / 1.3),
      bit.diameterMm,
    ),
    rpmForRimSpeed(
      Math.max(
        Math.min(Math.max(v.high, throwOff), v.high * SPEED_REACH) * 1.3,
        headline.speed.rimSpeedMPerS * 1.3,
      ),
      bit.diameterMm,
    ),
    size,
  );
  const area = contact.contactAreaMm2;
  const planned = headline.force.feedForceN;
  const forceN = logSteps(
    Math.min((p.glaze * area) / FORCE_REACH, planned / 1.3),
    Math.max(p.high * area * FORCE_REACH, planned * 1.3),
    size,
  );
  const margins = Object.fromEntries(
    WINDOW_AREAS.map((name) => [name, new Float32Array(size * size)]),
  ) as { [Area in WindowArea]: Float32Array };
  for (let row = 0; row < size; row++) {
    for (let column = 0; column < size; column++) {
      const at = marginsAt(one, rpm[column] ?? 1, forceN[row] ?? 1);
      for (const name of WINDOW_AREAS)
        margins[name][row * size + column] = Math.max(-MAX_MARGIN, Math.min(MAX_MARGIN, at[name]));
    }
  }
  return {
    columns: size,
    rows: size,
    rpm,
    forceN,
    margins,
    machine: setup.settings.map(({ minRpm, maxRpm }) => ({ fromRpm: minRpm, toRpm: maxRpm })),
    plan: pointAt(one, headline.speed.rpm, planned),
    diameterMm: bit.diameterMm,
    contactAreaMm2: area,
  };
}

/** A speed and force, with where they lie. */
export function pointAt(one: WindowCase, rpm: number, forceN: number): WindowPoint {
  const margins = marginsAt(one, rpm, forceN);
  const nearest = WINDOW_AREAS.reduce((best, area) =>
    margins[area] < margins[best] ? area : best,
  );
  return { rpm, forceN, area: areaAt(margins), margin: margins[nearest], nearest };
}

function logSteps(from: number, to: number, count: number): number[] {
  return Array.from({ length: count }, (_, i) => from * (to / from) ** (i / (count - 1)));
}
