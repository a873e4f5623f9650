import type { Moment, MomentKind } from '../../documents/plan';
import { timelineOf, type TimedMoment } from '../../plan/timeline';
import { formatForce, formatMass } from '../units/formatQuantity';
import { formatLengthShort } from '../units/length';
import type { PlanInUnits } from './planInUnits';
import { renewal } from './waterWords';

type MomentWords = Pick<Moment, 'title' | 'detail'>;

const coreText = ({ core }: TimedMoment, { units }: PlanInUnits): string =>
  core
    ? `About ${formatMass(core.massKg, units)}, ${formatLengthShort(core.lengthMm, units)} long.`
    : '';

const force = ({ forceN = 0 }: TimedMoment, { units }: PlanInUnits): string =>
  formatForce(forceN, units);

const MOMENTS = {
  seat: () => ({ title: 'Seat', detail: 'Gently, until the ring is full.' }),
  leaf: (moment, plan) => ({
    title: moment.material ?? '',
    detail: `Press with ${force(moment, plan)}.`,
  }),
  cavity: () => ({ title: 'Cavity', detail: 'Least force: the drill must not fall in.' }),
  'core-break': (moment, plan) => ({
    title: 'Break out the core',
    detail: coreText(moment, plan),
  }),
  'core-drop': (moment, plan) => ({ title: 'Core drops free', detail: coreText(moment, plan) }),
  'bit-change': ({ bitName = '' }) => ({ title: 'Change the bit', detail: `${bitName}.` }),
  chisel: () => ({
    title: 'Chisel clear',
    detail: 'Drill off; hammer off again before the bit goes back.',
  }),
  extension: ({ shortMm = 0 }, { units, extension }) => ({
    title: extension ? `${extension.name} on` : 'Extension on',
    detail: `The barrel ends ${formatLengthShort(shortMm, units)} short of the depth.`,
  }),
  'water-change': (_, { setup }) => ({
    title: renewal(setup.coolant.id),
    detail: 'Motor off first.',
  }),
  'water-off': () => ({
    title: 'Water off',
    detail: 'Before the far face: the room behind stays dry.',
  }),
  flip: ({ round }) => ({
    title: round ? 'Go round to the other side' : 'Turn it over',
    detail: 'Finish from the other face.',
  }),
  'ease-off': (moment, plan) =>
    moment.eased
      ? { title: 'Ease off', detail: `Down to ${force(moment, plan)}.` }
      : { title: 'Nearly through', detail: `Keep to ${force(moment, plan)}, no more.` },
  end: ({ core }, { opensFarFace, units }) => ({
    title: opensFarFace ? 'Through' : 'At depth',
    detail: core ? `The last core weighs about ${formatMass(core.massKg, units)}.` : '',
  }),
} as const satisfies Record<MomentKind, (moment: TimedMoment, plan: PlanInUnits) => MomentWords>;

/** What happens at which depth and when, as it is said. */
export const timelineInWords = (plan: PlanInUnits): Moment[] =>
  timelineOf(plan).map((moment) => {
    const { kind, side, depthMm, haltS, atS } = moment;
    return { kind, side, depthMm, haltS, ...MOMENTS[kind](moment, plan), atS };
  });
