import { input } from '../../documents/reason';
import { definePurpose } from './definePurpose';
import { clash } from './fit';
import { across, bothSides, box, drawing, leaf, upright } from './sketch';

/** Room over the shaft, or over the bush that is glued in, mm. */
const ROOM_MM = {
  running: { min: 0.2, usual: 0.4, max: 0.8 },
  push: { min: 0.05, usual: 0.1, max: 0.2 },
  bush: { min: 0.1, usual: 0.2, max: 0.4 },
} as const;

/** Shaft, spindle or clock arbor, running in the hole or in a bush. */
export const shaft = definePurpose({
  title: 'Shaft, spindle or arbor',
  about: 'Something turns in it, or is pushed in; brittle bodies want a bush.',
  fields: {
    shaftDiameterMm: { kind: 'length', label: 'Shaft', sold: 'shaft', max: 300 },
    fit: {
      kind: 'choice',
      label: 'Fit',
      options: { running: 'Runs free', push: 'Push fit', bush: 'In a glued bush' },
      usual: 'running',
    },
    bushDiameterMm: { kind: 'length', label: 'Bush, outside', optional: true, max: 400 },
    flangeDiameterMm: {
      kind: 'length',
      label: 'Washer or flange over it',
      optional: true,
      max: 500,
    },
  },
  calculate: (v) => {
    if (v.fit === 'bush' && v.bushDiameterMm === undefined) {
      return clash(
        'bushDiameterMm',
        () => 'A bush is wanted, but its outside diameter is missing.',
      );
    }
    const bush = v.bushDiameterMm ?? 0;
    if (v.fit === 'bush' && bush <= v.shaftDiameterMm) {
      return clash(
        'bushDiameterMm',
        ({ L }) => `A bush of ${L(bush)} outside cannot hold a shaft of ${L(v.shaftDiameterMm)}.`,
      );
    }
    const part = v.fit === 'bush' ? bush : v.shaftDiameterMm;
    const room = ROOM_MM[v.fit];
    const targetMm = part + room.usual;
    const flange = v.flangeDiameterMm;
    if (flange !== undefined && flange <= targetMm) {
      return clash(
        'flangeDiameterMm',
        ({ L }) => `A washer of ${L(flange)} falls into a hole of ${L(targetMm)}.`,
      );
    }
    const coverMm = flange === undefined ? null : (flange - targetMm) / 2 - room.usual / 2;
    return {
      diameter: { targetMm, leastMm: part + room.min, mostMm: part + room.max },
      depth: { kind: 'through' },
      coverMm: coverMm === null ? null : Math.max(0, coverMm),
      toleranceMm: 0.5,
      found: { part, room, targetMm, coverMm, flange },
    };
  },
  says: (v, { part, room, targetMm, coverMm, flange }, { L }) => ({
    why: `${L(part)} ${v.fit === 'bush' ? 'of bush' : 'of shaft'} and ${L(room.usual)} of room.`,
    working: [
      input(v.fit === 'bush' ? 'Bush, outside' : 'Shaft', L(part)),
      input('Room', `${L(room.min)} to ${L(room.max)}`),
      input('Hole', L(targetMm)),
      ...(coverMm === null ? [] : [input('Chips the washer hides', L(coverMm))]),
    ],
    source:
      'Running, push and glued fits in brittle bodies; no press fits: they wedge the hole open.',
    results: [],
    followUps: [
      {
        when: 'after',
        title: v.fit === 'bush' ? 'Glue the bush' : 'Try the shaft',
        detail:
          v.fit === 'bush'
            ? 'Dry and clean, thin even glue, the bush held square by the shaft until it sets.'
            : 'It goes in by its own weight or a light push; ease the hole, never force the shaft.',
      },
    ],
    cautions: [
      ...(coverMm !== null && coverMm <= 0
        ? [
            {
              code: 'no-chip-hidden' as const,
              message: `A washer of ${L(flange ?? 0)} over a hole of ${L(targetMm)} hides no chip.`,
            },
          ]
        : []),
    ],
  }),
  draw: (v, { diameter }, { thicknessMm: t }, { L }) => {
    const hole = diameter.targetMm;
    const half = Math.max(1.6 * hole, 0.8 * t, (v.flangeDiameterMm ?? 0) * 0.7);
    const R = v.shaftDiameterMm / 2;
    const washer = Math.max(0.1 * t, 1);
    return drawing(
      [
        ...leaf(hole, half, [0, t], 'glass'),
        ...(v.fit === 'bush' && v.bushDiameterMm !== undefined
          ? bothSides(R, v.bushDiameterMm / 2, [0, t], 'gasket')
          : []),
        box([-R, R], [-0.6 * hole, t + 0.4 * hole], 'part'),
        ...(v.flangeDiameterMm === undefined
          ? []
          : bothSides(R, v.flangeDiameterMm / 2, [-washer, 0], 'barrel')),
        across(hole, -0.75 * hole, L(hole)),
        upright(half * 1.05, 0, t, L(t)),
      ],
      [-half, half * 1.08],
      [-0.9 * hole, t + 0.45 * hole],
      `Section: shaft of ${L(v.shaftDiameterMm)} in a hole of ${L(hole)}.`,
    );
  },
  reverse: (diameterMm, { L }) =>
    `A shaft of ${L(diameterMm - ROOM_MM.running.usual)} that runs free.`,
});
