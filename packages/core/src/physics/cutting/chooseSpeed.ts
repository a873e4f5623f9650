import type { SpeedSetting } from './speedSettings';
import type { RimSpeedWindowMPerS } from '../../data/materials/material';
import { rimSpeedAt, rpmForRimSpeed } from './contact';

/** What held the speed away from the one wanted. */
export type SpeedLimit = 'water-throw-off' | 'bit-limit' | 'machine';

export interface ChosenSpeed {
  readonly rpm: number;
  readonly rimSpeedMPerS: number;
  readonly wantedRpm: number;
  readonly setting: SpeedSetting;
  /** The machine turns at fixed steps here; it is not slowed for the seat. */
  readonly isStep: boolean;
  readonly limits: readonly SpeedLimit[];
  readonly outsideWindow: 'below' | 'above' | null;
}

export interface SpeedWish {
  readonly diameterMm: number;
  readonly wantedRimSpeedMPerS: number;
  readonly window: RimSpeedWindowMPerS;
  readonly throwOffMPerS: number | null;
  readonly bitMaxRpm: number | undefined;
  readonly settings: readonly SpeedSetting[];
}

/** Comparisons of speeds that came through a division: relative. */
const SAME_SPEED = 1e-9;

/**
 * The machine speed nearest to the wanted rim speed.
 *
 * The wish is first capped by the water's throw-off speed and the bit's own limit. A stretch that
 * holds it gives it exactly, the one with most torque. Else: the highest speed at or below it that
 * lies in the material's window, else the lowest above it that the caps allow, else the highest
 * below; `outsideWindow` says so. Machines always have at least one setting.
 */
export function chooseSpeed(wish: SpeedWish): ChosenSpeed {
  const { diameterMm, settings, window } = wish;
  const limits: SpeedLimit[] = [];
  const wishedRpm = rpmForRimSpeed(wish.wantedRimSpeedMPerS, diameterMm);
  let capRpm = Infinity;
  if (wish.throwOffMPerS !== null) {
    capRpm = rpmForRimSpeed(wish.throwOffMPerS, diameterMm);
    if (wishedRpm > capRpm * (1 + SAME_SPEED)) limits.push('water-throw-off');
  }
  if (wish.bitMaxRpm !== undefined) {
    if (Math.min(wishedRpm, capRpm) > wish.bitMaxRpm) limits.push('bit-limit');
    capRpm = Math.min(capRpm, wish.bitMaxRpm);
  }
  const targetRpm = Math.min(wishedRpm, capRpm);

  const found = fittingSetting(settings, targetRpm, {
    lowRpm: rpmForRimSpeed(window.low, diameterMm),
    capRpm,
  });
  if (Math.abs(found.rpm - targetRpm) > targetRpm * SAME_SPEED) limits.push('machine');
  const rimSpeedMPerS = rimSpeedAt(found.rpm, diameterMm);
  return {
    rpm: found.rpm,
    rimSpeedMPerS,
    wantedRpm: wishedRpm,
    setting: found.setting,
    isStep: found.setting.minRpm === found.setting.maxRpm,
    limits,
    outsideWindow:
      rimSpeedMPerS < window.low * (1 - SAME_SPEED)
        ? 'below'
        : rimSpeedMPerS > window.high * (1 + SAME_SPEED)
          ? 'above'
          : null,
  };
}

function fittingSetting(
  settings: readonly SpeedSetting[],
  targetRpm: number,
  bounds: { readonly lowRpm: number; readonly capRpm: number },
): { readonly rpm: number; readonly setting: SpeedSetting } {
  const [slowest] = settings;
  if (!slowest) throw new Error('A machine needs at least one speed; got none.');
  const holding = settings.filter((s) => s.minRpm <= targetRpm && targetRpm <= s.maxRpm);
  const strongest = [...holding].sort((a, b) => b.stallTorqueNm - a.stallTorqueNm)[0];
  if (strongest) return { rpm: targetRpm, setting: strongest };

  const below = settings.filter((s) => s.maxRpm < targetRpm).at(-1);
  const above = [...settings]
    .filter((s) => s.minRpm > targetRpm)
    .sort((a, b) => a.minRpm - b.minRpm)[0];
  if (below && below.maxRpm >= bounds.lowRpm * (1 - SAME_SPEED))
    return { rpm: below.maxRpm, setting: below };
  if (above && above.minRpm <= bounds.capRpm * (1 + SAME_SPEED))
    return { rpm: above.minRpm, setting: above };
  if (below) return { rpm: below.maxRpm, setting: below };
  // Even the slowest speed is above what bit and water allow: the caller warns.
  return { rpm: slowest.minRpm, setting: slowest };
}
