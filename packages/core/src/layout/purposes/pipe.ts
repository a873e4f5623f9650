import { input } from '../../documents/reason';
import { definePurpose } from './definePurpose';
import { clash } from './fit';
import { drawing, upright } from './sketch';

/** Ring of sealant or air round a small pipe and round a duct, mm a side. */
const CLEARANCE_MM = { pipe: 2, duct: 5, cable: 2 } as const;
/** A cover must lie on sound wall at least this wide. */
const MIN_LAP_MM = 3;
/** How far off its mark a cover plate is screwed on, mm. */
const COVER_ERROR_MM = 1;
/** Steeper than this, a core drill by hand wanders on the way in. */
const STEEP_ONE_IN = 4;

/** Both marks from each other. */
const fallResults = (lowSide: 'far' | 'near', drop: number, text: string) => [
  {
    key: 'heightDifferenceMm',
    label: lowSide === 'far' ? 'Far face lower by' : 'Near face lower by',
    value: drop,
    text,
  },
  {
    key: 'farFaceHeightMm',
    label: 'Far mark, from the near one',
    value: lowSide === 'far' ? -drop : drop,
    text: `${text} ${lowSide === 'far' ? 'down' : 'up'}`,
  },
];

/** Pipe, duct or cable through a wall, at a fall or level. */
export const pipe = definePurpose({
  title: 'Pipe, duct or cable',
  about: 'Something passes through, perhaps falling to one side, perhaps under a cover plate.',
  fields: {
    service: {
      kind: 'choice',
      label: 'What passes through',
      options: { pipe: 'Pipe', duct: 'Duct', cable: 'Cable' },
      usual: 'pipe',
    },
    outerDiameterMm: { kind: 'length', label: 'Outside diameter', sold: 'pipe', max: 900 },
    clearanceMm: {
      kind: 'length',
      label: 'Room all round',
      note: 'For sealant or a sleeve: 2 mm for a pipe, 5 mm for a duct.',
      optional: true,
      min: 0,
      max: 100,
    },
    wallThicknessMm: {
      kind: 'length',
      label: 'Wall thickness',
      usual: 'piece-thickness',
      max: 5000,
    },
    fallOneIn: {
      kind: 'number',
      label: 'Fall: one in',
      unit: '',
      note: 'Empty for level.',
      optional: true,
      atLeast: 1,
      max: 10_000,
    },
    lowSide: {
      kind: 'choice',
      label: 'Lower at',
      options: { far: 'The far face', near: 'The near face' },
      usual: 'far',
    },
    drilled: {
      kind: 'choice',
      label: 'Drilled',
      options: { sloping: 'At the fall', level: 'Level, the pipe slopes in it' },
      usual: 'sloping',
    },
    coverDiameterMm: { kind: 'length', label: 'Cover plate across', optional: true, max: 1500 },
  },
  calculate: (v) => {
    const clearance = v.clearanceMm ?? CLEARANCE_MM[v.service];
    const drop = v.fallOneIn === undefined ? 0 : v.wallThicknessMm / v.fallOneIn;
    const sloping = drop > 0 && v.drilled === 'sloping';
    const room = sloping ? 0 : drop;
    const od = v.outerDiameterMm;
    if (room > od) {
      return clash(
        'fallOneIn',
        ({ L }) =>
          `A fall of one in ${v.fallOneIn ?? 0} drops ${L(drop)} through ${L(v.wallThicknessMm)} of wall, more than the ${v.service} of ${L(od)} itself: it fouls a level hole. Drill it at the fall, or make the fall gentler than one in ${Math.ceil(v.wallThicknessMm / od)}.`,
      );
    }
    const targetMm = od + 2 * clearance + room;
    const cover = v.coverDiameterMm;
    if (cover !== undefined && cover < targetMm + 2 * MIN_LAP_MM) {
      return clash(
        'coverDiameterMm',
        ({ L }) =>
          `A cover plate of ${L(cover)} does not cover a hole of ${L(targetMm)}: it needs ${L(targetMm + 2 * MIN_LAP_MM)} or more.`,
      );
    }
    const min = od + room + Math.min(clearance, 1);
    const max = Math.min(targetMm + 2 * clearance + 2, (cover ?? Infinity) - 2 * MIN_LAP_MM);
    const lap = cover === undefined ? null : (cover - targetMm) / 2;
    const coverMm = lap === null ? null : Math.max(0, lap - COVER_ERROR_MM);
    return {
      diameter: { targetMm, leastMm: min, mostMm: Math.max(max, targetMm) },
      depth: { kind: 'through' },
      ...(sloping && v.fallOneIn !== undefined
        ? { fall: { oneIn: v.fallOneIn, lowSide: v.lowSide } }
        : {}),
      coverMm,
      toleranceMm: clearance,
      found: { od, clearance, room, drop, targetMm, lap, coverMm },
    };
  },
  says: (v, { od, clearance, room, drop, targetMm, lap, coverMm }, { L }) => ({
    why: `${L(od)} and ${L(clearance)} all round${room > 0 ? `, and ${L(room)} for the slope inside a level hole` : ''}.`,
    working: [
      input('Outside diameter OD', L(od)),
      input('Room all round c', L(clearance)),
      ...(drop > 0
        ? [
            input(
              'Drop through the wall',
              `${L(v.wallThicknessMm)} ÷ ${v.fallOneIn ?? 0} = ${L(drop)}`,
            ),
          ]
        : []),
      input(
        'Hole',
        room > 0 ? `OD + 2·c + wall·tan(angle) = ${L(targetMm)}` : `OD + 2·c = ${L(targetMm)}`,
      ),
      ...(lap === null ? [] : [input('Cover laps over', `(cover − hole) ÷ 2 = ${L(lap)}`)]),
    ],
    source:
      'A hole drilled at the fall needs no more than pipe and room; a level one must also hold the drop over the wall’s thickness.',
    results: [
      ...(drop > 0 ? fallResults(v.lowSide, drop, L(drop)) : []),
      ...(lap === null
        ? []
        : [{ key: 'coverLapMm', label: 'Cover laps over', value: lap, text: L(lap) }]),
    ],
    followUps: [
      ...(drop > 0
        ? [
            {
              when: 'before' as const,
              title: 'Set the fall',
              detail: `Mark the far face ${L(drop)} ${v.lowSide === 'far' ? 'lower' : 'higher'} than the near one; check the drill against a level with a wedge of one in ${v.fallOneIn ?? 0}.`,
            },
          ]
        : []),
      {
        when: 'after',
        title: `Seal round the ${v.service}`,
        detail: `Pass it through, centre it with ${L(clearance)} all round, and seal both faces.`,
      },
    ],
    cautions: [
      ...(v.fallOneIn !== undefined && v.fallOneIn < STEEP_ONE_IN
        ? [
            {
              code: 'steep-fall' as const,
              message: `One in ${v.fallOneIn} is steep: start square to the face until the ring holds, then tilt, or use a stand.`,
            },
          ]
        : []),
      ...(coverMm === 0
        ? [
            {
              code: 'no-chip-hidden' as const,
              message: 'The cover laps over so little that any chip shows.',
            },
          ]
        : []),
    ],
  }),
  // Drawn as it lies in the wall: near face to the left, height upwards, so that the fall is seen.
  draw: (v, { diameter, fall }, _, { L }) => {
    const t = v.wallThicknessMm;
    const H = diameter.targetMm / 2;
    const R = v.outerDiameterMm / 2;
    const drop = v.fallOneIn === undefined ? 0 : t / v.fallOneIn;
    const down = v.lowSide === 'far' ? drop : -drop;
    const lean = fall ? down : 0;
    const wall = Math.max(2 * H, 0.35 * t);
    const over = Math.max(0.12 * t, 0.35 * H);
    const plate = Math.max(0.03 * t, 3);
    const cover = v.coverDiameterMm;
    const band = (half: number, x0: number, x1: number, slope: number) =>
      [
        [x0, -half + (x0 / t) * slope],
        [x1, -half + (x1 / t) * slope],
        [x1, half + (x1 / t) * slope],
        [x0, half + (x0 / t) * slope],
      ] as const;
    return drawing(
      [
        { kind: 'area', x0: 0, x1: t, z0: -wall, z1: wall, tone: 'masonry', outlined: true },
        { kind: 'path', closed: true, tone: 'void', points: band(H, 0, t, lean) },
        { kind: 'path', closed: true, tone: 'part', points: band(R, -over, t + over, down) },
        ...(cover === undefined
          ? []
          : [-1, 1].map((side) => ({
              kind: 'area' as const,
              x0: -plate,
              x1: 0,
              z0: side < 0 ? -cover / 2 : R,
              z1: side < 0 ? -R : cover / 2,
              tone: 'barrel' as const,
              outlined: true,
            }))),
        { kind: 'line', x0: -over, x1: t + 1.6 * over, z0: 0, z1: 0, tone: 'ink', dashed: true },
        upright(-over * 1.2, -H, H, L(diameter.targetMm), 'left'),
        { kind: 'dimension', x0: 0, x1: t, z0: -wall * 1.12, z1: -wall * 1.12, text: L(t) },
        ...(drop > 0
          ? [upright(t + 1.5 * over, Math.min(0, down), Math.max(0, down), `falls ${L(drop)}`)]
          : []),
      ],
      [-over * 1.3, t + over * 1.6],
      [-wall * 1.35, wall],
      `Cut through a wall of ${L(t)}, near face to the left: the ${v.service} in a hole of ${L(diameter.targetMm)}${drop > 0 ? `, ${L(drop)} of fall` : ''}.`,
    );
  },
  reverse: (diameterMm, { L }) => {
    const pipeMm = diameterMm - 2 * CLEARANCE_MM.pipe;
    return pipeMm >= 3
      ? `A pipe or cable of up to ${L(pipeMm)}, with ${L(CLEARANCE_MM.pipe)} all round.`
      : null;
  },
});
