import type { Contact } from './contact';
import { meanSpeedAt } from './contact';

/** Half the stall torque: room for a grab before the motor stops. */
const USABLE_SHARE_OF_STALL = 0.5;

/** T = μ·F·r_m, N·m. */
export const cuttingTorque = (μ: number, feedForceN: number, meanRadiusMm: number): number =>
  (μ * feedForceN * meanRadiusMm) / 1000;

/** P = μ·F·v_m, W. */
export const cuttingPower = (μ: number, feedForceN: number, meanSpeedMPerS: number): number =>
  μ * feedForceN * meanSpeedMPerS;

export interface FeedForce {
  readonly feedForceN: number;
  readonly contactPressureMpa: number;
  readonly torqueNm: number;
  readonly powerW: number;
  readonly meanSpeedMPerS: number;
  /** True when the machine's torque, not the material, set the force. */
  readonly torqueLimited: boolean;
}

/** F = p·A_c, held back so that T = μ·F·r_m stays within half the machine's stall torque. */
export function feedForceFor(
  wantedPressureMpa: number,
  μ: number,
  contact: Contact,
  rpm: number,
  stallTorqueNm: number,
): FeedForce {
  const wantedN = wantedPressureMpa * contact.contactAreaMm2;
  const mostN = (USABLE_SHARE_OF_STALL * stallTorqueNm * 1000) / (μ * contact.meanRadiusMm);
  const feedForceN = Math.min(wantedN, mostN);
  const meanSpeedMPerS = meanSpeedAt(rpm, contact.meanRadiusMm);
  return {
    feedForceN,
    contactPressureMpa: feedForceN / contact.contactAreaMm2,
    torqueNm: cuttingTorque(μ, feedForceN, contact.meanRadiusMm),
    powerW: cuttingPower(μ, feedForceN, meanSpeedMPerS),
    meanSpeedMPerS,
    torqueLimited: wantedN > mostN,
  };
}
