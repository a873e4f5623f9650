import type { Damage } from '../documents/choices';
import type { Material } from '../documents/material';
import { normalMean } from '../numeric/normalMean';
import { failureProbability } from './weibull';

/** Water at a crack's tip: wet glass bears this much of its strength. */
const WET_GLASS = 0.7;
/** A chipped or mended piece bears about this much of a sound one. */
const DAMAGED = 0.7;

const BUILT_IN_MPA: Readonly<Record<string, number>> = {
  'container-glass': 4,
  'fused-glass': 6,
  'porcelain-tile': 2,
  'glazed-wall-tile': 2,
};
const BUILT_IN_BY_CLASS = { glass: 1, ceramic: 0, stone: 0, masonry: 0 } as const;

/** Stress a sound piece of this material carries of itself, MPa. */
export const builtInStress = (material: Pick<Material, 'id' | 'class'>): number =>
  BUILT_IN_MPA[material.id] ?? BUILT_IN_BY_CLASS[material.class];

/** What a drilled edge of this piece bears, MPa: the 5 % fractile, wet and as damaged as it is. */
export const bearableStress = (
  material: Pick<Material, 'class' | 'edgeStrengthMpa'>,
  wet: boolean,
  damage: Damage = 'none',
): number =>
  material.edgeStrengthMpa *
  (material.class === 'glass' && wet ? WET_GLASS : 1) *
  (damage === 'edge-chip' || damage === 'mended' ? DAMAGED : 1);

/** Half of the 5 % fractile: the working limit, MPa. */
export const workingLimit = (bearableMpa: number): number => bearableMpa / 2;

export interface CrackOdds {
  /** P of the stresses alone. */
  readonly byStress: number;
  readonly byHand: number;
  /** 1 − (1 − P)(1 − P_hand). */
  readonly total: number;
  readonly stressMpa: number;
  readonly bearableMpa: number;
  /** What all stress together should stay under, MPa: half of what the edge bears. */
  readonly limitMpa: number;
}

/** Stresses in MPa, with the spreads of what makes them. */
export interface Stresses {
  readonly thermalStressMpa: number;
  /** sd of ln σ_T: that of force and speed together. */
  readonly heatSd: number;
  /** Bending by weight and clamps, and what the drill's force adds to it. */
  readonly atRestMpa: number;
  readonly pressedMpa: number;
  /** sd of ln F. */
  readonly forceSd: number;
  readonly byHand: number;
  readonly bearableMpa: number;
}

/**
 * P_total = 1 − (1 − P)(1 − P_hand), P from Weibull on σ = σ_bend + σ_T + σ_built-in. Nobody presses
 * evenly, so P is the mean over the spread of force and heat, which go together, not its value at
 * the middle. Where the bending is not worked out it is a lower bound.
 */
export function crackOdds(
  material: Pick<Material, 'id' | 'class' | 'weibullModulus'>,
  stresses: Stresses,
): CrackOdds {
  const { thermalStressMpa, heatSd, atRestMpa, pressedMpa, forceSd, byHand, bearableMpa } =
    stresses;
  const steadyMpa = builtInStress(material) + atRestMpa;
  const byStress = normalMean((z) =>
    failureProbability(
      thermalStressMpa * Math.exp(heatSd * z) + pressedMpa * Math.exp(forceSd * z) + steadyMpa,
      bearableMpa,
      material.weibullModulus,
    ),
  );
  return {
    byStress,
    byHand,
    total: 1 - (1 - byStress) * (1 - byHand),
    stressMpa: thermalStressMpa + pressedMpa + steadyMpa,
    bearableMpa,
    limitMpa: workingLimit(bearableMpa),
  };
}
