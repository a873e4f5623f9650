import { input } from '../../documents/reason';
import { definePurpose } from './definePurpose';
import { clash } from './fit';
import { across, box, drawing, leaf, upright } from './sketch';

/** A cored hole for an anchor may be this much over the maker's size. */
const OVER_MM = 0.5;

/** Anchor or dowel: the maker's numbers, passed through. */
export const anchor = definePurpose({
  title: 'Anchor or dowel',
  about: 'The maker’s hole, depth, edge and spacing are the law here.',
  fields: {
    makerHoleMm: { kind: 'length', label: 'Maker’s hole', max: 100 },
    makerDepthMm: { kind: 'length', label: 'Maker’s depth', max: 1000 },
    pieceThicknessMm: {
      kind: 'length',
      label: 'Thickness there',
      usual: 'piece-thickness',
      max: 5000,
    },
    makerEdgeMm: {
      kind: 'length',
      label: 'Maker’s least edge distance',
      optional: true,
      max: 2000,
    },
    edgeMm: { kind: 'length', label: 'Edge distance here', optional: true, max: 10_000 },
    makerSpacingMm: { kind: 'length', label: 'Maker’s least spacing', optional: true, max: 2000 },
    spacingMm: { kind: 'length', label: 'Spacing here', optional: true, max: 10_000 },
  },
  calculate: (v) => {
    const thicknessMm = v.pieceThicknessMm;
    if (v.makerDepthMm >= thicknessMm) {
      return clash(
        'makerDepthMm',
        ({ L }) =>
          `An anchor ${L(v.makerDepthMm)} deep does not fit a piece ${L(thicknessMm)} thick.`,
      );
    }
    return {
      diameter: {
        targetMm: v.makerHoleMm,
        leastMm: v.makerHoleMm,
        mostMm: v.makerHoleMm + OVER_MM,
      },
      depth: { kind: 'blind', depthMm: v.makerDepthMm },
      coverMm: null,
      toleranceMm: 2,
      found: {},
    };
  },
  says: (v, _, { L }) => {
    const near = (has: number | undefined, needs: number | undefined, what: string) =>
      has !== undefined && needs !== undefined && has < needs
        ? [
            {
              code: 'hole-near-edge' as const,
              message: `${what} of ${L(has)} is under the maker’s ${L(needs)}: ask an engineer, or move it.`,
            },
          ]
        : [];
    return {
      why: 'The maker’s own hole: an anchor holds as its maker tested it, in a hole drilled as the maker says.',
      working: [input('Maker’s hole', L(v.makerHoleMm)), input('Maker’s depth', L(v.makerDepthMm))],
      source:
        'The maker’s data, passed through. Many anchors are not tested in smooth diamond-cored holes: look before you core.',
      results: [
        { key: 'depthMm', label: 'Drill to', value: v.makerDepthMm, text: L(v.makerDepthMm) },
      ],
      followUps: [
        {
          when: 'after',
          title: 'Clean as the maker says',
          detail:
            'Brush and blow or rinse as often as the sheet says, and rough a polished bore if it asks for it.',
        },
      ],
      cautions: [
        ...near(v.edgeMm, v.makerEdgeMm, 'An edge distance'),
        ...near(v.spacingMm, v.makerSpacingMm, 'A spacing'),
      ],
    };
  },
  draw: (v, { diameter }, _, { L }) => {
    const t = v.pieceThicknessMm;
    const hole = diameter.targetMm;
    const half = Math.max(2 * hole, 0.5 * v.makerDepthMm);
    const end = v.makerDepthMm;
    const floor = Math.min(t, end * 1.4);
    return drawing(
      [
        ...leaf(hole, half, [0, end], 'masonry'),
        box([-half, half], [end, floor], 'masonry'),
        box([-hole * 0.36, hole * 0.36], [-0.25 * end, end * 0.94], 'part'),
        across(hole, -0.32 * end, L(hole)),
        upright(half * 1.06, 0, end, L(end)),
      ],
      [-half, half * 1.08],
      [-0.4 * end, floor],
      `Section: anchor in a hole of ${L(hole)}, ${L(end)} deep.`,
    );
  },
  reverse: (diameterMm, { L }) =>
    diameterMm >= 6 && diameterMm <= 40 ? `An anchor whose maker asks for ${L(diameterMm)}.` : null,
});
