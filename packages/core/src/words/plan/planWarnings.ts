import { isHeldByStand } from '../../data/holds';
import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import type { Warning, WarningCode } from '../../documents/plan';
import type { ForceLimit } from '../../physics/cutting/feedForce';
import { cutDiameter, leafNotSuited, warningsOf } from '../../plan/warnings';
import { cutIfOther } from '../../setup/possibilities';
import { formatForce, formatPressure, formatRimSpeed, formatRpm } from '../units/formatQuantity';
import { formatLength, formatLengthAbout } from '../units/length';
import { formatDecimals, formatSignificant } from '../units/roundNumber';
import { bendingText } from './bendingWords';
import type { PlanInUnits } from './planInUnits';

function materialNotSure({ possible, headline, units }: PlanInUnits): string {
  const [first, ...others] = possible;
  const hardest = others
    .map(({ material }) => cutIfOther(headline, material))
    .reduce((slow, cut) => (cut.rateMmPerS < slow.rateMmPerS ? cut : slow));
  const ratio = headline.rateMmPerS / hardest.rateMmPerS;
  const slower =
    ratio > 1.2
      ? ` If it is ${hardest.material.name.toLowerCase()} it takes ${formatSignificant(ratio, 2)} times as long${hardest.force.feedForceN > headline.force.feedForceN * 1.05 ? ` and wants ${formatForce(hardest.force.feedForceN, units)}` : ''}.`
      : '';
  return `Planned for ${first?.material.name.toLowerCase() ?? ''} (about ${formatDecimals((first?.share ?? 0) * 100, 0)} in 100), with no more force or speed than any of ${possible.length} stands.${slower} Try on a scrap or an edge that is cut away.`;
}

/** Slower is the answer, and what would make it faster. */
const FORCE_HELD = {
  torque: ({ setup }) =>
    `more would take ${setup.machine.name.toLowerCase()} past half its stalling torque`,
  power: ({ setup }) => `${setup.machine.name.toLowerCase()} has no power for more at this speed`,
  arms: ({ setup }) =>
    isHeldByStand(setup.hold)
      ? 'more than an arm gives at its lever'
      : 'arms give no more for as long as it takes. A strap, a lever or a stand makes it faster',
} as const satisfies Record<ForceLimit, (plan: PlanInUnits) => string>;

const forceHeld =
  (limit: ForceLimit) =>
  (plan: PlanInUnits): string =>
    `Force held to ${formatForce(plan.headline.force.feedForceN, plan.units)}: ${FORCE_HELD[limit](plan)}. It goes slower instead.`;

const speedLimited = ({ headline: { speed }, setup, units }: PlanInUnits): string =>
  speed.limits.includes('water-throw-off')
    ? `Held to ${formatRimSpeed(speed.rimSpeedMPerS, units)}: faster would throw the water off (${setup.coolant.name.toLowerCase()}).`
    : `Held to ${formatRpm(speed.rpm)}: the bit’s own limit.`;

/** What the part hides, where a purpose says so. */
const hides = ({ fit, units }: PlanInUnits): string =>
  typeof fit?.coverMm === 'number'
    ? `The part hides ${formatLengthAbout(fit.coverMm, units)} of chip. `
    : '';

const reaches = ({ setup, units }: PlanInUnits): string =>
  formatLength(setup.finishing.geometry.usableDepthMm, units);
const short = ({ passes, units }: PlanInUnits): string => formatLength(passes.extensionMm, units);
const rimSpeed = ({ headline, units }: PlanInUnits): string =>
  formatRimSpeed(headline.speed.rimSpeedMPerS, units);
const pressure = ({ headline, units }: PlanInUnits): string =>
  formatPressure(headline.force.contactPressureMpa, units);

const WARNING_WORDS = {
  'not-held': ({ bending }) => `The bending was not worked out: ${bendingText(bending)}`,
  'bends-too-far': ({ bending, crack, setup, units }) =>
    `Pressed on ${setup.support.name.toLowerCase()} it bends to ${formatPressure(bending.kind === 'bent' ? bending.stressMpa : 0, units)}, over the allowable stress of ${formatPressure(crack.limitMpa, units)}. Put something firmer or fuller under it, or press less.`,
  'wrong-bit-for-material': (plan) => {
    const { bit, material } = leafNotSuited(plan) ?? plan.headline;
    const { name, note } = BIT_FAMILIES[bit.family];
    return `A ${name.toLowerCase()} is not made for ${material.name.toLowerCase()}. ${note}`;
  },
  'purpose-clash': ({ purposeClash }) => purposeClash ?? '',
  'bit-outside-fit': (plan) => {
    const { fit, units } = plan;
    const { bit } = plan.setup.finishing;
    return `${bit.name} cuts ${formatLength(cutDiameter(plan), units)}${bit.runOutMm ? ' with its run-out' : ''}; the part needs ${formatLength(fit?.diameter.leastMm ?? 0, units)} to ${formatLength(fit?.diameter.mostMm ?? 0, units)}.`;
  },
  'bit-off-size': ({ setup, hole, units }) =>
    `This bit makes a hole of ${formatLength(setup.finishing.geometry.diameterMm, units)}, not ${formatLength(hole.diameterMm, units)}.`,
  'material-not-sure': materialNotSure,
  'bit-too-short': (plan) => `The bit reaches ${reaches(plan)}: ${short(plan)} short of the depth.`,
  'extension-needed': (plan) =>
    `The barrel reaches ${reaches(plan)}; an extension must carry it ${short(plan)} further.`,
  // The bit's own limit is a gate too; here it is said with the speed.
  'bit-overspeed': ({ headline, setup }) =>
    `${setup.machine.name} turns no slower than ${formatRpm(headline.speed.rpm)}; this bit is made for ${formatRpm(setup.finishing.bit.maxRpm ?? 0)} at most. It may fly apart.`,
  'speed-above-window': (plan) =>
    `${formatRpm(plan.headline.speed.rpm)} runs the rim at ${rimSpeed(plan)}, above the ${formatRimSpeed(plan.headline.window.rimSpeedMPerS.high, plan.units)} that ${plan.headline.material.name.toLowerCase()} allows with this bit. ${plan.setup.machine.name} goes no slower.`,
  'speed-below-window': (plan) =>
    `${formatRpm(plan.headline.speed.rpm)} runs the rim at ${rimSpeed(plan)}, below the ${formatRimSpeed(plan.headline.window.rimSpeedMPerS.low, plan.units)} it cuts well at. Expect it to be slow.`,
  'speed-limited': speedLimited,
  'does-not-cut': (plan) =>
    `At ${pressure(plan)} the rim only slides: press more, from ${formatPressure(plan.headline.window.pressureMpa.low, plan.units)}.`,
  polishes: (plan) =>
    `${pressure(plan)} is under the ${formatPressure(plan.headline.window.pressureMpa.glaze, plan.units)} at which the rim starts to polish and glaze.`,
  'presses-too-hard': (plan) =>
    `${pressure(plan)} is over the ${formatPressure(plan.headline.window.pressureMpa.high, plan.units)} this rim and ${plan.headline.material.name.toLowerCase()} stand: diamonds tear out and edges chip.`,
  'torque-limited': forceHeld('torque'),
  'power-limited': forceHeld('power'),
  'force-beyond-arms': forceHeld('arms'),
  overheats: ({ thermalStressMpa, headline, units }) =>
    `Heat alone puts ${formatPressure(thermalStressMpa, units)} of tension by the rim, over the allowable stress of ${formatPressure(headline.material.edgeStrengthMpa / 2, units)}. More water, slower, or lighter.`,
  'boils-dry': ({ setup }) =>
    `More heat than boiling carries off: steam keeps ${setup.coolant.name.toLowerCase()} from the rim, and it runs as if dry. More water, slower, or lighter.`,
  'exit-force-below-glaze': (plan) =>
    `${hides(plan)}No force that still cuts keeps the exit chips this small. Put something hard behind it, or finish from the other side.`,
  'chip-wider-than-allowed': (plan) =>
    `${hides(plan)}Expect exit chips of about ${formatLengthAbout(plan.chip?.p50 ?? 0, plan.units)}: easing off further would stop the cut. A firmer backing or two sides helps.`,
  'bit-worn': () =>
    'The bit is worn past half its bite. Dress it or take a fresh one for a piece that matters.',
} as const satisfies Record<WarningCode, (plan: PlanInUnits) => string>;

export const warningText = (plan: PlanInUnits, code: WarningCode): string =>
  WARNING_WORDS[code](plan);

/** Everything the person should know before starting, the gravest kinds first. */
export const planWarnings = (plan: PlanInUnits): Warning[] =>
  warningsOf(plan).map((code) => ({ code, message: warningText(plan, code) }));
