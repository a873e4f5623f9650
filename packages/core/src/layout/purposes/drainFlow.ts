import { input } from '../../documents/reason';
import { definePurpose } from './definePurpose';
import { orificeDiameter, orificeFlow } from './orifice';
import { across, drawing, leaf, upright } from './sketch';

/** An overflow runs half full: air takes the rest. */
const DERATE = { drowned: 1, 'half-full': 0.5 } as const;
/** Holes are made in whole millimetres; the next size up passes what is wanted. */
const STEP_MM = 1;
/** A bigger hole only drains faster; beyond half as wide again it is another hole. */
const MAX_OVER = 1.5;

/** Water that must get away: a drain below the surface, or an overflow. */
export const drainFlow = definePurpose({
  title: 'Drain or overflow for a flow',
  about: 'So many litres an hour must get away through it.',
  fields: {
    litresPerHour: {
      kind: 'number',
      label: 'Must pass, all holes together',
      unit: 'L/h',
      above: 0,
      max: 100_000,
    },
    headMm: {
      kind: 'length',
      label: 'Water above the middle of the hole',
      note: 'When it must run that fast.',
      max: 10_000,
    },
    holes: {
      kind: 'number',
      label: 'Holes',
      unit: '',
      usual: 1,
      whole: true,
      atLeast: 1,
      max: 500,
    },
    runs: {
      kind: 'choice',
      label: 'It runs',
      options: { drowned: 'Full, under water', 'half-full': 'Half full, an overflow' },
      usual: 'drowned',
    },
  },
  calculate: (v) => {
    const derate = DERATE[v.runs];
    const each = v.litresPerHour / v.holes;
    const exact = orificeDiameter(each, v.headMm, derate);
    const targetMm = Math.ceil(exact / STEP_MM - 1e-9) * STEP_MM;
    const passes = orificeFlow(targetMm, v.headMm, derate) * v.holes;
    return {
      diameter: { targetMm, leastMm: exact, mostMm: targetMm * MAX_OVER },
      depth: { kind: 'through' },
      coverMm: null,
      toleranceMm: null,
      found: { each, exact, targetMm, passes },
    };
  },
  says: (v, { each, exact, targetMm, passes }, { L, decimals, significant }) => {
    const flow = (litres: number): string => `${significant(litres, 3)} L/h`;
    return {
      why: `${flow(each)} through each, under ${L(v.headMm)} of water.`,
      working: [
        input('Flow through each hole Q', flow(each)),
        input('Head h', L(v.headMm)),
        input('Runs', v.runs === 'drowned' ? 'full' : 'half full: × 0.5'),
        input('Q = C_d·A·√(2·g·h), C_d 0.6', `just ${L(exact)}`),
        input('Next size up', L(targetMm)),
      ],
      source:
        'Torricelli’s relation for a sharp-edged orifice, C_d 0.6; an overflow derated by half.',
      results: [
        {
          key: 'passesLPerH',
          label: 'That size passes',
          value: passes,
          text: flow(passes),
        },
        { key: 'exactDiameterMm', label: 'Just enough', value: exact, text: L(exact) },
      ],
      followUps: [
        {
          when: 'after',
          title: 'Try the flow',
          detail: `Fill to ${L(v.headMm)} above the hole and time a litre: about ${decimals((3600 / passes) * v.holes, 0)} s through each. Ease the edge; a rough one passes less.`,
        },
      ],
      cautions: [
        ...(v.holes > 20
          ? [
              {
                code: 'many-holes' as const,
                message: `${v.holes} holes weaken the piece: keep three diameters between them.`,
              },
            ]
          : []),
      ],
    };
  },
  draw: (v, { diameter }, { thicknessMm: t }, { L }) => {
    const hole = diameter.targetMm;
    const half = Math.max(2 * hole, 1.2 * t);
    const head = Math.min(v.headMm, 2.2 * half);
    return drawing(
      [
        { kind: 'area', x0: -half, x1: half, z0: -head, z1: 0, tone: 'water' },
        { kind: 'water-line', x0: -half, x1: half, z: -head },
        ...leaf(hole, half, [0, t], 'ceramic'),
        { kind: 'area', x0: -hole / 2, x1: hole / 2, z0: 0, z1: t * 1.6, tone: 'water' },
        across(hole, t * 1.9, L(hole)),
        upright(half * 1.04, -head, 0, L(v.headMm)),
      ],
      [-half, half * 1.08],
      [-head, t * 2.2],
      `Water ${L(v.headMm)} above a hole of ${L(hole)}.`,
    );
  },
  reverse: (diameterMm, { L, significant }) =>
    `${significant(orificeFlow(diameterMm, 100), 2)} L/h under ${L(100)} of water.`,
});
