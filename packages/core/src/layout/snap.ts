import type { BoxMm, PointMm } from './outline';

/** A line that a dragged hole snaps to: all points of one x or one y. */
export interface SnapLine {
  readonly axis: 'x' | 'y';
  readonly atMm: number;
  readonly why: 'centre' | 'third' | 'quarter' | 'hole' | 'spacing';
}

export interface Snapped {
  readonly at: PointMm;
  readonly lines: readonly SnapLine[];
}

type Candidate = Omit<SnapLine, 'axis'>;

const RANK: Record<SnapLine['why'], number> = {
  centre: 0,
  hole: 1,
  spacing: 2,
  third: 3,
  quarter: 4,
};

/** Same x or y as another hole; as far beyond two in a line as they are apart; halfway between two. */
function fromHoles(values: readonly number[]): readonly Candidate[] {
  const sorted = [...new Set(values)].sort((a, b) => a - b);
  const spacing = sorted.slice(1).flatMap((value, index) => {
    const before = sorted[index] ?? value;
    const gap = value - before;
    return [value + gap, before - gap, (value + before) / 2];
  });
  return [
    ...sorted.map((atMm): Candidate => ({ atMm, why: 'hole' })),
    ...spacing.map((atMm): Candidate => ({ atMm, why: 'spacing' })),
  ];
}

const fromBox = (length: number): readonly Candidate[] => [
  { atMm: length / 2, why: 'centre' },
  { atMm: length / 3, why: 'third' },
  { atMm: (2 * length) / 3, why: 'third' },
  { atMm: length / 4, why: 'quarter' },
  { atMm: (3 * length) / 4, why: 'quarter' },
];

function nearest(
  value: number,
  candidates: readonly Candidate[],
  withinMm: number,
): Candidate | undefined {
  return candidates
    .filter(({ atMm }) => Math.abs(atMm - value) <= withinMm)
    .sort(
      (a, b) => Math.abs(a.atMm - value) - Math.abs(b.atMm - value) || RANK[a.why] - RANK[b.why],
    )[0];
}

/** To a tenth of a millimetre: no finer than anybody marks. */
const marked = (mm: number): number => Math.round(mm * 10) / 10;

/** Where a hole that is dragged freely comes to rest: to a tenth of a millimetre. */
export const unsnapped = (at: PointMm): Snapped => ({
  at: { xMm: marked(at.xMm), yMm: marked(at.yMm) },
  lines: [],
});

/**
 * Where a dragged hole comes to rest: on the nearest line within reach in each direction, centre
 * lines, halves, thirds and quarters of the face, other holes and equal spacing between them; else to a tenth of a
 * millimetre.
 */
export function snap(
  at: PointMm,
  box: BoxMm,
  others: readonly PointMm[],
  withinMm: number,
): Snapped {
  const x = nearest(
    at.xMm,
    [...fromBox(box.widthMm), ...fromHoles(others.map((other) => other.xMm))],
    withinMm,
  );
  const y = nearest(
    at.yMm,
    [...fromBox(box.heightMm), ...fromHoles(others.map((other) => other.yMm))],
    withinMm,
  );
  return {
    at: { xMm: x?.atMm ?? marked(at.xMm), yMm: y?.atMm ?? marked(at.yMm) },
    lines: [
      ...(x ? [{ axis: 'x' as const, ...x }] : []),
      ...(y ? [{ axis: 'y' as const, ...y }] : []),
    ],
  };
}
