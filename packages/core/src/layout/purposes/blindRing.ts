import { input } from '../../documents/reason';
import { definePurpose } from './definePurpose';
import { clash } from './fit';
import { across, box, drawing, upright } from './sketch';

/** Left below a ring, share of the thickness: less and the piece breaks along it. */
const MIN_LEFT = 1 / 3;

/** A decorative ring or dimple: no exit. */
export const blindRing = definePurpose({
  title: 'Ring or dimple for looks',
  about: 'Part way down; the core may stay standing.',
  fields: {
    outerDiameterMm: { kind: 'length', label: 'Ring, outside', max: 500 },
    ringDepthMm: { kind: 'length', label: 'Depth', max: 300 },
    pieceThicknessMm: {
      kind: 'length',
      label: 'Thickness there',
      usual: 'piece-thickness',
      max: 5000,
    },
    core: {
      kind: 'choice',
      label: 'Inside it',
      options: { standing: 'Leave the core standing', out: 'Take it out: a dimple' },
      usual: 'standing',
    },
  },
  calculate: (v) => {
    const thicknessMm = v.pieceThicknessMm;
    const left = thicknessMm - v.ringDepthMm;
    if (left <= 0) {
      return clash(
        'ringDepthMm',
        ({ L }) => `A ring ${L(v.ringDepthMm)} deep goes through a piece ${L(thicknessMm)} thick.`,
      );
    }
    return {
      diameter: {
        targetMm: v.outerDiameterMm,
        leastMm: v.outerDiameterMm - 0.5,
        mostMm: v.outerDiameterMm + 0.5,
      },
      depth: { kind: v.core === 'standing' ? 'ring' : 'blind', depthMm: v.ringDepthMm },
      coverMm: null,
      toleranceMm: 1,
      found: { left, thicknessMm },
    };
  },
  says: (v, { left, thicknessMm }, { L }) => ({
    why: `The bit’s outside is the ring’s outside; ${L(left)} stay below.`,
    working: [
      input('Ring, outside', L(v.outerDiameterMm)),
      input('Depth by a stop', L(v.ringDepthMm)),
      input('Left below', `thickness − depth = ${L(left)}`),
    ],
    source: 'A core bit cuts its own outside diameter; no far face is opened.',
    results: [{ key: 'leftBelowMm', label: 'Left below', value: left, text: L(left) }],
    followUps: [
      {
        when: 'before',
        title: 'Set a depth stop',
        detail: `Collar or tape at ${L(v.ringDepthMm)}; try it on a scrap first.`,
      },
    ],
    cautions: [
      ...(left < MIN_LEFT * thicknessMm
        ? [
            {
              code: 'thin-left' as const,
              message: `${L(left)} below a ring of ${L(v.ringDepthMm)} is less than a third of ${L(thicknessMm)}: it may break along the ring.`,
            },
          ]
        : []),
    ],
  }),
  draw: (v, { diameter, depth }, _, { L }) => {
    const t = v.pieceThicknessMm;
    const R = diameter.targetMm / 2;
    const w = Math.min(2, R / 3);
    const d = v.ringDepthMm;
    const half = Math.max(1.7 * R, t);
    return drawing(
      [
        box([-half, half], [0, t], 'stone'),
        ...(depth.kind === 'ring'
          ? [box([-R, -R + w], [0, d], 'void'), box([R - w, R], [0, d], 'void')]
          : [box([-R, R], [0, d], 'void')]),
        across(2 * R, -0.25 * t, L(2 * R)),
        upright(half * 1.05, 0, d, L(d)),
      ],
      [-half, half * 1.08],
      [-0.45 * t, t],
      `Section: a ring of ${L(2 * R)}, ${L(d)} deep in ${L(t)}.`,
    );
  },
  reverse: (diameterMm, { L }) =>
    diameterMm >= 3 ? `A ring or dimple ${L(diameterMm)} across.` : null,
});
