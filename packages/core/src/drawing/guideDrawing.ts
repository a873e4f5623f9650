import type { Drawing, Primitive, Tone } from '../math/primitives';
import { tanDeg } from '../layout/aim';
import type { DamInput, FallWedge, GuideBoard, GuideBoardInput } from '../layout/guideBoard';
import { formatLengthAbout, formatLengthShort } from '../words/units/length';
import type { UnitSystem } from '../data/unitSystem';

/** A small lean is drawn this much larger where it would not be seen, and the drawing says so. */
const MIN_SEEN_DEG = 4;

/** Board on piece, cut through the hole: the bit as far over as its play lets it lean. */
export function guideDrawing(
  board: GuideBoard,
  { boardThicknessMm: t, bitDiameterMm: D, depthMm }: GuideBoardInput,
  body: Tone,
  units: UnitSystem,
): Drawing {
  const half = board.minSideMm / 2;
  const shownDeg = Math.max(board.leanDeg, Math.min(MIN_SEEN_DEG, 10));
  const swing = tanDeg(shownDeg);
  const at = (z: number): number => z * swing;
  const r = board.holeMm / 2;
  const [top, foot] = [-t - D, depthMm * 1.05];
  const exaggerated = shownDeg > board.leanDeg;
  const side = (from: number, to: number, z0: number, z1: number, tone: Tone): Primitive => ({
    kind: 'area',
    x0: from,
    x1: to,
    z0,
    z1,
    tone,
    outlined: true,
  });
  return {
    primitives: [
      side(-half, half, 0, depthMm, body),
      side(-half, -r, -t, 0, 'wood'),
      side(r, half, -t, 0, 'wood'),
      {
        kind: 'path',
        tone: 'barrel',
        points: [
          [at(top) - D / 2, top],
          [at(top) + D / 2, top],
          [at(foot) + D / 2, foot],
          [at(foot) - D / 2, foot],
        ],
      },
      { kind: 'line', x0: 0, x1: 0, z0: top, z1: foot, tone: 'ink', dashed: true },
      {
        kind: 'line',
        x0: at(top),
        x1: at(foot),
        z0: top,
        z1: foot,
        tone: 'rim',
        heavy: true,
      },
      {
        kind: 'dimension',
        x0: -half - D * 0.15,
        x1: -half - D * 0.15,
        z0: -t,
        z1: 0,
        text: formatLengthShort(t, units),
        words: 'left',
      },
      {
        kind: 'dimension',
        x0: half + D * 0.15,
        x1: half + D * 0.15,
        z0: 0,
        z1: depthMm,
        text: formatLengthShort(depthMm, units),
        words: 'right',
      },
    ],
    x0: -half * 1.1,
    x1: half * 1.1,
    z0: top,
    z1: foot + depthMm * 0.05,
    description: `A guide board ${formatLengthShort(t, units)} thick on the piece; the bit may come out about ${formatLengthAbout(board.exitOffsetMm, units)} off true after ${formatLengthShort(depthMm, units)}${exaggerated ? ', its lean drawn larger than it is' : ''}.`,
  };
}

/** A ring of putty on the face, cut through, full of water with the bit in it. */
export function damDrawing(
  { bitDiameterMm: D, innerDiameterMm: d, wallMm, heightMm: h }: DamInput,
  body: Tone,
  units: UnitSystem,
): Drawing {
  const outer = d / 2 + wallMm;
  const wide = outer * 1.3;
  const deep = Math.max(h * 0.8, 6);
  const wall = (x0: number): Primitive => ({
    kind: 'area',
    x0,
    x1: x0 + wallMm,
    z0: -h,
    z1: 0,
    tone: 'gasket',
    outlined: true,
  });
  return {
    primitives: [
      { kind: 'area', x0: -wide, x1: wide, z0: 0, z1: deep, tone: body, outlined: true },
      { kind: 'area', x0: -d / 2, x1: d / 2, z0: -h * 0.9, z1: 0, tone: 'water' },
      { kind: 'water-line', x0: -d / 2, x1: d / 2, z: -h * 0.9 },
      wall(-outer),
      wall(d / 2),
      { kind: 'area', x0: -D / 2, x1: D / 2, z0: -h * 1.8, z1: 0, tone: 'barrel', outlined: true },
      {
        kind: 'dimension',
        x0: -d / 2,
        x1: d / 2,
        z0: deep * 1.35,
        z1: deep * 1.35,
        text: formatLengthShort(d, units),
      },
      {
        kind: 'dimension',
        x0: outer + wallMm * 0.5,
        x1: outer + wallMm * 0.5,
        z0: -h,
        z1: 0,
        text: formatLengthShort(h, units),
        words: 'right',
      },
    ],
    x0: -wide,
    x1: wide,
    z0: -h * 1.8,
    z1: deep * 1.7,
    description: `A ring ${formatLengthShort(d, units)} inside and ${formatLengthShort(h, units)} high, full of water round the bit.`,
  };
}

/** A guide packed up at one end so that the hole falls. */
export function wedgeDrawing(wedge: FallWedge, baseMm: number, units: UnitSystem): Drawing {
  const thick = baseMm * 0.1;
  const p = Math.max(wedge.packerMm, baseMm * 0.03);
  return {
    primitives: [
      {
        kind: 'area',
        x0: -baseMm * 0.1,
        x1: baseMm * 1.1,
        z0: 0,
        z1: thick,
        tone: 'masonry',
        outlined: true,
      },
      { kind: 'area', x0: baseMm * 0.9, x1: baseMm, z0: -p, z1: 0, tone: 'hard', outlined: true },
      {
        kind: 'path',
        tone: 'wood',
        points: [
          [0, 0],
          [baseMm, -p],
          [baseMm, -p - thick],
          [0, -thick],
        ],
      },
      {
        kind: 'dimension',
        x0: 0,
        x1: baseMm,
        z0: thick * 1.8,
        z1: thick * 1.8,
        text: formatLengthShort(baseMm, units),
      },
      {
        kind: 'dimension',
        x0: baseMm * 1.05,
        x1: baseMm * 1.05,
        z0: -p,
        z1: 0,
        text: formatLengthShort(wedge.packerMm, units),
        words: 'right',
      },
    ],
    x0: -baseMm * 0.1,
    x1: baseMm * 1.1,
    z0: -p - thick * 1.3,
    z1: thick * 2.2,
    description: `The guide’s foot, ${formatLengthShort(baseMm, units)} long, packed up ${formatLengthShort(wedge.packerMm, units)} at one end${p > wedge.packerMm ? ', drawn steeper than it is' : ''}.`,
  };
}
