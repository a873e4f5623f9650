import type { BarePlan, PlannedLayer } from '../documents/plan';
import { SUPPORTS, type SupportId } from '../data/supports';
import type { Primitive, Tone } from '../math/primitives';

/** A dam is drawn this wide and this much above its water. */
const DAM_WIDTH_OF_HALF = 0.1;

/** Water as it stands, runs or drips over the piece. */
export function drawWater(plan: BarePlan, halfWidthMm: number, topMm: number): Primitive[] {
  const { method, coverMm } = plan.water;
  if (coverMm !== null) {
    const isPool = method === 'pool';
    const edge = isPool ? halfWidthMm * 0.94 : halfWidthMm;
    const dam = halfWidthMm * DAM_WIDTH_OF_HALF;
    const wall = (side: 1 | -1): Primitive => ({
      kind: 'path',
      tone: 'soft',
      closed: true,
      points: [
        [side * edge, 0],
        [side * (edge - dam), 0],
        [side * (edge - dam * 0.7), -coverMm * 1.25],
        [side * (edge - dam * 0.2), -coverMm * 1.25],
      ],
    });
    const reach = isPool ? edge - dam * 0.85 : edge;
    return [
      { kind: 'area', x0: -reach, x1: reach, z0: -coverMm, z1: 0, tone: 'water' },
      ...(isPool ? [wall(-1), wall(1)] : []),
      { kind: 'water-line', x0: -reach, x1: reach, z: -coverMm },
    ];
  }
  if (method === 'spindle') return drawSpindle(plan, topMm);
  if (method === 'none') return [];
  const R = plan.setup.bitDiameterMm / 2;
  const size = Math.abs(topMm) * 0.09;
  return [0.2, 0.45, 0.7].map((share): Primitive => {
    const z = topMm * share;
    return {
      kind: 'path',
      tone: 'water',
      closed: true,
      points: [
        [R * 1.22, z - size * 1.4],
        [R * 1.22 + size * 0.6, z - size * 0.2],
        [R * 1.22, z + size * 0.4],
        [R * 1.22 - size * 0.6, z - size * 0.2],
      ],
    };
  });
}

/** Water down inside the barrel and out over the face. */
function drawSpindle({ setup }: BarePlan, topMm: number): Primitive[] {
  const inner = setup.solid
    ? setup.bitDiameterMm * 0.1
    : setup.bitDiameterMm / 2 - setup.rimWidthMm;
  return [
    { kind: 'area', x0: -inner, x1: inner, z0: topMm * 0.35, z1: 0, tone: 'water' },
    {
      kind: 'area',
      x0: -setup.bitDiameterMm * 0.72,
      x1: -setup.bitDiameterMm / 2,
      z0: topMm * 0.03,
      z1: 0,
      tone: 'water',
    },
    {
      kind: 'area',
      x0: setup.bitDiameterMm / 2,
      x1: setup.bitDiameterMm * 0.72,
      z0: topMm * 0.03,
      z1: 0,
      tone: 'water',
    },
  ];
}

const layerTone = (layer: PlannedLayer): Tone => layer.class ?? 'void';

/** The piece, leaf by leaf, and what lies behind it. */
export function drawPiece(
  plan: BarePlan,
  pieceThicknessMm: number,
  halfWidthMm: number,
  bottomMm: number,
): Primitive[] {
  const reach = plan.layers.at(-1)?.toMm ?? 0;
  const last = plan.layers.at(-1);
  const across = { x0: -halfWidthMm, x1: halfWidthMm };
  return [
    ...plan.layers.map((layer): Primitive => ({
      kind: 'area',
      ...across,
      z0: layer.fromMm,
      z1: layer.toMm,
      tone: layerTone(layer),
      outlined: true,
    })),
    // A blind hole stops inside the piece: the rest of it is still there.
    ...(last && pieceThicknessMm > reach
      ? [
          {
            kind: 'area' as const,
            ...across,
            z0: reach,
            z1: pieceThicknessMm,
            tone: layerTone(last),
          },
        ]
      : []),
    ...drawBacking(plan, pieceThicknessMm, halfWidthMm, bottomMm),
  ];
}

function drawBacking(
  { setup }: BarePlan,
  z0: number,
  halfWidthMm: number,
  bottomMm: number,
): Primitive[] {
  const { look } = SUPPORTS[setup.supportKind as SupportId];
  if (look === 'none') return [];
  const z1 = Math.min(bottomMm, z0 + setup.supportThicknessMm);
  return [{ kind: 'area', x0: -halfWidthMm, x1: halfWidthMm, z0, z1, tone: look, outlined: true }];
}
