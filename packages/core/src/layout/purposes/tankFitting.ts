import { input } from '../../documents/reason';
import { definePurpose } from './definePurpose';
import { clash } from './fit';
import { across, bothSides, box, drawing, leaf, upright } from './sketch';

/** Room round the thread: it must drop in, no more. */
const ROOM_MM = { min: 1, usual: 1.5, max: 2 } as const;
/** Gasket on sound face that no seal goes without, mm a side. */
const MIN_SEAL_MM = 3;

/** A threaded tank or basin fitting: the gasket must reach past the worst chip. */
export const tankFitting = definePurpose({
  title: 'Tank or basin fitting',
  about: 'A threaded fitting clamps a gasket over the hole’s edge and must not weep.',
  fields: {
    threadDiameterMm: { kind: 'length', label: 'Thread, outside', sold: 'thread', max: 300 },
    flangeDiameterMm: {
      kind: 'length',
      label: 'Gasket or flange, outside',
      note: 'The smaller of the two where they differ.',
      max: 500,
    },
    sealWidthMm: {
      kind: 'length',
      label: 'Seal on sound face, at least',
      usual: MIN_SEAL_MM,
      max: 50,
    },
    makerLeastMm: { kind: 'length', label: 'Maker’s hole, from', optional: true, max: 400 },
    makerMostMm: { kind: 'length', label: 'Maker’s hole, to', optional: true, max: 400 },
    sealSide: {
      kind: 'choice',
      label: 'Gasket sits',
      options: { inside: 'Inside', outside: 'Outside' },
      usual: 'inside',
    },
  },
  calculate: (v) => {
    const thread = v.threadDiameterMm;
    const flange = v.flangeDiameterMm;
    if (flange <= thread) {
      return clash(
        'flangeDiameterMm',
        ({ L }) =>
          `The flange of ${L(flange)} is not wider than the thread of ${L(thread)}: it would fall through the hole.`,
      );
    }
    const { makerLeastMm: from, makerMostMm: to } = v;
    if (from !== undefined && to !== undefined && from > to) {
      return clash(
        'makerMostMm',
        ({ L }) =>
          `The maker’s hole runs from ${L(from)} to ${L(to)}: the second must be the larger.`,
      );
    }
    const sealed = flange - 2 * v.sealWidthMm;
    const leastMm = v.makerLeastMm ?? thread + ROOM_MM.min;
    if (leastMm <= thread) {
      return clash(
        'makerLeastMm',
        ({ L }) => `A hole of ${L(leastMm)} does not pass a thread of ${L(thread)}.`,
      );
    }
    const mostMm = Math.min(v.makerMostMm ?? thread + ROOM_MM.max, sealed);
    if (mostMm < leastMm) {
      return clash(
        'flangeDiameterMm',
        ({ L }) =>
          `A flange of ${L(flange)} with ${L(v.sealWidthMm)} of seal a side allows a hole of at most ${L(sealed)}, but the thread of ${L(thread)} needs ${L(leastMm)}.`,
      );
    }
    const wished =
      v.makerLeastMm === undefined && v.makerMostMm === undefined
        ? thread + ROOM_MM.usual
        : (leastMm + mostMm) / 2;
    const targetMm = Math.min(mostMm, Math.max(leastMm, wished));
    const shift = (targetMm - thread) / 2;
    const raw = (flange - targetMm) / 2 - shift - v.sealWidthMm;
    const coverMm = Math.max(0, raw);
    const other = v.sealSide === 'inside' ? 'outside' : 'inside';
    return {
      diameter: { targetMm, leastMm, mostMm },
      depth: { kind: 'through' },
      coverMm,
      toleranceMm: null,
      found: { thread, targetMm, leastMm, mostMm, shift, flange, raw, other },
    };
  },
  says: (v, { thread, targetMm, leastMm, mostMm, shift, flange, raw, other }, { L }) => ({
    why: `${L(thread)} of thread and ${L(targetMm - thread)} of room.`,
    working: [
      input('Thread', L(thread)),
      input('Hole', `${L(leastMm)} to ${L(mostMm)}; ${L(targetMm)}`),
      input('Worst shift of the thread in it', `(hole − thread) ÷ 2 = ${L(shift)}`),
      input('Flange beyond the hole', `(flange − hole) ÷ 2 = ${L((flange - targetMm) / 2)}`),
      input('Seal kept on sound face', L(v.sealWidthMm)),
      input('Chips it hides', `beyond − shift − seal = ${L(raw)}`),
    ],
    source:
      'Thread plus 1 to 2 mm, or the maker’s own range, never wider than leaves the seal on sound face.',
    results: [{ key: 'worstShiftMm', label: 'Thread can shift by', value: shift, text: L(shift) }],
    followUps: [
      {
        when: 'before',
        title: `Drill from ${other}`,
        detail: `Chips are worse where the bit comes out: let that be the ${v.sealSide} face, under the gasket.`,
      },
      {
        when: 'after',
        title: 'Fit and test',
        detail: `Gasket ${v.sealSide}, clean and dry, hand-tight and a quarter turn. Fill, wait a day with dry paper under it.`,
      },
      {
        when: 'after',
        title: 'If it weeps',
        detail:
          'Reseat the gasket; then a second gasket; then sealant on clean dry faces. Never more force.',
      },
    ],
    cautions: [
      ...(raw <= 0
        ? [
            {
              code: 'no-chip-hidden' as const,
              message: `With the thread shifted to one side the flange of ${L(flange)} leaves ${L(Math.max(0, (flange - targetMm) / 2 - shift))} for seal and chips together; the seal alone wants ${L(v.sealWidthMm)}. No chip may reach the gasket.`,
            },
          ]
        : []),
    ],
  }),
  draw: (v, { diameter, coverMm }, { thicknessMm: t }, { L }) => {
    const hole = diameter.targetMm;
    const half = v.flangeDiameterMm * 0.72;
    const flange = v.flangeDiameterMm / 2;
    const h = Math.max(3, 0.08 * v.flangeDiameterMm);
    const gasket = Math.max(1.5, 0.035 * v.flangeDiameterMm);
    const R = v.threadDiameterMm / 2;
    return drawing(
      [
        ...leaf(hole, half, [0, t], 'glass'),
        ...bothSides(R * 0.72, R, [-gasket - h, t + 2.2 * h], 'part'),
        ...bothSides(R, flange, [-gasket, 0], 'gasket'),
        ...bothSides(R * 0.72, flange, [-gasket - h, -gasket], 'part'),
        ...bothSides(R, Math.min(flange, R * 1.35), [t, t + 1.3 * h], 'part'),
        ...[-1, 1].map((side) => ({
          kind: 'line' as const,
          x0: side * (hole / 2 + (coverMm ?? 0)),
          x1: side * (hole / 2 + (coverMm ?? 0)),
          z0: -gasket * 1.6,
          z1: t * 0.35,
          tone: 'rim' as const,
          dashed: true,
        })),
        across(hole, t + 4 * h, L(hole)),
        across(v.flangeDiameterMm, -gasket - h * 2, L(v.flangeDiameterMm)),
        box([-R * 0.72, R * 0.72], [-gasket - h, t + 2.2 * h], 'void'),
        upright(half, 0, t, L(t)),
      ],
      [-half, half * 1.08],
      [-gasket - h * 3, t + 4.6 * h],
      `Section: thread of ${L(v.threadDiameterMm)} in a hole of ${L(hole)}, gasket of ${L(v.flangeDiameterMm)} ${v.sealSide}, hiding chips up to ${L(coverMm ?? 0)} from the edge.`,
    );
  },
  reverse: (diameterMm, { L }) =>
    diameterMm >= 8
      ? `A fitting with a thread of ${L(diameterMm - ROOM_MM.max)} to ${L(diameterMm - ROOM_MM.min)} and a gasket of ${L(diameterMm + 2 * MIN_SEAL_MM + ROOM_MM.max)} or more.`
      : null,
});
