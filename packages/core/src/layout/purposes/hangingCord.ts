import { input } from '../../documents/reason';
import { bundleDiameter, CORD_ROOM, MAX_STRANDS } from './bundle';
import { definePurpose } from './definePurpose';
import { across, drawing } from './sketch';

/** A cord is threaded with some pushing at this much room. */
const MIN_ROOM = 1.1;
const MAX_ROOM = 1.8;

/** Cord or chain through a pendant or tag. */
export const hangingCord = definePurpose({
  title: 'Cord or chain',
  about: 'One or more strands pass through, knotted or looped.',
  fields: {
    strandMm: { kind: 'length', label: 'One strand across', sold: 'wire', max: 30 },
    strands: {
      kind: 'number',
      label: 'Strands through it',
      unit: '',
      usual: 2,
      whole: true,
      atLeast: 1,
      max: MAX_STRANDS,
    },
  },
  calculate: (v, { pieceMassKg }) => {
    const bundle = bundleDiameter(v.strandMm, v.strands);
    return {
      diameter: {
        targetMm: bundle * CORD_ROOM,
        leastMm: bundle * MIN_ROOM,
        mostMm: bundle * MAX_ROOM,
      },
      depth: { kind: 'through' },
      coverMm: null,
      toleranceMm: null,
      easesEdges: true,
      found: { bundle, pieceMassKg },
    };
  },
  says: (v, { bundle, pieceMassKg }, { L, significant }) => ({
    why: `A bundle of ${L(bundle)} and three tenths of room.`,
    working: [
      input('Strand', L(v.strandMm)),
      input(`${v.strands} side by side`, L(bundle)),
      input('Hole', `bundle × 1.3 = ${L(bundle * CORD_ROOM)}`),
    ],
    source: 'Smallest circle round equal strands; a cord passes easily at 1.3 times its bundle.',
    results: [
      { key: 'bundleMm', label: 'Bundle', value: bundle, text: L(bundle) },
      ...(pieceMassKg === null
        ? []
        : [
            {
              key: 'massG',
              label: 'It weighs',
              value: pieceMassKg * 1000,
              text: `${significant(pieceMassKg * 1000, 2)} g`,
            },
          ]),
    ],
    followUps: [],
    cautions: [],
  }),
  draw: (v, { diameter }, _, { L }) => {
    const R = diameter.targetMm / 2;
    const bundle = bundleDiameter(v.strandMm, v.strands);
    const ring = (bundle - v.strandMm) / 2;
    const central = v.strands >= 7;
    const round = central ? v.strands - 1 : v.strands;
    const strands = Array.from({ length: round }, (_, index) => ({
      kind: 'disc' as const,
      x: v.strands === 1 ? 0 : ring * Math.cos((2 * Math.PI * index) / round),
      z: v.strands === 1 ? 0 : ring * Math.sin((2 * Math.PI * index) / round),
      radiusMm: v.strandMm / 2,
      tone: 'part' as const,
    }));
    return drawing(
      [
        { kind: 'area', x0: -2 * R, x1: 2 * R, z0: -1.6 * R, z1: 1.6 * R, tone: 'stone' },
        { kind: 'disc', x: 0, z: 0, radiusMm: R, tone: 'void' },
        ...strands,
        ...(central
          ? [{ kind: 'disc' as const, x: 0, z: 0, radiusMm: v.strandMm / 2, tone: 'part' as const }]
          : []),
        across(2 * R, -1.9 * R, L(2 * R)),
      ],
      [-2 * R, 2 * R],
      [-2.2 * R, 1.6 * R],
      `Seen from above: ${v.strands} strands in a hole of ${L(2 * R)}.`,
    );
  },
  reverse: (diameterMm, { L }) =>
    diameterMm <= 30
      ? `A cord of ${L(diameterMm / CORD_ROOM)}, or two strands of ${L(diameterMm / CORD_ROOM / 2)}.`
      : null,
});
