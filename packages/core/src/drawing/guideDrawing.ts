import type { Drawing, Tone } from '../math/primitives';
import { tanDeg } from '../layout/aim';
import type { DamInput, FallWedge, GuideBoard, GuideBoardInput } from '../layout/guideBoard';
import { across, bothSides, box, leaf, upright } from '../layout/purposes/sketch';
import { formatLengthAbout, formatLengthShort } from '../words/units/length';
import type { UnitSystem } from '../data/unitSystem';

type Point = readonly [x: number, z: number];

/** A small lean is drawn this much larger where it would not be seen, and the drawing says so. */
const MIN_SEEN_DEG = 4;

/** Board on piece, cut through the hole: the bit as far over as its play lets it lean. */
export function guideDrawing(
  board: GuideBoard,
  { boardThicknessMm: t, bitDiameterMm: D, depthMm }: GuideBoardInput,
  body: Tone,
  units: UnitSystem,
): Drawing {
  const L = (mm: number): string => formatLengthShort(mm, units);
  const half = board.minSideMm / 2;
  const shownDeg = Math.max(board.leanDeg, Math.min(MIN_SEEN_DEG, 10));
  const swing = tanDeg(shownDeg);
  const at = (z: number): number => z * swing;
  const [top, foot] = [-t - D, depthMm * 1.05];
  const exaggerated = shownDeg > board.leanDeg;
  const barrel: readonly Point[] = [
    [at(top) - D / 2, top],
    [at(top) + D / 2, top],
    [at(foot) + D / 2, foot],
    [at(foot) - D / 2, foot],
  ];
  return {
    primitives: [
      box([-half, half], [0, depthMm], body),
      ...leaf(board.holeMm, half, [-t, 0], 'wood'),
      { kind: 'path', tone: 'barrel', points: barrel },
      { kind: 'line', x0: 0, x1: 0, z0: top, z1: foot, tone: 'ink', dashed: true },
      { kind: 'line', x0: at(top), x1: at(foot), z0: top, z1: foot, tone: 'rim', heavy: true },
      upright(-half - D * 0.15, -t, 0, L(t), 'left'),
      upright(half + D * 0.15, 0, depthMm, L(depthMm)),
    ],
    x0: -half * 1.1,
    x1: half * 1.1,
    z0: top,
    z1: foot + depthMm * 0.05,
    description: `A guide board ${L(t)} thick on the piece; the bit may come out about ${formatLengthAbout(board.exitOffsetMm, units)} off true after ${L(depthMm)}${exaggerated ? ', its lean drawn larger than it is' : ''}.`,
  };
}

/** A ring of putty on the face, cut through, full of water with the bit in it. */
export function damDrawing(
  { bitDiameterMm: D, innerDiameterMm: d, wallMm, heightMm: h }: DamInput,
  body: Tone,
  units: UnitSystem,
): Drawing {
  const L = (mm: number): string => formatLengthShort(mm, units);
  const outer = d / 2 + wallMm;
  const wide = outer * 1.3;
  const deep = Math.max(h * 0.8, 6);
  return {
    primitives: [
      box([-wide, wide], [0, deep], body),
      { kind: 'area', x0: -d / 2, x1: d / 2, z0: -h * 0.9, z1: 0, tone: 'water' },
      { kind: 'water-line', x0: -d / 2, x1: d / 2, z: -h * 0.9 },
      ...bothSides(d / 2, outer, [-h, 0], 'gasket'),
      box([-D / 2, D / 2], [-h * 1.8, 0], 'barrel'),
      across(d, deep * 1.35, L(d)),
      upright(outer + wallMm * 0.5, -h, 0, L(h)),
    ],
    x0: -wide,
    x1: wide,
    z0: -h * 1.8,
    z1: deep * 1.7,
    description: `A ring ${L(d)} inside and ${L(h)} high, full of water round the bit.`,
  };
}

/** A guide packed up at one end so that the hole falls. */
export function wedgeDrawing(wedge: FallWedge, baseMm: number, units: UnitSystem): Drawing {
  const L = (mm: number): string => formatLengthShort(mm, units);
  const thick = baseMm * 0.1;
  const p = Math.max(wedge.packerMm, baseMm * 0.03);
  const foot: readonly Point[] = [
    [0, 0],
    [baseMm, -p],
    [baseMm, -p - thick],
    [0, -thick],
  ];
  const below = thick * 1.8;
  return {
    primitives: [
      box([-baseMm * 0.1, baseMm * 1.1], [0, thick], 'masonry'),
      box([baseMm * 0.9, baseMm], [-p, 0], 'hard'),
      { kind: 'path', tone: 'wood', points: foot },
      { kind: 'dimension', x0: 0, x1: baseMm, z0: below, z1: below, text: L(baseMm) },
      upright(baseMm * 1.05, -p, 0, L(wedge.packerMm)),
    ],
    x0: -baseMm * 0.1,
    x1: baseMm * 1.1,
    z0: -p - thick * 1.3,
    z1: thick * 2.2,
    description: `The guide’s foot, ${L(baseMm)} long, packed up ${L(wedge.packerMm)} at one end${p > wedge.packerMm ? ', drawn steeper than it is' : ''}.`,
  };
}
