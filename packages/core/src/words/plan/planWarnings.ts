import { BIT_FAMILIES } from '../../data/bits/bitFamilies';
import { formatForce, formatPressure, formatRimSpeed, formatRpm } from '../units/formatQuantity';
import { formatLength, formatLengthAbout } from '../units/length';
import { formatDecimals, formatSignificant } from '../units/roundNumber';
import { bendingText } from './bendingWords';
import type { ForceLimit } from '../../physics/cutting/feedForce';
import type { Warning, WarningCode } from '../../documents/plan';
import type { PlanContext } from '../../plan/planContext';
import { cutIfOther } from '../../setup/possibilities';
import { suits } from '../../setup/assumeSetup';
import { SIZE_TOLERANCE_MM } from '../../setup/resolvedSetup';

/** Below half, a bit takes twice as long and chips half as wide again. */
const WORN_SHARPNESS = 0.5;

/** A bit that only just fits still fits. */
const FIT_ROUNDING_MM = 0.005;

type Check = (context: PlanContext) => Warning | null;

const notHeld: Check = ({ bending }) =>
  bending.kind === 'trouble'
    ? { code: 'not-held', message: `The bending was not worked out: ${bendingText(bending)}` }
    : null;

/** Bending alone over half of what the edge bears: what is under it wants changing. */
const bendsTooFar: Check = ({ bending, crack, setup, units }) =>
  bending.kind === 'bent' && bending.stressMpa > crack.limitMpa
    ? {
        code: 'bends-too-far',
        message: `Pressed on ${setup.support.name.toLowerCase()} it bends to ${formatPressure(bending.stressMpa, units)}, over the working limit of ${formatPressure(crack.limitMpa, units)}. Put something firmer or fuller under it, or press less.`,
      }
    : null;

const bitOffSize: Check = ({ setup, hole, units }) => {
  const { diameterMm } = setup.finishing.geometry;
  if (Math.abs(diameterMm - hole.diameterMm) <= SIZE_TOLERANCE_MM) return null;
  return {
    code: 'bit-off-size',
    message: `This bit makes a hole of ${formatLength(diameterMm, units)}, not ${formatLength(hole.diameterMm, units)}.`,
  };
};

const wrongBit: Check = ({ setup, layers }) => {
  const { family } = setup.finishing.geometry;
  const bad = layers.find(
    ({ slowest }) => slowest !== null && !suits(family, slowest.material),
  )?.slowest;
  return bad
    ? {
        code: 'wrong-bit-for-material',
        message: `A ${BIT_FAMILIES[family].name.toLowerCase()} is not made for ${bad.material.name.toLowerCase()}. ${BIT_FAMILIES[family].note}`,
      }
    : null;
};

const outsideFit: Check = ({ setup, fit, units }) => {
  if (!fit) return null;
  const { geometry, bit } = setup.finishing;
  const cuts = geometry.diameterMm + (bit.runOutMm ?? 0);
  const { leastMm, mostMm } = fit.diameter;
  if (cuts >= leastMm - FIT_ROUNDING_MM && cuts <= mostMm + FIT_ROUNDING_MM) return null;
  return {
    code: 'bit-outside-fit',
    message: `${bit.name} cuts ${formatLength(cuts, units)}${bit.runOutMm ? ' with its run-out' : ''}; the part wants ${formatLength(leastMm, units)} to ${formatLength(mostMm, units)}.`,
  };
};

const clashingPurpose: Check = ({ purposeClash }) =>
  purposeClash === null ? null : { code: 'purpose-clash', message: purposeClash };

const notSure: Check = ({ possible, headline, units }) => {
  const [first, ...others] = possible;
  if (!first || others.length === 0) return null;
  const hardest = others
    .map(({ material }) => cutIfOther(headline, material))
    .reduce((slow, cut) => (cut.rateMmPerS < slow.rateMmPerS ? cut : slow));
  const ratio = headline.rateMmPerS / hardest.rateMmPerS;
  const slower =
    ratio > 1.2
      ? ` If it is ${hardest.material.name.toLowerCase()} it takes ${formatSignificant(ratio, 2)} times as long${hardest.force.feedForceN > headline.force.feedForceN * 1.05 ? ` and wants ${formatForce(hardest.force.feedForceN, units)}` : ''}.`
      : '';
  return {
    code: 'material-not-sure',
    message: `Planned for ${first.material.name.toLowerCase()} (about ${formatDecimals(first.share * 100, 0)} in 100), with no more force or speed than any of ${possible.length} stands.${slower} Try on a scrap or an edge that is cut away.`,
  };
};

const reach: Check = ({ passes, setup, units }) => {
  if (passes.extensionMm <= 0) return null;
  const { solid, usableDepthMm } = setup.finishing.geometry;
  return solid
    ? {
        code: 'bit-too-short',
        message: `The bit reaches ${formatLength(usableDepthMm, units)}: ${formatLength(passes.extensionMm, units)} short of the depth.`,
      }
    : {
        code: 'extension-needed',
        message: `The barrel reaches ${formatLength(usableDepthMm, units)}; an extension must carry it ${formatLength(passes.extensionMm, units)} further.`,
      };
};

const speed: Check = ({ headline, setup, units }) => {
  const { speed: chosen, window } = headline;
  const v = formatRimSpeed(chosen.rimSpeedMPerS, units);
  if (chosen.outsideWindow === 'above') {
    return {
      code: 'speed-above-window',
      message: `${formatRpm(chosen.rpm)} runs the rim at ${v}, above the ${formatRimSpeed(window.rimSpeedMPerS.high, units)} that ${headline.material.name.toLowerCase()} allows with this bit. ${setup.machine.name} goes no slower.`,
    };
  }
  if (chosen.outsideWindow === 'below') {
    return {
      code: 'speed-below-window',
      message: `${formatRpm(chosen.rpm)} runs the rim at ${v}, below the ${formatRimSpeed(window.rimSpeedMPerS.low, units)} it cuts well at. Expect it to be slow.`,
    };
  }
  if (chosen.limits.includes('water-throw-off')) {
    return {
      code: 'speed-limited',
      message: `Held to ${v}: faster would throw the water off (${setup.coolant.name.toLowerCase()}).`,
    };
  }
  if (chosen.limits.includes('bit-limit')) {
    return {
      code: 'speed-limited',
      message: `Held to ${formatRpm(chosen.rpm)}: the bit’s own limit.`,
    };
  }
  return null;
};

const pressure: Check = ({ headline, units, time }) => {
  const p = headline.force.contactPressureMpa;
  const { pressureMpa } = headline.window;
  if (time.spread === null) {
    return {
      code: 'does-not-cut',
      message: `At ${formatPressure(p, units)} the rim only slides: press more, from ${formatPressure(pressureMpa.low, units)}.`,
    };
  }
  if (p < pressureMpa.glaze) {
    return {
      code: 'polishes',
      message: `${formatPressure(p, units)} is under the ${formatPressure(pressureMpa.glaze, units)} at which the rim starts to polish and glaze.`,
    };
  }
  if (p > pressureMpa.high) {
    return {
      code: 'presses-too-hard',
      message: `${formatPressure(p, units)} is over the ${formatPressure(pressureMpa.high, units)} this rim and ${headline.material.name.toLowerCase()} stand: diamonds tear out and edges chip.`,
    };
  }
  return null;
};

/** Slower is the answer, and what would make it faster. */
const FORCE_HELD = {
  torque: ({ setup }) =>
    `more would take ${setup.machine.name.toLowerCase()} past half its stalling torque`,
  power: ({ setup }) => `${setup.machine.name.toLowerCase()} has no power for more at this speed`,
  arms: ({ setup }) =>
    setup.hold === 'press' || setup.hold === 'rig'
      ? 'more than an arm gives at its lever'
      : 'arms give no more for as long as it takes. A strap, a lever or a stand makes it faster',
} as const satisfies Record<ForceLimit, (context: PlanContext) => string>;

const FORCE_CODE = {
  torque: 'torque-limited',
  power: 'power-limited',
  arms: 'force-beyond-arms',
} as const satisfies Record<ForceLimit, WarningCode>;

const heldForce: Check = (context) => {
  const { force } = context.headline;
  return force.limitedBy === null
    ? null
    : {
        code: FORCE_CODE[force.limitedBy],
        message: `Force held to ${formatForce(force.feedForceN, context.units)}: ${FORCE_HELD[force.limitedBy](context)}. It goes slower instead.`,
      };
};

/** The bit's own limit is a gate too; here it is said with the speed. */
const overspeed: Check = ({ headline, setup }) => {
  const { maxRpm } = setup.finishing.bit;
  return maxRpm !== undefined && headline.speed.rpm > maxRpm * (1 + 1e-9)
    ? {
        code: 'bit-overspeed',
        message: `${setup.machine.name} turns no slower than ${formatRpm(headline.speed.rpm)}; this bit is made for ${formatRpm(maxRpm)} at most. It may fly apart.`,
      }
    : null;
};

const overheats: Check = ({ headline, thermalStressMpa, units }) => {
  // The working limit of model.md: half the drilled-edge strength.
  const limit = headline.material.edgeStrengthMpa / 2;
  return thermalStressMpa > limit
    ? {
        code: 'overheats',
        message: `Heat alone puts ${formatPressure(thermalStressMpa, units)} of tension by the rim, over the working limit of ${formatPressure(limit, units)}. More water, slower, or lighter.`,
      }
    : null;
};

const boilsDry: Check = ({ boiling, setup }) =>
  boiling === 'film'
    ? {
        code: 'boils-dry',
        message: `More heat than boiling carries off: steam keeps ${setup.coolant.name.toLowerCase()} from the rim, and it runs as if dry. More water, slower, or lighter.`,
      }
    : null;

/** What the part hides, where a purpose says so. */
const hides = ({ fit, units }: PlanContext): string =>
  typeof fit?.coverMm === 'number'
    ? `The part hides ${formatLengthAbout(fit.coverMm, units)} of chip. `
    : '';

const exitForce: Check = (context) =>
  context.exit?.belowGlaze
    ? {
        code: 'exit-force-below-glaze',
        message: `${hides(context)}No force that still cuts keeps the exit chips this small. Put something hard behind it, or finish from the other side.`,
      }
    : null;

const exitChip: Check = (context) => {
  const { exit, chip, units } = context;
  return exit && chip && !exit.belowGlaze && chip.p50 > exit.allowedChipMm * 1.001
    ? {
        code: 'chip-wider-than-allowed',
        message: `${hides(context)}Expect exit chips of about ${formatLengthAbout(chip.p50, units)}: easing off further would stop the cut. A firmer backing or two sides helps.`,
      }
    : null;
};

const worn: Check = ({ headline }) =>
  headline.sharpness < WORN_SHARPNESS
    ? {
        code: 'bit-worn',
        message:
          'The bit is worn past half its bite. Dress it or take a fresh one for a piece that matters.',
      }
    : null;

const CHECKS = [
  notHeld,
  bendsTooFar,
  wrongBit,
  clashingPurpose,
  outsideFit,
  bitOffSize,
  notSure,
  reach,
  overspeed,
  speed,
  pressure,
  heldForce,
  overheats,
  boilsDry,
  exitForce,
  exitChip,
  worn,
];

/** Everything the person should know before starting, the gravest kinds first. */
export function planWarnings(context: PlanContext): Warning[] {
  return CHECKS.flatMap((check) => check(context) ?? []);
}
