import { faultyInWords } from '@nucleon/core/words/faults';
import {
  pointAt,
  workingWindow,
  type WindowPoint,
  type WorkingWindow,
} from '@nucleon/core/advice/choice/workingWindow';
import { windowCase } from '@nucleon/core/setup/windowMargins';
import { WINDOW_AREAS, type WindowArea } from '@nucleon/core/setup/windowAreas';
import type { Fault } from '@nucleon/core/documents/fault';
import type { DrillCase } from '@nucleon/core/setup/drillCase';
import { contextOf } from '@nucleon/core/plan/contextOf';
import { contours } from 'd3-contour';

const GRID = 120;
/** Borders are drawn from one standard deviation outside to one inside. */
const SOFT_LEVELS = [-1, -0.5, 0, 0.5, 1] as const;
/** Smaller than this share of the map an area has no room for its name. */
const MIN_NAMED_SHARE = 0.012;

/** Rings of points, each from 0 to 1: speed to the right, force upwards. */
export type Rings = readonly (readonly (readonly [number, number])[])[];

export interface WindowShape {
  readonly area: WindowArea | 'clean';
  readonly rings: Rings;
  /** Where its name stands, well inside it; null where there is no room. */
  readonly label: readonly [number, number] | null;
}

/** The working window as shapes to draw, both axes logarithmic. */
export interface WindowView {
  readonly areas: readonly WindowShape[];
  /** The clean area again, outermost first: from one sd outside its border to one inside. */
  readonly soft: readonly Rings[];
  readonly fromRpm: number;
  readonly toRpm: number;
  readonly fromForceN: number;
  readonly toForceN: number;
  readonly machine: WorkingWindow['machine'];
  readonly diameterMm: number;
  readonly contactAreaMm2: number;
}

export type WindowOutcome =
  | { readonly kind: 'drawn'; readonly view: WindowView }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/** Marching squares over the core's margins. */
export function windowView(drillCase: DrillCase): WindowOutcome {
  const worked = contextOf(drillCase);
  if (worked.kind === 'faulty') return faultyInWords(worked);
  const grid = workingWindow(worked.context, GRID);
  const min = minMargins(grid);
  return {
    kind: 'drawn',
    view: {
      areas: [
        shapeOf('clean', min),
        ...WINDOW_AREAS.map((area) => shapeOf(area, leadOf(grid, area))),
      ],
      soft: SOFT_LEVELS.map((level) => ringsOf(min, level)),
      fromRpm: grid.rpm[0] ?? 1,
      toRpm: grid.rpm.at(-1) ?? 1,
      fromForceN: grid.forceN[0] ?? 1,
      toForceN: grid.forceN.at(-1) ?? 1,
      machine: grid.machine,
      diameterMm: grid.diameterMm,
      contactAreaMm2: grid.contactAreaMm2,
    },
  };
}

export type PointOutcome =
  | { readonly kind: 'placed'; readonly point: WindowPoint }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/** Where the plan as it stands lies, and what lies nearest to it. */
export function windowPoint(drillCase: DrillCase): PointOutcome {
  const worked = contextOf(drillCase);
  if (worked.kind === 'faulty') return faultyInWords(worked);
  const { headline } = worked.context;
  return {
    kind: 'placed',
    point: pointAt(windowCase(worked.context), headline.speed.rpm, headline.force.feedForceN),
  };
}

/** The least margin of all areas at each point: the clean window is where it is positive. */
const minMargins = ({ margins, columns, rows }: WorkingWindow): number[] =>
  Array.from({ length: columns * rows }, (_, at) =>
    Math.min(...WINDOW_AREAS.map((area) => margins[area][at] ?? 0)),
  );

/** By how much an area is both violated and violated most: positive inside it. */
function leadOf({ margins, columns, rows }: WorkingWindow, area: WindowArea): number[] {
  const others = WINDOW_AREAS.filter((other) => other !== area);
  return Array.from({ length: columns * rows }, (_, at) => {
    const own = margins[area][at] ?? 0;
    return Math.min(-own, Math.min(...others.map((other) => margins[other][at] ?? 0)) - own);
  });
}

function ringsOf(values: number[], level: number): Rings {
  const { coordinates } = contours().size([GRID, GRID]).contour(values, level);
  const scale = (at: number): number => Math.min(1, Math.max(0, (at - 0.5) / (GRID - 1)));
  return coordinates.flatMap((polygon) =>
    polygon.map((ring) =>
      ring.map(([x = 0, y = 0]): readonly [number, number] => [scale(x), scale(y)]),
    ),
  );
}

function shapeOf(area: WindowShape['area'], values: number[]): WindowShape {
  // The plan's point stands in the middle of the clean: its name goes below.
  return { area, rings: ringsOf(values, 0), label: labelAt(values, area === 'clean' ? 0.5 : 0) };
}

/**
 * The cell of the area nearest to its middle.
 * @param lower 0 at its middle, 1 at its foot
 */
function labelAt(values: readonly number[], lower: number): readonly [number, number] | null {
  const inside = values.flatMap((value, at) => (value > 0 ? [at] : []));
  if (inside.length < MIN_NAMED_SHARE * values.length) return null;
  const column = (at: number): number => at % GRID;
  const row = (at: number): number => Math.floor(at / GRID);
  const mean = (of: (at: number) => number): number =>
    inside.reduce((sum, at) => sum + of(at), 0) / inside.length;
  const [x, middle] = [mean(column), mean(row)];
  const y = middle - lower * (middle - Math.min(...inside.map(row)));
  const off = (at: number): number => (column(at) - x) ** 2 + (row(at) - y) ** 2;
  const nearest = inside.reduce((best, at) => (off(at) < off(best) ? at : best));
  return [column(nearest) / (GRID - 1), row(nearest) / (GRID - 1)];
}
