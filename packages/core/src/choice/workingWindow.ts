import { meanSpeedAt, rimSpeedAt, rpmForRimSpeed } from '../cutting/contact';
import { penetrationRate } from '../cutting/penetrationRate';
import { ARMS_N } from '../hazards/handLimits';
import { burnOutFlux } from '../heat/boiling';
import { rimTemperature } from '../heat/rimTemperature';
import { thermalStress } from '../heat/thermalStress';
import type { SpeedSetting } from '../machines/speedSettings';
import { provenance } from '../materials/provenance';
import type { PlanContext } from '../plan/planContext';
import { FORCE_SD, RPM_SD } from '../plan/spread';
import { bearableStress, workingLimit } from '../risk/crackOdds';

/** What goes wrong where, in the order in which it is told; `clean` is where none of it does. */
export const WINDOW_AREAS = [
  'glazes',
  'chips',
  'overheats',
  'throws-water',
  'stalls',
  'beyond-hands',
  'too-slow',
  'too-fast',
] as const;
export type WindowArea = (typeof WINDOW_AREAS)[number];

export const AREA_WORDS: Readonly<Record<WindowArea | 'clean', { name: string; text: string }>> = {
  clean: { name: 'Cuts clean', text: 'The rim bites, the water keeps up, nothing tears.' },
  glazes: { name: 'Glazes', text: 'Too light: grains polish instead of biting.' },
  chips: { name: 'Chips', text: 'Too heavy: diamonds tear out and edges chip.' },
  overheats: {
    name: 'Overheats',
    text: 'Heat alone strains the rim past half its strength, or boils it dry.',
  },
  'throws-water': { name: 'Throws water', text: 'The rim flings its water off.' },
  stalls: { name: 'Stalls', text: 'More torque than half of what stops the motor.' },
  'beyond-hands': { name: 'Beyond the hands', text: 'More than arms hold for long.' },
  'too-slow': { name: 'Slow', text: 'Under the rim speed at which it cuts well.' },
  'too-fast': { name: 'Too fast', text: 'Over the rim speed this material and bit stand.' },
};

/** Grid reaches beyond the window by these factors. */
const SPEED_REACH = 2;
const FORCE_REACH = 2;
/** How sure the borders are beside force and speed themselves: throw-off, heat, torque, arms; sd of ln. */
const THROW_SD = 0.15;
const HEAT_SD = 0.3;
const TORQUE_SD = 0.15;
const ARMS_SD = 0.25;

/**
 * One bit, piece and water, as the window is reckoned from. Margins are logarithmic: how many
 * standard deviations inside (positive) or outside (negative) of a border a speed and force lie.
 */
export interface WindowCase {
  readonly context: PlanContext;
  readonly bearableMpa: number;
  readonly forceSd: number;
}

export function windowCase(context: PlanContext): WindowCase {
  const { headline, piece, setup } = context;
  return {
    context,
    bearableMpa: bearableStress(headline.material, !headline.dry, piece.damage),
    forceSd: Math.hypot(
      FORCE_SD[setup.hold],
      provenance(headline.material, 'pressureMpa').relativeSd,
    ),
  };
}

export type Margins = { readonly [Area in WindowArea]: number };

/** z = ln(limit/value)/sd for what must stay under, ln(value/limit)/sd for what must stay over. */
export function marginsAt(one: WindowCase, rpm: number, forceN: number): Margins {
  const { headline, setup } = one.context;
  const { bit, contact, window, material } = headline;
  const v = rimSpeedAt(rpm, bit.diameterMm);
  const p = forceN / contact.contactAreaMm2;
  const speedSd = Math.hypot(RPM_SD, provenance(material, 'rimSpeedMPerS').relativeSd / 2);
  const byHand = setup.hold === 'freehand' || setup.hold === 'guided';
  const throwOff = setup.coolant.throwOffMPerS;
  const torqueNm = (material.friction * forceN * contact.meanRadiusMm) / 1000;
  return {
    glazes: Math.log(p / window.pressureMpa.glaze) / one.forceSd,
    chips: Math.log(window.pressureMpa.high / p) / one.forceSd,
    overheats: heatMargin(one, rpm, p),
    'throws-water': throwOff === null ? Infinity : Math.log(throwOff / v) / THROW_SD,
    stalls: Math.log((0.5 * stallAt(setup.settings, rpm)) / torqueNm) / TORQUE_SD,
    'beyond-hands': byHand ? Math.log(ARMS_N / forceN) / ARMS_SD : Infinity,
    'too-slow': Math.log(v / window.rimSpeedMPerS.low) / speedSd,
    'too-fast': Math.log(window.rimSpeedMPerS.high / v) / speedSd,
  };
}

function heatMargin({ context, bearableMpa }: WindowCase, rpm: number, p: number): number {
  const { headline, setup, depthMm } = context;
  const { bit, contact, material, sharpness, dry } = headline;
  const v_m = meanSpeedAt(rpm, contact.meanRadiusMm);
  const rate = penetrationRate(material, bit, {
    p,
    v_m,
    v: rimSpeedAt(rpm, bit.diameterMm),
    s: sharpness,
    dry,
  });
  const { tempRiseK, heatFluxWPerMm2, conductionWPerM2K } = rimTemperature(material, bit, {
    pressureMpa: p,
    meanSpeedMPerS: v_m,
    cutTimeS: rate > 0 ? depthMm / rate : Infinity,
    waterWPerM2K: setup.coolant.rimWPerM2K,
    burnOutWPerM2: setup.coolant.burnOutWPerM2,
    dry,
  });
  const stressMpa = thermalStress(material, tempRiseK);
  const byStress = stressMpa > 0 ? Math.log(workingLimit(bearableMpa) / stressMpa) : Infinity;
  const { burnOutWPerM2, rimWPerM2K } = setup.coolant;
  const byBoiling =
    dry || burnOutWPerM2 === null
      ? Infinity
      : Math.log(
          burnOutFlux(rimWPerM2K, conductionWPerM2K, burnOutWPerM2) / (heatFluxWPerMm2 * 1e6),
        );
  return Math.min(byStress, byBoiling) / HEAT_SD;
}

/** Stall torque of the setting that holds a speed, else of the nearest one. */
function stallAt(settings: readonly SpeedSetting[], rpm: number): number {
  const off = ({ minRpm, maxRpm }: SpeedSetting): number =>
    rpm < minRpm ? Math.log(minRpm / rpm) : rpm > maxRpm ? Math.log(rpm / Math.max(maxRpm, 1)) : 0;
  return settings.reduce((best, one) =>
    off(one) < off(best) || (off(one) === off(best) && one.stallTorqueNm > best.stallTorqueNm)
      ? one
      : best,
  ).stallTorqueNm;
}

/** The area that is violated most, or `clean`. */
export function areaAt(margins: Margins): WindowArea | 'clean' {
  let worst: WindowArea | 'clean' = 'clean';
  let least = 0;
  for (const area of WINDOW_AREAS) {
    if (margins[area] < least) {
      least = margins[area];
      worst = area;
    }
  }
  return worst;
}

/**
 * The map of speed against force on a grid, both logarithmic.
 * `margins[area]` runs row by row, one row a force from the least up, columns from the slowest speed;
 * margins are held to ± 9.
 */
export interface WorkingWindow {
  readonly columns: number;
  readonly rows: number;
  /** Speed of each column, rpm, and force of each row, N. */
  readonly rpm: readonly number[];
  readonly forceN: readonly number[];
  readonly margins: { readonly [Area in WindowArea]: Float32Array };
  /** What the machine can turn at, rpm: lines where from and to are the same. */
  readonly machine: readonly { readonly fromRpm: number; readonly toRpm: number }[];
  readonly plan: WindowPoint;
  readonly diameterMm: number;
  readonly contactAreaMm2: number;
}

export interface WindowPoint {
  readonly rpm: number;
  readonly forceN: number;
  readonly area: WindowArea | 'clean';
  /** The least margin there, sd: how far from the nearest border. */
  readonly margin: number;
  readonly nearest: WindowArea;
}

const MOST_MARGIN = 9;
/** Finer says nothing more, and costs. */
export const MOST_GRID = 400;

/** @param size columns and rows, 2 to 400 */
export function workingWindow(context: PlanContext, size = 120): WorkingWindow {
  if (size < 2 || size > MOST_GRID)
    throw new RangeError(`A window of ${size} × ${size} is not drawn; 2 to ${MOST_GRID} are.`);
  const one = windowCase(context);
  const { headline, setup } = context;
  const { window, contact, bit } = headline;
  const { rimSpeedMPerS: v, pressureMpa: p } = window;
  const throwOff = setup.coolant.throwOffMPerS ?? v.high;
  const rpm = logSteps(
    rpmForRimSpeed(
      Math.min(v.low / SPEED_REACH, headline.speed.rimSpeedMPerS / 1.3),
      bit.diameterMm,
    ),
    rpmForRimSpeed(
      Math.max(
        Math.min(Math.max(v.high, throwOff), v.high * SPEED_REACH) * 1.3,
        headline.speed.rimSpeedMPerS * 1.3,
      ),
      bit.diameterMm,
    ),
    size,
  );
  const area = contact.contactAreaMm2;
  const planned = headline.force.feedForceN;
  const forceN = logSteps(
    Math.min((p.glaze * area) / FORCE_REACH, planned / 1.3),
    Math.max(p.high * area * FORCE_REACH, planned * 1.3),
    size,
  );
  const margins = Object.fromEntries(
    WINDOW_AREAS.map((name) => [name, new Float32Array(size * size)]),
  ) as { [Area in WindowArea]: Float32Array };
  for (let row = 0; row < size; row++) {
    for (let column = 0; column < size; column++) {
      const at = marginsAt(one, rpm[column] ?? 1, forceN[row] ?? 1);
      for (const name of WINDOW_AREAS)
        margins[name][row * size + column] = Math.max(
          -MOST_MARGIN,
          Math.min(MOST_MARGIN, at[name]),
        );
    }
  }
  return {
    columns: size,
    rows: size,
    rpm,
    forceN,
    margins,
    machine: setup.settings.map(({ minRpm, maxRpm }) => ({ fromRpm: minRpm, toRpm: maxRpm })),
    plan: pointAt(one, headline.speed.rpm, planned),
    diameterMm: bit.diameterMm,
    contactAreaMm2: area,
  };
}

/** A speed and force, with where they lie. */
export function pointAt(one: WindowCase, rpm: number, forceN: number): WindowPoint {
  const margins = marginsAt(one, rpm, forceN);
  const nearest = WINDOW_AREAS.reduce((best, area) =>
    margins[area] < margins[best] ? area : best,
  );
  return { rpm, forceN, area: areaAt(margins), margin: margins[nearest], nearest };
}

function logSteps(from: number, to: number, count: number): number[] {
  return Array.from({ length: count }, (_, i) => from * (to / from) ** (i / (count - 1)));
}
