import { input } from '../../documents/reason';
import { definePurpose } from './definePurpose';
import { across, drawing } from './sketch';

/** Share of its diameter a hole loses in the kiln. */
const SHRINKS = { tack: [0, 0.05], contour: [0.1, 0.25], full: [0.4, 1] } as const;

/** Glass that is fired after drilling: the hole closes in. */
export const kilnFired = definePurpose({
  title: 'Hole that goes into the kiln',
  about: 'Glass flows: the hole shrinks, or closes, in the firing.',
  fields: {
    wantedDiameterMm: { kind: 'length', label: 'Wanted after the firing', max: 200 },
    firing: {
      kind: 'choice',
      label: 'Firing',
      options: { tack: 'Tack', contour: 'Contour', full: 'Full fuse' },
      usual: 'tack',
    },
  },
  calculate: (v) => {
    const [few, many] = SHRINKS[v.firing];
    const wanted = v.wantedDiameterMm;
    const closes = many >= 1;
    const middle = (few + many) / 2;
    // A hole that may close is best made after the firing, at its own size.
    const targetMm = closes ? wanted : wanted / (1 - middle);
    return {
      diameter: {
        targetMm,
        leastMm: closes ? wanted : wanted / (1 - few),
        mostMm: closes ? wanted / (1 - few) : wanted / (1 - many),
      },
      depth: { kind: 'through' },
      coverMm: null,
      toleranceMm: null,
      found: { closes, wanted, few, many, middle, targetMm },
    };
  },
  says: (_, { closes, wanted, few, many, middle, targetMm }, { L, decimals }) => {
    const percent = (share: number): string => `${decimals(share * 100, 0)} %`;
    return {
      why: closes
        ? `A full fuse may close it: drill ${L(wanted)} after the firing, or keep it open with a fibre plug.`
        : `It loses ${percent(few)} to ${percent(many)} in the kiln.`,
      working: [
        input('Wanted after', L(wanted)),
        input('Shrinks by', `${percent(few)} to ${percent(many)}`),
        input(
          'Drill',
          closes
            ? `after the firing: ${L(wanted)}`
            : `wanted ÷ (1 − ${percent(middle)}) = ${L(targetMm)}`,
        ),
      ],
      source:
        'What holes lose in tack, contour and full firings; try your own schedule on a scrap.',
      results: [
        {
          key: 'afterLeastMm',
          label: 'After the firing, at worst',
          value: targetMm * (1 - many),
          text: L(targetMm * (1 - many)),
        },
      ],
      followUps: [
        ...(closes
          ? [
              {
                when: 'before' as const,
                title: 'Fire first, or plug it',
                detail: `Drill after firing and annealing. If it must be drilled before: ${L(wanted / (1 - few))} with a fibre plug of ${L(wanted)}, and reopen it after.`,
              },
            ]
          : [
              {
                when: 'after' as const,
                title: 'Clean before the kiln',
                detail: 'Fines left in the hole fire into a white scum: rinse, brush, dry.',
              },
            ]),
        {
          when: 'after',
          title: 'Reopen if it closed in',
          detail: 'A rod of the wanted size, wet, after the anneal.',
        },
      ],
      cautions: [
        ...(closes
          ? [
              {
                code: 'closes-in-the-kiln' as const,
                message: `A full fuse takes ${percent(few)} to ${percent(many)}: a hole of ${L(wanted)} drilled before may be gone after.`,
              },
            ]
          : []),
      ],
    };
  },
  draw: (v, { diameter }, _, { L }) => {
    const R = diameter.targetMm / 2;
    const [few, many] = SHRINKS[v.firing];
    const half = 2.2 * Math.max(R, v.wantedDiameterMm / 2);
    return drawing(
      [
        { kind: 'area', x0: -half, x1: half, z0: -0.8 * half, z1: 0.8 * half, tone: 'glass' },
        { kind: 'disc', x: 0, z: 0, radiusMm: R, tone: 'void' },
        ...[few, many]
          .filter((share) => share < 1)
          .map((share) => ({
            kind: 'disc' as const,
            x: 0,
            z: 0,
            radiusMm: R * (1 - share),
            tone: 'rim' as const,
            hollow: true,
          })),
        across(2 * R, -0.95 * half, L(2 * R)),
      ],
      [-half, half],
      [-1.1 * half, 0.8 * half],
      `Seen from above: drilled ${L(2 * R)}, after the firing between the two dashed circles.`,
    );
  },
  reverse: (diameterMm, { L }) =>
    diameterMm <= 60 ? `${L(diameterMm * 0.825)} after a contour firing.` : null,
});
