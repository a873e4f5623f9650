import type { Plan } from '../documents/plan';
import type { Primitive } from '../math/primitives';

/** Above the face a barrel is shown this many diameters, then its shank. */
const BARREL_HEIGHTS = 0.55;
const SHANK_OF_DIAMETER = 0.36;
const RIM_HEIGHT_OF_DIAMETER = 0.09;
/** Groove gap drawn wide enough to be seen, mm of the smallest. */
const GROOVE_GAP_OF_RIM = 0.12;

/** The bit with its rim at a depth, and the groove or bore it has cut. */
export function drawBit(setup: Plan['setup'], depthMm: number, topMm: number): Primitive[] {
  return setup.solid
    ? drawSolid(setup.bitDiameterMm, depthMm, topMm)
    : drawCore(setup, depthMm, topMm);
}

function drawCore(
  { bitDiameterMm: D, rimWidthMm: w }: Plan['setup'],
  depthMm: number,
  topMm: number,
): Primitive[] {
  const R = D / 2;
  const gap = w * GROOVE_GAP_OF_RIM;
  const capZ = Math.max(topMm * 0.72, -(D * BARREL_HEIGHTS) + Math.min(depthMm, 0));
  const plate = Math.max(w, D * 0.05);
  const rimHeight = Math.min(D * RIM_HEIGHT_OF_DIAMETER + w * 0.5, depthMm - capZ);
  const shank = (D * SHANK_OF_DIAMETER) / 2;
  const wall = (side: 1 | -1): Primitive[] => {
    const [outer, inner] = [side * R, side * (R - w)];
    return [
      {
        kind: 'area',
        x0: Math.min(outer + side * gap, inner - side * gap),
        x1: Math.max(outer + side * gap, inner - side * gap),
        z0: 0,
        z1: depthMm,
        tone: 'turbidity',
      },
      {
        kind: 'area',
        x0: Math.min(outer, inner),
        x1: Math.max(outer, inner),
        z0: capZ,
        z1: depthMm,
        tone: 'barrel',
        outlined: true,
      },
      {
        kind: 'area',
        x0: Math.min(outer, inner),
        x1: Math.max(outer, inner),
        z0: depthMm - rimHeight,
        z1: depthMm,
        tone: 'rim',
      },
    ];
  };
  return [
    ...wall(-1),
    ...wall(1),
    { kind: 'area', x0: -R, x1: R, z0: capZ - plate, z1: capZ, tone: 'barrel', outlined: true },
    {
      kind: 'area',
      x0: -shank,
      x1: shank,
      z0: topMm,
      z1: capZ - plate,
      tone: 'barrel',
      outlined: true,
    },
  ];
}

function drawSolid(D: number, depthMm: number, topMm: number): Primitive[] {
  const R = D / 2;
  const tip = Math.min(R * 0.6, depthMm + R);
  const rimHeight = Math.min(2.2 * D, depthMm - topMm);
  const body = (z0: number): (readonly [number, number])[] => [
    [-R, z0],
    [R, z0],
    [R, depthMm - tip],
    [R * 0.55, depthMm],
    [-R * 0.55, depthMm],
    [-R, depthMm - tip],
  ];
  return [
    { kind: 'area', x0: -R * 1.12, x1: R * 1.12, z0: 0, z1: depthMm, tone: 'turbidity' },
    { kind: 'path', points: body(topMm), tone: 'barrel', closed: true },
    { kind: 'path', points: body(depthMm - rimHeight), tone: 'rim', closed: true },
  ];
}
