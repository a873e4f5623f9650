import { AIM_DEG, exitOffset, MARKING_MM, twoSidedMismatch } from '../aim';
import { input } from '../../documents/reason';
import { bundleDiameter, CORD_ROOM, MAX_STRANDS } from './bundle';
import { definePurpose } from './definePurpose';
import { clash } from './fit';
import { across, drawing, upright } from './sketch';

/** Deeper than this many diameters a bore is met from both ends. */
const ONE_END_RATIO = 8;
/** The bore of a bead, along its length. */
export const beadBore = definePurpose({
  title: 'Bore of a bead',
  about: 'A long thin hole for cord or wire; met from both ends when it is deep.',
  fields: {
    strandMm: { kind: 'length', label: 'Cord or wire', sold: 'wire', max: 20 },
    strands: {
      kind: 'number',
      label: 'Strands',
      unit: '',
      usual: 1,
      whole: true,
      atLeast: 1,
      max: MAX_STRANDS,
    },
    beadLengthMm: {
      kind: 'length',
      label: 'Length of the bore',
      usual: 'piece-thickness',
      max: 300,
    },
    aim: {
      kind: 'choice',
      label: 'Steered by',
      options: { press: 'Press', rig: 'Rig', level: 'Hand, with a level', freehand: 'Free hand' },
      usual: 'press',
    },
  },
  calculate: (v) => {
    const bundle = bundleDiameter(v.strandMm, v.strands);
    const easy = bundle * CORD_ROOM;
    const twoEnds = v.beadLengthMm > ONE_END_RATIO * easy;
    const drift = twoEnds
      ? twoSidedMismatch(v.beadLengthMm, v.aim)
      : exitOffset(v.beadLengthMm, v.aim);
    const targetMm = twoEnds ? Math.max(easy, bundle + drift) : easy;
    if (targetMm > v.beadLengthMm * 2) {
      return clash(
        'beadLengthMm',
        ({ L }) =>
          `A bore of ${L(targetMm)} in a bead ${L(v.beadLengthMm)} long is wider than twice its length: choose thinner cord or “Cord or chain”.`,
      );
    }
    const ratio = v.beadLengthMm / targetMm;
    return {
      diameter: {
        targetMm,
        leastMm: Math.max(bundle * 1.1, twoEnds ? bundle + drift / 2 : 0),
        mostMm: targetMm * 1.4,
      },
      depth: { kind: 'through' },
      coverMm: null,
      toleranceMm: drift,
      found: { twoEnds, bundle, drift, targetMm, ratio },
    };
  },
  says: (v, { twoEnds, bundle, drift, targetMm, ratio }, { L, decimals }) => ({
    why: twoEnds
      ? `Met from both ends: ${L(bundle)} of cord passes the step of about ${L(drift)} in the middle.`
      : `${L(bundle)} of cord and three tenths of room.`,
    working: [
      input('Bundle', L(bundle)),
      input('Length over bore', `${L(v.beadLengthMm)} ÷ ${L(targetMm)} = ${decimals(ratio, 1)}`),
      input('Lean', `${decimals(AIM_DEG[v.aim], 1)}°`),
      input(
        twoEnds ? 'Step where the two meet' : 'Drift at the far end',
        twoEnds
          ? `√2 × half × tan(lean) + ${L(MARKING_MM)} = ${L(drift)}`
          : `length × tan(lean) = ${L(drift)}`,
      ),
    ],
    source: 'From both ends above eight diameters; drift by the angle each way of steering holds.',
    results: [
      {
        key: 'aspectRatio',
        label: 'Length over bore',
        value: ratio,
        text: decimals(ratio, 1),
      },
      {
        key: 'driftMm',
        label: twoEnds ? 'Step in the middle' : 'Drift at the far end',
        value: drift,
        text: L(drift),
      },
    ],
    followUps: [
      ...(twoEnds
        ? [
            {
              when: 'before' as const,
              title: 'Mark both ends',
              detail:
                'Drill half from each; a dimple in a hard rest takes the first end and lines up the second.',
            },
          ]
        : []),
      {
        when: 'after',
        title: 'Clean the bore',
        detail: 'Flush it, draw a wetted thread with abrasive through, ease both mouths.',
      },
    ],
    cautions: [
      ...(ratio > 2 * ONE_END_RATIO
        ? [
            {
              code: 'tight-bore' as const,
              message: `${decimals(ratio, 0)} diameters long: clear it every millimetre or two, thin bits bend and bind.`,
            },
          ]
        : []),
    ],
  }),
  draw: (v, { diameter }, _, { L }) => {
    const long = v.beadLengthMm;
    const half = Math.max(0.45 * long, 1.6 * diameter.targetMm);
    const R = diameter.targetMm / 2;
    const cord = bundleDiameter(v.strandMm, v.strands) / 2;
    return drawing(
      [
        { kind: 'disc', x: 0, z: long / 2, radiusMm: half, tone: 'stone' },
        { kind: 'area', x0: -R, x1: R, z0: long / 2 - half, z1: long / 2 + half, tone: 'void' },
        {
          kind: 'area',
          x0: -cord,
          x1: cord,
          z0: long / 2 - 1.2 * half,
          z1: long / 2 + 1.2 * half,
          tone: 'part',
        },
        across(2 * R, long / 2 - 1.3 * half, L(2 * R)),
        upright(half * 1.08, long / 2 - half, long / 2 + half, L(long)),
      ],
      [-half, half * 1.08],
      [long / 2 - 1.45 * half, long / 2 + 1.2 * half],
      `Bead ${L(long)} long with a bore of ${L(2 * R)} and its cord.`,
    );
  },
  reverse: (diameterMm, { L }) =>
    diameterMm <= 8
      ? `A bead up to ${L(ONE_END_RATIO * diameterMm)} long from one end, twice that from both.`
      : null,
});
