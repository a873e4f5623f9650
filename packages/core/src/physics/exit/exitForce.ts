import type { Material } from '../../data/materials/material';
import { forceForChipWidth, type ExitConditions } from './exitChip';

export interface ExitForce {
  readonly exitForceN: number;
  /** Before it was held between the low cutting force and F. */
  readonly idealN: number;
  /** Keeping chips this small would need less force than cuts at all. */
  readonly belowGlaze: boolean;
}

/**
 * F_exit for an allowed chip width, held between f·p_low·A_c and the main force F.
 * @param allowedWidthMm the middle to aim at: for nine chips in ten under W, W·exp(−1.2816·sd)
 */
export function exitForceFor(
  material: Pick<Material, 'toughnessMpaSqrtM' | 'exitChipFactor'>,
  allowedWidthMm: number,
  at: ExitConditions,
  force: { readonly mainN: number; readonly lowN: number; readonly glazeN: number },
): ExitForce {
  const idealN = forceForChipWidth(material, allowedWidthMm, at);
  return {
    exitForceN: Math.min(force.mainN, Math.max(idealN, force.lowN)),
    idealN,
    belowGlaze: idealN < force.glazeN,
  };
}
