import type { Drawing, Primitive } from '../math/primitives';
import type { PointMm } from '../layout/outline';
import type { Outline } from '../documents/outline';
import { radiusAt } from '../layout/curve';
import { turnOf } from '../layout/wrap';
import { formatLengthShort } from '../words/units/length';
import type { UnitSystem } from '../data/unitSystem';

type Round = Extract<Outline, { kind: 'cylinder' | 'cone' }>;
interface RoundHole extends PointMm {
  readonly label: string;
  readonly diameterMm: number;
}

const SIDES = 90;

/** A round piece looked down on: its wall, the seam at the bottom, and each hole in its direction. */
export function roundDrawing(
  outline: Round,
  thicknessMm: number,
  holes: readonly RoundHole[],
  units: UnitSystem,
): Drawing {
  const R = radiusAt(outline, holes[0]?.yMm ?? outline.heightMm / 2) ?? 1;
  const inner = Math.max(0, R - thicknessMm);
  // The seam lies at the bottom; round to the right as the unrolled face runs.
  const on = (turnDeg: number, r: number): readonly [number, number] => {
    const angle = (turnDeg * Math.PI) / 180;
    return [r * Math.sin(angle), r * Math.cos(angle)];
  };
  const ring = (r: number): readonly (readonly [number, number])[] =>
    Array.from({ length: SIDES }, (_, i) => on((360 * i) / SIDES, r));
  const bores = holes.flatMap(({ xMm, yMm, diameterMm }): Primitive[] => {
    const turn = turnOf(outline, xMm);
    const here = radiusAt(outline, yMm) ?? R;
    const half = (Math.asin(Math.min(1, diameterMm / (2 * here))) * 180) / Math.PI;
    const [x0, z0] = on(turn, inner * 0.55);
    const [x1, z1] = on(turn, R * 1.18);
    return [
      {
        kind: 'path',
        tone: 'void',
        points: [
          on(turn - half, R),
          on(turn, R * 1.01),
          on(turn + half, R),
          on(turn + half, inner),
          on(turn - half, inner),
        ],
      },
      { kind: 'line', x0, z0, x1, z1, tone: 'rim', heavy: true },
    ];
  });
  const [seamX, seamZ] = on(0, R);
  const words = holes.map(
    ({ label, xMm }) => `${label} ${Math.round(turnOf(outline, xMm))}° from the seam`,
  );
  return {
    primitives: [
      { kind: 'path', points: ring(R), tone: 'ceramic' },
      { kind: 'path', points: ring(inner), tone: 'void' },
      ...bores,
      {
        kind: 'line',
        x0: seamX,
        z0: seamZ - (R - inner),
        x1: seamX,
        z1: seamZ + R * 0.12,
        tone: 'ink',
        dashed: true,
      },
      {
        kind: 'dimension',
        x0: -R,
        z0: -R * 1.3,
        x1: R,
        z1: -R * 1.3,
        text: formatLengthShort(2 * R, units),
      },
    ],
    x0: -1.25 * R,
    x1: 1.25 * R,
    z0: -1.5 * R,
    z1: 1.25 * R,
    description: `Looking down on it, ${formatLengthShort(2 * R, units)} across, the seam at the bottom: ${words.join(', ') || 'no holes'}.`,
  };
}
