import { faultyInWords } from '@nucleon/core/words/faults';
import { holdAdvice, type HoldPart } from '@nucleon/core/words/advice/holdAdvice';
import { isOnFace } from '@nucleon/core/layout/outline';
import type { Fault } from '@nucleon/core/documents/fault';
import { stressOf } from '@nucleon/core/advice/risk/stressOf';
import { inUnits } from '@nucleon/core/words/plan/planInUnits';
import { stressText } from '@nucleon/core/words/plan/stressText';
import type { Bend } from '@nucleon/core/physics/plate/bender';
import type { Bending } from '@nucleon/core/documents/bending';
import { locator } from '@nucleon/core/physics/plate/locate';
import { contours } from 'd3-contour';
import type { AskedHole } from './askedHole';

/** Points across the longer side of the map. */
const GRID = 96;
/** Rings of points on the face, mm. */
export type FaceRings = readonly (readonly (readonly [number, number])[])[];

/** Steps of a map: one, two and five of each ten, from a thirtieth of the most, and the limit. */
const FAINTEST = 1 / 30;

export interface StressBand {
  readonly mpa: number;
  /** The allowable stress itself. */
  readonly isLimit: boolean;
  readonly rings: FaceRings;
}

/** The bending as shapes to draw over the piece, with what it comes to. */
export interface StressView {
  readonly bending: Bending;
  readonly text: string;
  readonly totalMpa: number;
  readonly limitMpa: number;
  readonly heatMpa: number;
  readonly crackProbability: number;
  readonly chipMm: number | null;
  readonly bands: readonly StressBand[];
  readonly advice: readonly HoldPart[];
}

export type StressViewOutcome =
  | { readonly kind: 'drawn'; readonly view: StressView }
  | { readonly kind: 'faulty'; readonly faults: readonly Fault[] };

/** Marching squares over the greater tension of both faces. */
export function stressView({ drillCase, units }: AskedHole, bend: Bend): StressViewOutcome {
  const outcome = stressOf(drillCase, bend);
  if (outcome.kind === 'faulty') return faultyInWords(outcome);
  const { context, field } = outcome.stress;
  const { crack, bending } = context;
  const { limitMpa } = crack;
  return {
    kind: 'drawn',
    view: {
      bending,
      text: stressText(context, units),
      totalMpa: crack.stressMpa,
      limitMpa,
      heatMpa: context.thermalStressMpa,
      crackProbability: crack.total,
      chipMm: context.chip?.p50 ?? null,
      bands: field ? bandsOf(context.piece.outline, field, limitMpa) : [],
      advice: holdAdvice(inUnits(context, units)),
    },
  };
}

type Outcome = ReturnType<typeof stressOf>;
type Stress = (Outcome & { readonly kind: 'stressed' })['stress'];

function bandsOf(
  outline: Stress['context']['piece']['outline'],
  { mesh, solution }: NonNullable<Stress['field']>,
  limitMpa: number,
): readonly StressBand[] {
  const [widthMm, heightMm] = [mesh.x, mesh.y].map((all) =>
    all.reduce((max, one) => Math.max(max, one), 0),
  ) as [number, number];
  const stepMm = Math.max(widthMm, heightMm) / GRID;
  const columns = Math.max(2, Math.round(widthMm / stepMm) + 1);
  const rows = Math.max(2, Math.round(heightMm / stepMm) + 1);
  const [dx, dy] = [widthMm / (columns - 1), heightMm / (rows - 1)];
  const locate = locator(mesh);
  const tension = (node: number): number =>
    Math.max(solution.farTensionMpa[node] ?? 0, solution.nearTensionMpa[node] ?? 0);
  const values = Array.from({ length: columns * rows }, (_, cell) => {
    const p = { xMm: (cell % columns) * dx, yMm: Math.floor(cell / columns) * dy };
    const found = locate(p.xMm, p.yMm);
    if (!found || (outline.kind !== 'rectangle' && !isOnFace(outline, p))) return 0;
    return found.nodes.reduce(
      (sum, node, corner) => sum + tension(node) * (found.shares[corner] ?? 0),
      0,
    );
  });
  const max = values.reduce((a, b) => Math.max(a, b), 0);
  const marching = contours().size([columns, rows]);
  return stepsTo(max, limitMpa).map((mpa) => ({
    mpa,
    isLimit: mpa === limitMpa,
    rings: marching
      .contour(values, mpa)
      .coordinates.flatMap((polygon) =>
        polygon.map((ring) =>
          ring.map(([x = 0, y = 0]): readonly [number, number] => [(x - 0.5) * dx, (y - 0.5) * dy]),
        ),
      ),
  }));
}

function stepsTo(maxMpa: number, limitMpa: number): readonly number[] {
  if (maxMpa <= 0) return [];
  const tens = Math.floor(Math.log10(maxMpa * FAINTEST));
  const round = [0, 1, 2].flatMap((more) => [1, 2, 5].map((one) => one * 10 ** (tens + more)));
  return [...round.filter((mpa) => mpa >= maxMpa * FAINTEST && mpa !== limitMpa), limitMpa]
    .filter((mpa) => mpa < maxMpa)
    .sort((a, b) => a - b);
}
