import { ABRASIVES, specificEnergy } from '../../../data/bits/abrasives';
import { BIT_FAMILIES } from '../../../data/bits/bitFamilies';
import type { ResolvedSetup } from '../../../setup/resolvedSetup';
import type { WindowArea } from '../../../setup/windowAreas';
import type { ForceLimit } from '../../../physics/cutting/feedForce';
import { provenance } from '../../../data/materials/provenance';
import { formatSignificant } from '../../units/roundNumber';
import {
  formatArea,
  formatForce,
  formatPressure,
  formatRimSpeed,
  formatRpm,
  formatTorque,
} from '../../units/formatQuantity';
import { formatLength, formatLengthAbout } from '../../units/length';
import { FORCE_SD } from '../../../data/steadiness';
import { percent, type Explain } from './explain';
import { input } from '../../../documents/reason';

export const rpm: Explain = ({ headline, setup, units }) => {
  const { speed, window, bit, material } = headline;
  const v = formatRimSpeed(speed.rimSpeedMPerS, units);
  const window_ = window.rimSpeedMPerS;
  const machineHeld = speed.limits.includes('machine');
  const text = machineHeld
    ? `${setup.machine.name} has no ${formatRpm(speed.wantedRpm)}; this one runs the rim at ${v}.`
    : `Runs the rim at ${v}, ${setup.pace} for ${material.name.toLowerCase()}.`;
  return {
    text,
    inputs: [
      input('Bit diameter D', formatLength(bit.diameterMm, units)),
      input(
        'Rim speed window',
        `${formatRimSpeed(window_.low, units)} – ${formatRimSpeed(window_.best, units)} – ${formatRimSpeed(window_.high, units)}`,
      ),
      input('Machine', setup.machine.name),
      input('Wanted', formatRpm(speed.wantedRpm)),
    ],
    source: 'n = 60 000·v/(π·D): rim speed, not rpm, is what the material feels.',
    spread: `Window ± ${percent(provenance(material, 'rimSpeedMPerS').relativeSd)}. ${provenance(material, 'rimSpeedMPerS').source}.`,
  };
};

/** What the usual pace would have run into. */
const MOVED_FROM = {
  glazes: 'the rim would only polish',
  chips: 'edges would chip',
  overheats: 'the rim would overheat',
  'throws-water': 'the water would be thrown off',
  stalls: 'the machine would stall',
  'beyond-hands': 'arms would not hold it',
  'too-slow': 'the rim would be too slow',
  'too-fast': 'the rim would be too fast',
} as const satisfies Record<WindowArea, string>;

const movedText = ({ movedFrom }: ResolvedSetup): string =>
  movedFrom ? ` Moved inside the working window: as usual ${MOVED_FROM[movedFrom]}.` : '';

const LIMITED_BY = {
  torque: 'the machine’s torque',
  power: 'the machine’s power',
  arms: 'what arms give for as long',
} as const satisfies Record<ForceLimit, string>;

export const feedForce: Explain = ({ headline, setup, units }) => {
  const { force, contact, material, window } = headline;
  return {
    text: `${formatPressure(force.contactPressureMpa, units)} on ${formatArea(contact.contactAreaMm2, units)} of rim${force.limitedBy === null ? '' : `, held back by ${LIMITED_BY[force.limitedBy]}`}.${movedText(setup)}`,
    inputs: [
      input('Rim area A_c', formatArea(contact.contactAreaMm2, units)),
      input(
        'Pressure window',
        `${formatPressure(window.pressureMpa.low, units)} – ${formatPressure(window.pressureMpa.best, units)} – ${formatPressure(window.pressureMpa.high, units)}`,
      ),
      input('Glazes below', formatPressure(window.pressureMpa.glaze, units)),
      input('Pace', setup.pace),
    ],
    source:
      'F = the least of p·A_c, torque μ·F·r_m at half of what stalls the machine, power μ·F·v_m as rated, and what arms give with their rests (Rohmert).',
    spread: `${percent(FORCE_SD[setup.hold])} as people press (${setup.hold}). ${provenance(material, 'pressureMpa').source}.`,
  };
};

export const rate: Explain = ({ headline, units }) => ({
  text: `Goes in ${formatLengthAbout(headline.rateMmPerS * 60, units)} a minute in ${headline.material.name.toLowerCase()}.`,
  inputs: [
    input('Friction coefficient μ', formatSignificant(headline.material.friction, 2)),
    input(
      'Specific energy e',
      `${formatSignificant(specificEnergy(headline.material, BIT_FAMILIES[headline.bit.family].abrasive), 2)} J/mm³, ${ABRASIVES[BIT_FAMILIES[headline.bit.family].abrasive].name.toLowerCase()} rim`,
    ),
    input('Coverage φ', formatSignificant(headline.bit.coverage, 2)),
    input('Mean speed v_m', formatRimSpeed(headline.force.meanSpeedMPerS, units)),
    input('Sharpness s', formatSignificant(headline.sharpness, 2)),
  ],
  source:
    'Preston’s relation with the energy balance over the kerf: u = (μ/e)·φ·(p − p_glaze/2)·v_m·s, e by material and abrasive.',
  spread: `e ± ${percent(provenance(headline.material, 'specificEnergyJPerMm3').relativeSd)}. ${provenance(headline.material, 'specificEnergyJPerMm3').source}.`,
});

export const torque: Explain = ({ headline, setup, units }) => ({
  text: `Of ${formatTorque(headline.speed.setting.stallTorqueNm, units)} at which ${setup.machine.name.toLowerCase()} stalls.`,
  inputs: [
    input('Friction coefficient μ', formatSignificant(headline.material.friction, 2)),
    input('Mean radius r_m', formatLength(headline.contact.meanRadiusMm, units)),
  ],
  source: 'T = μ·F·r_m.',
});

export const power: Explain = ({ headline, units }) => ({
  text: 'What the rim takes from the motor.',
  inputs: [
    input('Force F', formatForce(headline.force.feedForceN, units)),
    input('Mean speed v_m', formatRimSpeed(headline.force.meanSpeedMPerS, units)),
  ],
  source: 'P = μ·F·v_m.',
});

export const rimSpeed: Explain = ({ headline, units }) => ({
  text: `Best for ${headline.material.name.toLowerCase()} with this bit is ${formatRimSpeed(headline.window.rimSpeedMPerS.best, units)}.`,
  inputs: [input('Speed', formatRpm(headline.speed.rpm))],
  source: 'v = π·D·n/60 000.',
});

export const pressure: Explain = ({ headline, units }) => ({
  text: `Between ${formatPressure(headline.window.pressureMpa.low, units)} and ${formatPressure(headline.window.pressureMpa.high, units)} it cuts clean.`,
  inputs: [
    input('Force F', formatForce(headline.force.feedForceN, units)),
    input('Rim area A_c', formatArea(headline.contact.contactAreaMm2, units)),
  ],
  source: 'p = F/A_c.',
});
