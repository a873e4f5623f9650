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

/** What keeps the force under the one wanted. */
export type ForceLimit = 'torque' | 'power' | 'arms';

export interface FeedForce {
  readonly feedForceN: number;
  readonly contactPressureMpa: number;
  readonly torqueNm: number;
  readonly powerW: number;
  /** v_m at the speed the motor keeps under this load, m/s. */
  readonly meanSpeedMPerS: number;
  /** n under load over n as set: 1 where gear or governor hold it. */
  readonly speedShare: number;
  /** The most that machine and arms give here, N. */
  readonly maxN: number;
  /** null where the material sets the force. */
  readonly limitedBy: ForceLimit | null;
}

/** What the force comes from. */
export interface Drive {
  readonly rpm: number;
  /** n₀: where the motor runs free at this setting, rpm. */
  readonly freeRpm: number;
  /** T₀, N·m. */
  readonly stallTorqueNm: number;
  readonly ratedPowerW: number;
  readonly sags: boolean;
  /** What hold and feed aid give for as long as the cut takes, N. */
  readonly armsN: number;
}

/**
 * F = the least of p·A_c, of what the motor drives, T = μ·F·r_m ≤ T₀/2 and P = μ·F·v_m ≤ P_rated, and
 * of what the arms give. A series motor's torque falls along T(n) = T₀·(1 − n/n₀): set to n it turns at
 * min(n, n₀·(1 − T/T₀)) under load.
 */
export function feedForceFor(
  wantedPressureMpa: number,
  μ: number,
  contact: Contact,
  drive: Drive,
): FeedForce {
  const r_m = contact.meanRadiusMm / 1000;
  const v_m = meanSpeedAt(drive.rpm, contact.meanRadiusMm);
  const max: Readonly<Record<ForceLimit, number>> = {
    torque: (USABLE_SHARE_OF_STALL * drive.stallTorqueNm) / (μ * r_m),
    power: drive.ratedPowerW / (μ * v_m),
    arms: drive.armsN,
  };
  const wantedN = wantedPressureMpa * contact.contactAreaMm2;
  const tightest = FORCE_LIMITS.reduce((min, one) => (max[one] < max[min] ? one : min));
  const maxN = max[tightest];
  const feedForceN = Math.min(wantedN, maxN);
  const torqueNm = cuttingTorque(μ, feedForceN, contact.meanRadiusMm);
  const loadedRpm = drive.freeRpm * (1 - torqueNm / drive.stallTorqueNm);
  const speedShare = drive.sags ? Math.min(1, loadedRpm / drive.rpm) : 1;
  return {
    feedForceN,
    contactPressureMpa: feedForceN / contact.contactAreaMm2,
    torqueNm,
    powerW: cuttingPower(μ, feedForceN, v_m * speedShare),
    meanSpeedMPerS: v_m * speedShare,
    speedShare,
    maxN,
    limitedBy: wantedN > maxN ? tightest : null,
  };
}

const FORCE_LIMITS = ['torque', 'power', 'arms'] as const satisfies readonly ForceLimit[];
