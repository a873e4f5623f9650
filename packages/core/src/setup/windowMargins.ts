import { isByHand } from '../data/holds';
import { WINDOW_AREAS, type WindowArea } from './windowAreas';
import { meanSpeedAt, rimSpeedAt } from '../physics/cutting/contact';
import { penetrationRate } from '../physics/cutting/penetrationRate';
import { armForce } from '../physics/effort/armForce';
import { burnOutFlux } from '../physics/heat/boiling';
import { rimTemperature } from '../physics/heat/rimTemperature';
import { thermalStress } from '../physics/heat/thermalStress';
import { MACHINE_KINDS } from '../data/machines/machineKinds';
import type { SpeedSetting } from '../physics/cutting/speedSettings';
import { provenance } from '../data/materials/provenance';
import { bearableStress, allowableStress } from '../physics/strength/crackOdds';
import type { Piece } from '../documents/piece';
import type { MaterialCut } from './cutLayers';
import type { ResolvedSetup } from './resolvedSetup';
import { FORCE_SD, RPM_SD } from '../data/steadiness';

/** How sure the borders are beside force and speed themselves: throw-off, heat, torque, arms; sd of ln. */
const THROW_SD = 0.15;
const HEAT_SD = 0.3;
const TORQUE_SD = 0.15;
const ARMS_SD = 0.25;

/** What the margins look at. */
export interface WindowScene {
  readonly headline: MaterialCut;
  readonly piece: Piece;
  readonly setup: ResolvedSetup;
  readonly depthMm: number;
}

/**
 * One bit, piece and water, as the window is calculated from. Margins are logarithmic: how many
 * standard deviations inside (positive) or outside (negative) of a border a speed and force lie.
 */
export interface WindowCase {
  readonly context: WindowScene;
  readonly bearableMpa: number;
  readonly forceSd: number;
  /** What hold and aid give in one push, N. */
  readonly armsN: number;
  readonly ratedPowerW: number;
}

export function windowCase(context: WindowScene): WindowCase {
  const { headline, piece, setup } = context;
  return {
    context,
    armsN: armForce(setup.hold, setup.machine, setup.feedAid, 0).onePushN,
    ratedPowerW: setup.machine.ratedPowerW ?? MACHINE_KINDS[setup.machine.kind].ratedPowerW,
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
  const byHand = isByHand(setup.hold);
  const throwOff = setup.coolant.throwOffMPerS;
  const torqueNm = (material.friction * forceN * contact.meanRadiusMm) / 1000;
  const torqueLimitNm = Math.min(
    0.5 * stallAt(setup.settings, rpm),
    (one.ratedPowerW * 60) / (2 * Math.PI * rpm),
  );
  return {
    glazes: Math.log(p / window.pressureMpa.glaze) / one.forceSd,
    chips: Math.log(window.pressureMpa.high / p) / one.forceSd,
    overheats: heatMargin(one, rpm, p),
    'throws-water': throwOff === null ? Infinity : Math.log(throwOff / v) / THROW_SD,
    stalls: Math.log(torqueLimitNm / torqueNm) / TORQUE_SD,
    'beyond-hands': byHand ? Math.log(one.armsN / forceN) / ARMS_SD : Infinity,
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
  const byStress = stressMpa > 0 ? Math.log(allowableStress(bearableMpa) / stressMpa) : Infinity;
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
  let min = 0;
  for (const area of WINDOW_AREAS) {
    if (margins[area] < min) {
      min = margins[area];
      worst = area;
    }
  }
  return worst;
}
