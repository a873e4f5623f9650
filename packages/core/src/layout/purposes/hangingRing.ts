import { STANDARD_GRAVITY_M_PER_S2 } from '../../math/constants';
import type { FollowUp } from '../../documents/fit';
import { input } from '../../documents/reason';
import { definePurpose } from './definePurpose';
import { clash } from './fit';
import { across, drawing, upright } from './sketch';

/** Room for a ring to swing, mm over the hole it just needs. */
const SWING_MM = 0.3;
const MAX_ROOM_MM = 1.5;

/** h ≥ wire + r − √(r² − t²/4): the chord a ring of inside radius r makes through thickness t. */
export const ringHole = (wireMm: number, r: number, t: number): number =>
  wireMm + r - Math.sqrt(r ** 2 - t ** 2 / 4);

const FOLLOW_UPS: readonly FollowUp[] = [
  {
    when: 'before',
    title: 'Find where it hangs',
    detail: 'Hold it by the mark: it hangs straight with its middle of mass below the hole.',
  },
  {
    when: 'after',
    title: 'Open the ring sideways',
    detail: 'Never apart: it closes flush that way, and does not press on the stone.',
  },
];

/** A closed ring or bail through the piece, round its edge. */
export const hangingRing = definePurpose({
  title: 'Ring or bail',
  about: 'A closed ring goes through the hole and round the edge of the piece.',
  fields: {
    ringInsideMm: { kind: 'length', label: 'Ring, inside across', max: 200 },
    wireMm: { kind: 'length', label: 'Wire', max: 20 },
    pieceThicknessMm: {
      kind: 'length',
      label: 'Thickness there',
      usual: 'piece-thickness',
      max: 200,
    },
    edgeDistanceMm: {
      kind: 'length',
      label: 'Hole’s edge to the piece’s edge',
      max: 200,
    },
  },
  calculate: (v, { pieceMassKg }) => {
    const { ringInsideMm: inside, pieceThicknessMm: t, edgeDistanceMm: e } = v;
    const needed = Math.hypot(e, t);
    if (inside < needed) {
      return clash('ringInsideMm', ({ L }) => {
        const reach =
          inside > t ? ` or drill within ${L(Math.sqrt(inside ** 2 - t ** 2))} of the edge` : '';
        return `A ring of ${L(inside)} inside cannot close round ${L(e)} of edge and ${L(t)} of thickness: it needs ${L(needed)}${reach}.`;
      });
    }
    const r = inside / 2;
    const just = ringHole(v.wireMm, r, t);
    const targetMm = just + SWING_MM;
    const hangs =
      pieceMassKg === null
        ? null
        : { massG: pieceMassKg * 1000, weightN: pieceMassKg * STANDARD_GRAVITY_M_PER_S2 };
    const farthest = Math.sqrt(inside ** 2 - t ** 2);
    return {
      diameter: { targetMm, leastMm: just, mostMm: just + MAX_ROOM_MM },
      depth: { kind: 'through' },
      coverMm: null,
      toleranceMm: Math.max(0, farthest - e),
      easesEdges: true,
      found: { t, inside, r, just, targetMm, needed, hangs, farthest, e },
    };
  },
  says: (
    v,
    { t, inside, r, just, targetMm, needed, hangs, farthest, e },
    { L, force, significant },
  ) => ({
    why: `The wire of ${L(v.wireMm)} turns through ${L(t)} on a ring of ${L(inside)}.`,
    working: [
      input('Inside radius r', L(r)),
      input('Thickness t', L(t)),
      input('r − √(r² − t²/4)', L(just - v.wireMm)),
      input('Hole, just', `wire + that = ${L(just)}`),
      input('Hole, to swing', L(targetMm)),
      input('Ring closes round the edge', `inside ${L(inside)} ≥ √(e² + t²) = ${L(needed)}`),
      ...(hangs
        ? [
            input(
              'Hangs',
              `volume × density = ${significant(hangs.massG, 2)} g, ${force(hangs.weightN)}`,
            ),
          ]
        : []),
    ],
    source:
      'Geometry of a circle through a slab: the chord over its thickness, and the diagonal of edge and thickness.',
    results: [
      {
        key: 'farthestEdgeMm',
        label: 'Farthest from the edge',
        value: farthest,
        text: L(farthest),
      },
      {
        key: 'leastRingInsideMm',
        label: 'Smallest ring that closes',
        value: needed,
        text: L(needed),
      },
      ...(hangs
        ? [
            {
              key: 'massG',
              label: 'It weighs',
              value: hangs.massG,
              text: `${significant(hangs.massG, 2)} g`,
            },
          ]
        : []),
    ],
    followUps: FOLLOW_UPS,
    cautions: [
      ...(e < t
        ? [
            {
              code: 'hole-near-edge' as const,
              message: `${L(e)} of edge is less than the thickness of ${L(t)}: pebbles keep one thickness.`,
            },
          ]
        : []),
    ],
  }),
  draw: (v, { diameter }, _, { L }) => {
    const { pieceThicknessMm: t, edgeDistanceMm: e, wireMm } = v;
    const hole = diameter.targetMm;
    const R = v.ringInsideMm / 2 + wireMm;
    const body = 1.6 * Math.max(hole + e, v.ringInsideMm);
    // Cut along the hole's axis, the piece's edge to the left: the wire lies against the hole's far side.
    const middle = hole / 2 - R;
    return drawing(
      [
        {
          kind: 'area',
          x0: -hole / 2 - e,
          x1: -hole / 2,
          z0: 0,
          z1: t,
          tone: 'stone',
          outlined: true,
        },
        { kind: 'area', x0: hole / 2, x1: body, z0: 0, z1: t, tone: 'stone', outlined: true },
        { kind: 'disc', x: middle, z: t / 2, radiusMm: R, tone: 'rim', hollow: true },
        {
          kind: 'disc',
          x: middle,
          z: t / 2,
          radiusMm: v.ringInsideMm / 2,
          tone: 'rim',
          hollow: true,
        },
        across(hole, -R * 0.9, L(hole)),
        upright(body * 1.04, 0, t, L(t)),
      ],
      [middle - R, body * 1.06],
      [Math.min(-R * 1.1 + t / 2, -R), Math.max(R + t / 2, t * 1.4)],
      `Section near the edge: a ring of ${L(v.ringInsideMm)} inside through a hole of ${L(hole)}, ${L(e)} from the edge.`,
    );
  },
  reverse: (diameterMm, { L }) =>
    diameterMm <= 15 && diameterMm > SWING_MM + 0.3
      ? `A ring of wire up to about ${L((diameterMm - SWING_MM) * 0.7)}, less through a thick piece.`
      : null,
});
