import { BIT_FAMILIES } from '../bits/bitFamilies';
import { provenance } from '../materials/provenance';
import { formatDecimals, formatSignificant } from '../units/roundNumber';
import {
  formatDuration,
  formatDurationSpan,
  formatFlow,
  formatForce,
  formatPressure,
  formatRimSpeed,
  formatRpm,
  formatTempRise,
  formatVolume,
} from '../units/formatQuantity';
import { formatLength, formatLengthAbout, formatLengthShort } from '../units/length';
import type { Reason, ReasonInput } from './plan';
import type { PlanContext } from './planContext';
import type { UnitSystem } from '../units/unitSystem';
import { ALLOWED_CHIP_MM, type ExitPlan } from './planStages';
import { FORCE_SD } from './spread';

const input = (name: string, value: string): ReasonInput => ({ name, value });
const percent = (share: number): string => `${formatDecimals(share * 100, 0)} %`;

/** `3 lifts`, `1 core break`; nothing for none. */
const counted = (count: number, one: string): string =>
  count === 0 ? '' : `${count} ${one}${count === 1 ? '' : 's'}`;

type Explain = (context: PlanContext) => Reason | null;

const rpm: Explain = ({ headline, setup, units }) => {
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

const feedForce: Explain = ({ headline, setup, units }) => {
  const { force, contact, material, window } = headline;
  return {
    text: `${formatPressure(force.contactPressureMpa, units)} on ${formatDecimals(contact.contactAreaMm2, 0)} mm² of rim${force.torqueLimited ? ', held back by the machine’s torque' : ''}.`,
    inputs: [
      input('Rim area A_c', `${formatSignificant(contact.contactAreaMm2, 3)} mm²`),
      input(
        'Pressure window',
        `${formatPressure(window.pressureMpa.low, units)} – ${formatPressure(window.pressureMpa.best, units)} – ${formatPressure(window.pressureMpa.high, units)}`,
      ),
      input('Glazes below', formatPressure(window.pressureMpa.glaze, units)),
      input('Pace', setup.pace),
    ],
    source: 'F = p·A_c, and torque μ·F·r_m at most half of what stalls the machine.',
    spread: `${percent(FORCE_SD[setup.hold])} as people press (${setup.hold}). ${provenance(material, 'pressureMpa').source}.`,
  };
};

const rate: Explain = ({ headline, units }) => ({
  text: `Goes in ${formatLengthAbout(headline.rateMmPerS * 60, units)} a minute in ${headline.material.name.toLowerCase()}.`,
  inputs: [
    input('Cutting friction μ', formatSignificant(headline.material.friction, 2)),
    input(
      'Cutting energy e',
      `${formatSignificant(headline.material.specificEnergyJPerMm3, 2)} J/mm³`,
    ),
    input('Coverage φ', formatSignificant(headline.bit.coverage, 2)),
    input('Mean speed v_m', formatRimSpeed(headline.force.meanSpeedMPerS, units)),
    input('Sharpness s', formatSignificant(headline.sharpness, 2)),
  ],
  source:
    'Preston’s relation with the energy balance over the kerf: u = (μ/e)·φ·(p − p_glaze/2)·v_m·s.',
  spread: `e ± ${percent(provenance(headline.material, 'specificEnergyJPerMm3').relativeSd)}. ${provenance(headline.material, 'specificEnergyJPerMm3').source}.`,
});

const time: Explain = ({ time: t, lifts, water, passes, units, depthMm }) => {
  if (t.spread === null)
    return {
      text: 'It does not cut at this pressure.',
      inputs: [],
      source: 'Preston’s relation: no rate at or below half the glaze pressure.',
    };
  const extras = [
    counted(lifts.length, 'lift'),
    counted(water.changeAtDepthMm.length, 'water change'),
    counted(passes.coreBreaksAtMm.length, 'core break'),
  ].filter(Boolean);
  return {
    text: `Most tries take ${formatDurationSpan(t.spread.p10, t.spread.p90)}${extras.length > 0 ? `, with ${extras.join(', ')}` : ''}.`,
    inputs: [
      input('Depth', formatLength(depthMm, units)),
      input('Cutting', formatDuration(t.cuttingS)),
      input('Lifts', formatDuration(t.liftsS)),
      ...(t.waterChangesS > 0 ? [input('Water changes', formatDuration(t.waterChangesS))] : []),
      ...(t.coreBreaksS > 0 ? [input('Core breaks', formatDuration(t.coreBreaksS))] : []),
      ...(t.seatCentreS > 0
        ? [input('Seating the solid centre', formatDuration(t.seatCentreS))]
        : []),
      ...(t.bitSwapsS > 0 ? [input('Changing bits', formatDuration(t.bitSwapsS))] : []),
    ],
    source: 'Sum over seat, main and exit of depth over rate, and the halts between.',
    spread: `Eight tries in ten fall in the span: cutting time ± ${percent(t.sd)}, from force, speed, sharpness and the material’s own spread (first-order propagation).`,
  };
};

const lifts: Explain = ({ lifts: depths, headline, setup, units }) => ({
  text:
    depths.length === 0
      ? setup.coolant.flushesGroove
        ? 'None: the water comes up through the groove.'
        : 'None: it is through before the groove fills.'
      : `Fines fill a quarter of the groove; first at ${formatLengthShort(depths[0] ?? 0, units)}.`,
  inputs: [
    input(
      'Gap beside the rim c',
      `${formatLengthShort(headline.bit.clearancePerSideMm, units)} a side`,
    ),
    input('Kerf area A_k', `${formatSignificant(headline.contact.kerfAreaMm2, 3)} mm²`),
    input('Depths', depths.map((depth) => formatLengthShort(depth, units)).join(', ') || 'none'),
  ],
  source:
    'A lift is due each time the fines fill a quarter of the groove’s gap, from 1 mm, at least 0.5 mm and 8 s apart.',
});

const torque: Explain = ({ headline, setup }) => ({
  text: `Of ${formatSignificant(headline.speed.setting.stallTorqueNm, 2)} N·m at which ${setup.machine.name.toLowerCase()} stalls.`,
  inputs: [
    input('Cutting friction μ', formatSignificant(headline.material.friction, 2)),
    input('Mean radius r_m', `${formatSignificant(headline.contact.meanRadiusMm, 3)} mm`),
  ],
  source: 'T = μ·F·r_m.',
});

const power: Explain = ({ headline, units }) => ({
  text: 'What the rim takes from the motor.',
  inputs: [
    input('Force F', formatForce(headline.force.feedForceN, units)),
    input('Mean speed v_m', formatRimSpeed(headline.force.meanSpeedMPerS, units)),
  ],
  source: 'P = μ·F·v_m.',
});

const tempRise: Explain = ({ tempRiseK, conductionWPerM2K, setup, headline, units }) => ({
  text: `The ring runs about ${formatTempRise(tempRiseK, units)} above the ${headline.dry ? 'air' : 'water'}.`,
  inputs: [
    input('Heat share β', formatSignificant(headline.material.heatShare, 2)),
    input('Water carries off', `${formatSignificant(setup.coolant.rimWPerM2K, 2)} W/m²K`),
    input('Piece carries off h_c', `${formatSignificant(conductionWPerM2K, 2)} W/m²K`),
  ],
  source:
    'ΔT = β·μ·p·v_m/(h_water + h_c), h_c of a ring (line source, Carslaw and Jaeger) or disc.',
  spread: `β ± ${percent(provenance(headline.material, 'heatShare').relativeSd)}.`,
});

const thermal: Explain = ({ headline, units }) => ({
  text: `Tension of the hot ring held by the cold piece; a drilled edge stands ${formatPressure(headline.material.edgeStrengthMpa, units)}.`,
  inputs: [
    input('Constraint C_T', formatSignificant(headline.material.heatConstraint, 2)),
    input('Stiffness E', `${formatSignificant(headline.material.youngModulusMpa / 1000, 2)} GPa`),
    input('Growth α', `${formatSignificant(headline.material.expansionPerK * 1e6, 2)} ·10⁻⁶/K`),
  ],
  source: 'σ_T = C_T·E·α·ΔT/(1 − ν).',
  spread: `C_T ± ${percent(provenance(headline.material, 'heatConstraint').relativeSd)}. ${provenance(headline.material, 'heatConstraint').source}.`,
});

const exitChip: Explain = ({ exit, chip, setup, headline, units }) =>
  exit && chip
    ? {
        text:
          setup.sides === 'two'
            ? 'None at the faces: the cuts meet in the middle, with a small step.'
            : `Beyond the hole’s edge at the far face; one in ten is over ${formatLengthAbout(chip.p90, units)}.`,
        inputs: [
          input('Ease-off force', formatForce(exit.exitForceN, units)),
          input(
            'Behind it',
            `${setup.support.name} (κ_b ${formatSignificant(exit.conditions.exitFactor, 2)})`,
          ),
          input('Hold', setup.hold),
          input(
            'Toughness K',
            `${formatSignificant(headline.material.toughnessMpaSqrtM, 2)} MPa√m`,
          ),
        ],
        source: 'Edge-chipping law P = 9.3·K·h^1.5; width about 5h, × (1 + (3/t)²) for sheets.',
        spread: `K ± ${percent(provenance(headline.material, 'toughnessMpaSqrtM').relativeSd)}, force ± ${percent(FORCE_SD[setup.hold])}.`,
      }
    : null;

function exitForceText(
  exit: ExitPlan,
  mainN: number,
  sides: 'one' | 'two',
  from: string,
  units: UnitSystem,
): string {
  const allowed = formatLengthShort(ALLOWED_CHIP_MM, units);
  if (sides === 'two') return 'No face opens from behind: the cuts meet in the middle.';
  if (exit.chipWidthMm > ALLOWED_CHIP_MM * 1.001) {
    return `From ${from}, the least that still cuts; chips of about ${formatLengthAbout(exit.chipWidthMm, units)} all the same.`;
  }
  return exit.exitForceN < mainN * 0.999
    ? `From ${from}, so that chips stay near ${allowed}.`
    : `Same force to the end: chips stay under ${allowed} as it is.`;
}

const exitForce: Explain = ({ exit, headline, setup, units, stages }) => {
  const from = stages.find((stage) => stage.kind === 'exit')?.fromMm;
  if (!exit || from === undefined) return null;
  return {
    text: exitForceText(
      exit,
      headline.force.feedForceN,
      setup.sides,
      formatLengthShort(from, units),
      units,
    ),
    inputs: [
      input('Allowed chip W', formatLength(ALLOWED_CHIP_MM, units)),
      input('Would need', formatForce(exit.idealN, units)),
      input('Ease off from', formatLength(from, units)),
    ],
    source:
      'F_exit = 9.3·K·(W/5)^1.5/(κ·κ_b·(2 − s)), held between the least force that cuts well and F.',
  };
};

const passes: Explain = ({ passes: p, setup, units }) => ({
  text:
    p.count === 1
      ? `The bit reaches ${formatLengthShort(setup.finishing.geometry.usableDepthMm, units)}: one go.`
      : `The core is broken out ${p.count - 1} times.`,
  inputs: [input('Usable depth', formatLength(setup.finishing.geometry.usableDepthMm, units))],
  source: 'A core fills the barrel: it is broken out every usable depth less 5 mm.',
});

const water: Explain = ({ water: w, setup, units, headline }) => {
  const { coolant } = setup;
  if (w.fillL !== null) {
    const holes = w.holesPerFill ?? 0;
    return {
      text:
        holes >= 1
          ? `Clear enough for ${holes === 1 ? 'one hole' : `${holes} holes`} like this.`
          : `Clouds before it is through: change ${w.changeAtDepthMm.length} times.`,
      inputs: [
        input('Pour', formatVolume(w.fillL, units)),
        input('Over the face', formatLength(coolant.atCoverMm, units)),
        input('Fines of this hole', `${formatSignificant(w.finesG, 2)} g`),
      ],
      source: 'Beer–Lambert: the mark shows while fines stay under ln(1/0.15)/(120 m²/kg × cover).',
    };
  }
  if (w.flowLPerMin !== null) {
    return {
      text: `A cup in ${formatDuration(w.secondsPerCup ?? 0)}; about ${formatVolume(w.slurryL ?? 0, units)} of slurry to catch.`,
      inputs: [
        input('Flow', formatFlow(w.flowLPerMin, units)),
        input('Power', `${formatSignificant(headline.force.powerW, 2)} W`),
      ],
      source: 'Q = max(P/(ρ_w·c_w·15 K), fines at 60 g/L), at least max(0.5, D/100) L/min.',
    };
  }
  return {
    text: coolant.note,
    inputs: [input('Fines of this hole', `${formatSignificant(w.finesG, 2)} g`)],
    source: 'Usual heat transfer of this means at the rim.',
  };
};

const rimSpeed: Explain = ({ headline, units }) => ({
  text: `Best for ${headline.material.name.toLowerCase()} with this bit is ${formatRimSpeed(headline.window.rimSpeedMPerS.best, units)}.`,
  inputs: [input('Speed', formatRpm(headline.speed.rpm))],
  source: 'v = π·D·n/60 000.',
});

const pressure: Explain = ({ headline, units }) => ({
  text: `Between ${formatPressure(headline.window.pressureMpa.low, units)} and ${formatPressure(headline.window.pressureMpa.high, units)} it cuts clean.`,
  inputs: [
    input('Force F', formatForce(headline.force.feedForceN, units)),
    input('Rim area A_c', `${formatSignificant(headline.contact.contactAreaMm2, 3)} mm²`),
  ],
  source: 'p = F/A_c.',
});

const bit: Explain = ({ setup, hole, units }) => {
  const { owned, geometry, bit: chosen } = setup.finishing;
  const family = BIT_FAMILIES[geometry.family];
  const assumed = setup.assumed.includes('bit');
  return {
    text: !assumed
      ? family.note
      : owned
        ? `The nearest you own to ${formatLengthShort(hole.diameterMm, units)}.`
        : `Assumed: a new ${family.name.toLowerCase()} of ${formatLengthShort(hole.diameterMm, units)}, usual for this piece.`,
    inputs: [
      input('Rim width w', formatLength(geometry.rimWidthMm, units)),
      input('Depth cut so far', formatLength(chosen.depthCutMm ?? 0, units)),
    ],
    source: assumed ? 'Usual family of bit for this material and size.' : 'Your choice.',
  };
};

/** One line for a choice: the person's, or the planner's and why. */
const choice =
  (name: string, value: (context: PlanContext) => string, why: string): Explain =>
  (context) => ({
    text: context.setup.assumed.includes(name) ? `Assumed: ${why}` : 'Your choice.',
    inputs: [input('Chosen', value(context))],
    source: context.setup.assumed.includes(name)
      ? 'Usual practice for this piece; change it and the plan follows.'
      : 'Your choice.',
  });

/** One reason a figure, keyed by the plan's own field names. */
const EXPLAIN = {
  rpm,
  feedForceN: feedForce,
  rateMmPerS: rate,
  drillTimeS: time,
  lifts,
  torqueNm: torque,
  powerW: power,
  tempRiseK: tempRise,
  thermalStressMpa: thermal,
  exitChipMm: exitChip,
  exitForceN: exitForce,
  passes,
  water,
  rimSpeedMPerS: rimSpeed,
  contactPressureMpa: pressure,
  bit,
  machine: choice(
    'machine',
    ({ setup }) => setup.machine.name,
    'the machine that comes nearest to the wanted speed.',
  ),
  support: choice(
    'support',
    ({ setup }) => setup.support.name,
    'usual behind a piece of this form.',
  ),
  hold: choice('hold', ({ setup }) => setup.hold, 'how this machine is usually steered.'),
  start: choice('start', ({ setup }) => setup.start, 'suits this hold.'),
  pace: choice('pace', ({ setup }) => setup.pace, 'steady.'),
  sides: choice('sides', ({ setup }) => setup.sides, 'from one face.'),
} as const satisfies Record<string, Explain>;

export type ReasonKey = keyof typeof EXPLAIN;

export function planReasons(context: PlanContext): Partial<Record<ReasonKey, Reason>> {
  const reasons: Partial<Record<ReasonKey, Reason>> = {};
  for (const [key, explain] of Object.entries(EXPLAIN) as [ReasonKey, Explain][]) {
    const reason = explain(context);
    if (reason) reasons[key] = reason;
  }
  return reasons;
}
