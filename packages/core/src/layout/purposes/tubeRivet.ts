import { input } from '../../documents/reason';
import { definePurpose } from './definePurpose';
import { clash } from './fit';
import { across, bothSides, drawing, leaf, upright } from './sketch';

/** Room for the tube: a slip fit that still centres it. */
const ROOM_MM = { min: 0.05, usual: 0.1, max: 0.15 } as const;
/** Tube left standing at each side to be flared. */
const FLARE_OF_OD = 0.35;
const MIN_FLARE_MM = 1;

/** A tube rivet or liner, flared on both faces. */
export const tubeRivet = definePurpose({
  title: 'Tube rivet or liner',
  about: 'A thin tube lines the hole and is flared over both faces.',
  fields: {
    tubeDiameterMm: { kind: 'length', label: 'Tube, outside', sold: 'tube', max: 50 },
    tubeWallMm: { kind: 'length', label: 'Tube wall', usual: 0.3, max: 10 },
    pieceThicknessMm: {
      kind: 'length',
      label: 'Thickness there',
      usual: 'piece-thickness',
      max: 500,
    },
    flareMm: {
      kind: 'length',
      label: 'Left for the flare, each side',
      note: '0.35 of the tube, at least 1 mm.',
      optional: true,
      max: 20,
    },
  },
  calculate: (v) => {
    const od = v.tubeDiameterMm;
    if (v.tubeWallMm >= od / 2) {
      return clash(
        'tubeWallMm',
        ({ L }) =>
          `A wall of ${L(v.tubeWallMm)} fills a tube of ${L(od)}: it must be under half, ${L(od / 2)}.`,
      );
    }
    const flare = v.flareMm ?? Math.max(MIN_FLARE_MM, FLARE_OF_OD * od);
    const length = v.pieceThicknessMm + 2 * flare;
    const targetMm = od + ROOM_MM.usual;
    // A flare laid over covers its own length less the bend, about one wall, and the play.
    const rawCover = flare - v.tubeWallMm - ROOM_MM.usual / 2;
    return {
      diameter: { targetMm, leastMm: od + ROOM_MM.min, mostMm: od + ROOM_MM.max },
      depth: { kind: 'through' },
      coverMm: Math.max(0, rawCover),
      toleranceMm: null,
      found: { od, targetMm, flare, length, rawCover },
    };
  },
  says: (v, { od, targetMm, flare, length, rawCover }, { L }) => ({
    why: `${L(od)} of tube and a tenth of a millimetre to slip in.`,
    working: [
      input('Tube OD', L(od)),
      input('Hole', `OD + ${L(ROOM_MM.min)} to ${L(ROOM_MM.max)}: ${L(targetMm)}`),
      input('Flare each side', L(flare)),
      input('Tube length', `thickness + 2 × flare = ${L(length)}`),
      input('Bore left', `OD − 2 × wall = ${L(od - 2 * v.tubeWallMm)}`),
      input('Chips the flare hides', `flare − wall − play = ${L(rawCover)}`),
    ],
    source: 'Slip fit of 0.05 to 0.15 mm; flare 0.35 of the tube, at least 1 mm a side.',
    results: [
      { key: 'tubeLengthMm', label: 'Cut the tube to', value: length, text: L(length) },
      {
        key: 'boreMm',
        label: 'Bore left',
        value: od - 2 * v.tubeWallMm,
        text: L(od - 2 * v.tubeWallMm),
      },
    ],
    followUps: [
      {
        when: 'before',
        title: 'Make the tube ready',
        detail: `Cut ${L(length)}, square both ends, take off the burr, soften it: heat to dull red and quench.`,
      },
      {
        when: 'after',
        title: 'Flare from both sides by turns',
        detail: `${L(flare)} standing each side. Support the far flare on a cone; press, never strike: riveting is a risk of its own.`,
      },
    ],
    cautions: [
      ...(rawCover <= 0
        ? [
            {
              code: 'no-chip-hidden' as const,
              message: `A flare of ${L(flare)} with a wall of ${L(v.tubeWallMm)} covers nothing beyond the hole: any chip shows.`,
            },
          ]
        : []),
    ],
  }),
  draw: (v, { diameter }, _, { L }) => {
    const hole = diameter.targetMm;
    const t = v.pieceThicknessMm;
    const R = v.tubeDiameterMm / 2;
    const flare = v.flareMm ?? Math.max(MIN_FLARE_MM, FLARE_OF_OD * v.tubeDiameterMm);
    const half = Math.max(2.6 * R, 0.8 * t, R + 2 * flare);
    const w = v.tubeWallMm;
    const lip = (z: number, up: 1 | -1) =>
      bothSides(R - w, R + flare - w, up === 1 ? [z - w, z] : [z, z + w], 'part');
    return drawing(
      [
        ...leaf(hole, half, [0, t]),
        ...bothSides(R - w, R, [-w, t + w], 'part'),
        ...lip(0, 1),
        ...lip(t, -1),
        across(hole, -Math.max(2 * w, 0.3 * R), L(hole)),
        upright(half, 0, t, L(t)),
      ],
      [-half, half * 1.08],
      [-Math.max(0.25 * t, R), t + Math.max(0.2 * t, 0.6 * R)],
      `Section: tube of ${L(v.tubeDiameterMm)} in a hole of ${L(hole)}, flared over both faces.`,
    );
  },
  reverse: (diameterMm, { L }) =>
    diameterMm <= 20
      ? `A tube of ${L(diameterMm - ROOM_MM.max)} to ${L(diameterMm - ROOM_MM.min)} outside.`
      : null,
});
