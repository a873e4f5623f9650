import { input } from '../../documents/reason';
import { definePurpose } from './definePurpose';
import { clash } from './fit';
import { across, box, drawing, leaf, upright } from './sketch';

/** Grout thinner than this does not flow round the post. */
const MIN_GAP_MM = 6;
const USUAL_GAP_MM = 10;
/** Sound concrete to leave below a blind socket. */
const MIN_BELOW_MM = 50;
const OVER_DEPTH = { minMm: 15, ofDiameter: 0.15 } as const;
const GROUT_SPARE = 1.1;

/** A post or railing socket, grouted. */
export const postSocket = definePurpose({
  title: 'Post or railing socket',
  about: 'A core hole part way down, the post set in grout.',
  fields: {
    section: {
      kind: 'choice',
      label: 'Post',
      options: { round: 'Round', square: 'Square or flat' },
      usual: 'round',
    },
    postWidthMm: { kind: 'length', label: 'Post across', sold: 'post', max: 400 },
    postDepthMm: {
      kind: 'length',
      label: 'The other way, if not round',
      optional: true,
      max: 400,
    },
    groutGapMm: { kind: 'length', label: 'Grout all round', usual: USUAL_GAP_MM, min: 0, max: 60 },
    embedmentMm: { kind: 'length', label: 'Post stands in', max: 1000 },
    slabThicknessMm: { kind: 'length', label: 'Slab', usual: 'piece-thickness', max: 2000 },
  },
  calculate: (v) => {
    if (v.groutGapMm < MIN_GAP_MM) {
      return clash(
        'groutGapMm',
        ({ L }) =>
          `A grout gap of ${L(v.groutGapMm)} is under the ${L(MIN_GAP_MM)} that grout needs to flow round the post.`,
      );
    }
    const other = v.postDepthMm ?? v.postWidthMm;
    const across_ = v.section === 'round' ? v.postWidthMm : Math.hypot(v.postWidthMm, other);
    const post = v.section === 'round' ? (Math.PI * v.postWidthMm ** 2) / 4 : v.postWidthMm * other;
    const targetMm = across_ + 2 * v.groutGapMm;
    const over = Math.max(OVER_DEPTH.minMm, OVER_DEPTH.ofDiameter * targetMm);
    const depthMm = v.embedmentMm + over;
    const below = v.slabThicknessMm - depthMm;
    if (v.embedmentMm > v.slabThicknessMm) {
      return clash(
        'embedmentMm',
        ({ L }) =>
          `A post standing ${L(v.embedmentMm)} in does not fit a slab of ${L(v.slabThicknessMm)}: shorten it or find a deeper place.`,
      );
    }
    const through = below < MIN_BELOW_MM;
    const holeDepth = through ? v.slabThicknessMm : depthMm;
    const groutL = ((((Math.PI * targetMm ** 2) / 4 - post) * holeDepth) / 1e6) * GROUT_SPARE;
    return {
      diameter: {
        targetMm,
        leastMm: across_ + 2 * MIN_GAP_MM,
        mostMm: across_ + 2 * Math.max(2 * v.groutGapMm, 20),
      },
      depth: through ? { kind: 'through' } : { kind: 'blind', depthMm },
      coverMm: null,
      toleranceMm: v.groutGapMm / 2,
      roughensWall: true,
      found: { across_, targetMm, over, depthMm, below, groutL, holeDepth, through },
    };
  },
  says: (
    v,
    { across_, targetMm, over, depthMm, below, groutL, holeDepth, through },
    { L, volume },
  ) => ({
    why: `${L(across_)} ${v.section === 'round' ? 'of post' : 'corner to corner'} and ${L(v.groutGapMm)} of grout all round.`,
    working: [
      input(v.section === 'round' ? 'Post' : 'Corner to corner', L(across_)),
      input('Core', `+ 2 × grout = ${L(targetMm)}`),
      input(
        'Over-depth',
        `larger of ${L(OVER_DEPTH.minMm)} and ${OVER_DEPTH.ofDiameter} × core = ${L(over)}`,
      ),
      input('Depth', `embedment + over-depth = ${L(depthMm)}`),
      input('Left below', L(Math.max(0, below))),
      input('Grout', `(core − post) × depth × 1.1 = ${volume(groutL)}`),
    ],
    source:
      'At least 6 mm of grout to flow, 50 mm of concrete left below, a tenth more grout than the gap.',
    results: [
      { key: 'depthMm', label: 'Core to', value: holeDepth, text: L(holeDepth) },
      { key: 'groutL', label: 'Mix grout', value: groutL, text: volume(groutL) },
      {
        key: 'leftBelowMm',
        label: 'Concrete left below',
        value: Math.max(0, below),
        text: L(Math.max(0, below)),
      },
    ],
    followUps: [
      {
        when: 'after',
        title: 'Make it ready for grout',
        detail: 'All slurry out; leave it damp but not wet.',
      },
      {
        when: 'after',
        title: `Grout with ${volume(groutL)}`,
        detail: `Post on ${L(over)} of packing, plumb both ways and braced; pour from one side until it rises at the other. Slope the top to shed water.`,
      },
    ],
    cautions: [
      ...(through
        ? [
            {
              code: 'goes-right-through' as const,
              message: `${L(depthMm)} would leave ${L(Math.max(0, below))} of a slab of ${L(v.slabThicknessMm)}: under ${L(MIN_BELOW_MM)} it breaks out. Planned as a through hole: shutter the underside.`,
            },
          ]
        : []),
    ],
  }),
  draw: (v, { diameter, depth }, _, { L }) => {
    const t = v.slabThicknessMm;
    const end = depth.kind === 'through' ? t : depth.depthMm;
    const hole = diameter.targetMm;
    const half = Math.max(1.3 * hole, 0.6 * t);
    const post = v.postWidthMm / 2;
    const stand = 0.5 * t;
    return drawing(
      [
        ...leaf(hole, half, [0, end], 'masonry'),
        ...(end < t ? [box([-half, half], [end, t], 'masonry')] : []),
        box([-hole / 2, hole / 2], [0, end], 'grain'),
        box([-post, post], [-stand, Math.min(v.embedmentMm, t)], 'part'),
        across(hole, -stand * 1.12, L(hole)),
        upright(half * 1.06, 0, end, L(end)),
      ],
      [-half, half * 1.08],
      [-stand * 1.4, t * 1.04],
      `Section: post of ${L(v.postWidthMm)} in a core of ${L(hole)}, ${L(end)} deep in a slab of ${L(t)}.`,
    );
  },
  reverse: (diameterMm, { L }) =>
    diameterMm >= 30
      ? `A round post of ${L(diameterMm - 2 * USUAL_GAP_MM)} with ${L(USUAL_GAP_MM)} of grout all round.`
      : null,
});
