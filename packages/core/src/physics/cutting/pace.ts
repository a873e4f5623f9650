import type { BitGeometry } from './bitGeometry';
import type { Pace } from '../../data/choices';
import type {
  Material,
  PressureWindowMpa,
  RimSpeedWindowMPerS,
} from '../../data/materials/material';

/** The material's windows as this bit family feels them. */
export interface CuttingWindow {
  readonly pressureMpa: PressureWindowMpa;
  readonly rimSpeedMPerS: RimSpeedWindowMPerS;
}

export function cuttingWindow(
  material: Material,
  bit: Pick<BitGeometry, 'pressureFactor' | 'speedFactor'>,
): CuttingWindow {
  const f = bit.pressureFactor;
  const p = material.pressureMpa;
  const v = material.rimSpeedMPerS;
  const g = bit.speedFactor;
  return {
    pressureMpa: { glaze: f * p.glaze, low: f * p.low, best: f * p.best, high: f * p.high },
    rimSpeedMPerS: { low: g * v.low, best: g * v.best, high: g * v.high },
  };
}

/**
 * Speed and pressure of a pace: gentle = v_low + 0.4(v_best − v_low), p_low; steady = v_best,
 * p_best; brisk = v_best + 0.5(v_high − v_best), p_best + 0.5(p_high − p_best).
 */
export function paceTarget(
  window: CuttingWindow,
  pace: Pace,
): { readonly rimSpeedMPerS: number; readonly pressureMpa: number } {
  const v = window.rimSpeedMPerS;
  const p = window.pressureMpa;
  switch (pace) {
    case 'gentle':
      return { rimSpeedMPerS: v.low + 0.4 * (v.best - v.low), pressureMpa: p.low };
    case 'steady':
      return { rimSpeedMPerS: v.best, pressureMpa: p.best };
    case 'brisk':
      return {
        rimSpeedMPerS: v.best + 0.5 * (v.high - v.best),
        pressureMpa: p.best + 0.5 * (p.high - p.best),
      };
  }
}
