import { input } from '../../documents/reason';
import { definePurpose } from './definePurpose';
import { clash } from './fit';
import { across, drawing, leaf } from './sketch';

/** Grains bridge a hole narrower than this share of the smallest of them. */
const BRIDGING = 0.7;
/** Water fills this share of a bed of grit or soil. */
const VOID_SHARE = 0.4;
const MANY_HOLES = 12;

/** Drainage that holds back a filling. */
export const drainage = definePurpose({
  title: 'Drainage that keeps the filling',
  about: 'Planters: water leaves, grit stays.',
  fields: {
    grainMm: { kind: 'length', label: 'Smallest grain to hold back', max: 100 },
    potDiameterMm: { kind: 'length', label: 'Inside diameter at the base', max: 3000 },
    drainSharePercent: {
      kind: 'number',
      label: 'Open share of the base',
      unit: '%',
      usual: 1,
      above: 0,
      max: 20,
    },
    maxHoleMm: { kind: 'length', label: 'No hole wider than', usual: 12, max: 100 },
    sideHeightMm: {
      kind: 'length',
      label: 'Side hole, height above the base',
      note: 'Empty for holes in the base.',
      optional: true,
      min: 0,
      max: 3000,
    },
    rootBall: {
      kind: 'choice',
      label: 'Root ball',
      options: { stays: 'Stays', out: 'Must come out' },
      usual: 'stays',
    },
  },
  calculate: (v) => {
    const bridged = BRIDGING * v.grainMm;
    const targetMm = Math.min(bridged, v.maxHoleMm);
    if (targetMm >= v.potDiameterMm / 2) {
      return clash(
        'potDiameterMm',
        ({ L }) =>
          `Holes of ${L(targetMm)} are too wide for a base of ${L(v.potDiameterMm)}: at most half of it.`,
      );
    }
    const baseArea = (Math.PI * v.potDiameterMm ** 2) / 4;
    const wanted = (baseArea * v.drainSharePercent) / 100;
    const count = Math.max(1, Math.ceil(wanted / ((Math.PI * targetMm ** 2) / 4) - 1e-9));
    const reserveL =
      v.sideHeightMm === undefined ? null : (VOID_SHARE * baseArea * v.sideHeightMm) / 1e6;
    return {
      diameter: { targetMm, leastMm: targetMm * 0.6, mostMm: targetMm },
      depth: { kind: 'through' },
      coverMm: null,
      toleranceMm: null,
      found: { bridged, wanted, targetMm, count, reserveL },
    };
  },
  says: (
    v,
    { bridged, wanted, targetMm, count, reserveL },
    { L, volume, decimals, significant },
  ) => ({
    why: `Seven tenths of a grain of ${L(v.grainMm)}${bridged > v.maxHoleMm ? `, held to ${L(v.maxHoleMm)}` : ''}.`,
    working: [
      input('0.7 × smallest grain', L(bridged)),
      input('Open area wanted', `${significant(wanted, 3)} mm²`),
      input('Each hole', `${significant((Math.PI * targetMm ** 2) / 4, 3)} mm²`),
      input('Holes', String(count)),
      ...(reserveL === null
        ? []
        : [
            input(
              'Water kept below the side hole',
              `0.4 × base × ${L(v.sideHeightMm ?? 0)} = ${volume(reserveL)}`,
            ),
          ]),
    ],
    source:
      'Grains bridge an opening narrower than about 0.7 of their size; a bed holds water in two fifths of its volume.',
    results: [
      { key: 'holeCount', label: 'Holes', value: count, text: decimals(count, 0) },
      ...(reserveL === null
        ? []
        : [
            {
              key: 'reserveL',
              label: 'Water kept below',
              value: reserveL,
              text: volume(reserveL),
            },
          ]),
    ],
    followUps: [
      {
        when: 'after',
        title: 'Fill from coarse to fine',
        detail: 'Coarsest grit over the holes first; water through once before planting.',
      },
      ...(v.rootBall === 'out'
        ? [
            {
              when: 'before' as const,
              title: 'Look for an inward lip',
              detail: 'The root ball must come out: a rim that turns in keeps it for good.',
            },
          ]
        : []),
    ],
    cautions: [
      ...(count > MANY_HOLES
        ? [
            {
              code: 'many-holes' as const,
              message: `${count} holes of ${L(targetMm)}: fewer, wider ones under a piece of mesh are quicker and leave the base stronger.`,
            },
          ]
        : []),
    ],
  }),
  draw: (v, { diameter }, { thicknessMm: t }, { L }) => {
    const hole = diameter.targetMm;
    const half = Math.max(2.2 * hole, 3 * v.grainMm, t);
    const r = v.grainMm / 2;
    const count = Math.max(2, Math.floor((2 * half) / v.grainMm));
    const grains = Array.from({ length: Math.min(count, 24) }, (_, index) => ({
      kind: 'disc' as const,
      x: (index - (Math.min(count, 24) - 1) / 2) * v.grainMm,
      // Over the opening a grain sags until it bridges.
      z:
        -r +
        (Math.abs((index - (Math.min(count, 24) - 1) / 2) * v.grainMm) < hole / 2 ? 0.15 * r : 0),
      radiusMm: r,
      tone: 'grain' as const,
    }));
    return drawing(
      [...leaf(hole, half, [0, t], 'ceramic'), ...grains, across(hole, t * 1.5, L(hole))],
      [-half, half],
      [-2 * v.grainMm, t * 1.9],
      `Grains of ${L(v.grainMm)} bridging a hole of ${L(hole)}.`,
    );
  },
  reverse: (diameterMm, { L }) =>
    `Drainage that holds back grains of ${L(diameterMm / BRIDGING)} and coarser.`,
});
