import type { Material } from '../materials/material';
import type { MaterialClass } from '../choices';

/** How the grains that cut are held. Each row gives one factor or range for every material class. */
export interface Abrasive {
  readonly name: string;
  /** One layer: it goes bald, and dressing does not bring up another. */
  readonly singleLayer: boolean;
  /** e over the material's own column, which is that of a fine sintered rim. */
  readonly energyFactor: Readonly<Record<MaterialClass, number>>;
  /** Depth cut until half the bite is gone, m, before `lifeFactor`: the tenth to the ninetieth of a hundred bits. */
  readonly lifeDepthM: Readonly<Record<MaterialClass, readonly [p10: number, p90: number]>>;
  /** Hard dense bodies wear one layer sooner; loose abrasive grain eats the bond of the others. */
  readonly lifeFactor: Readonly<Record<Material['abrasiveness'], number>>;
}

/**
 * Grit size sets chip thickness, and chip thickness the energy (Malkin: specific energy falls as the
 * undeformed chip thickens): coarse brazed and segmented rims need less of it than fine sintered ones.
 * A bonded rim in hard stone polishes between dressings and needs more.
 */
// prettier-ignore
export const ABRASIVES = {
  plated: { name: 'Plated', singleLayer: true, energyFactor: { glass: 0.75, ceramic: 0.8, stone: 1, masonry: 1 }, lifeDepthM: { glass: [0.06, 0.215], ceramic: [0.09, 0.6], stone: [0.1, 0.6], masonry: [0.6, 3] }, lifeFactor: { 'soft-abrasive': 1, medium: 1, hard: 0.65 } },
  sintered: { name: 'Sintered', singleLayer: false, energyFactor: { glass: 1.2, ceramic: 1, stone: 1.3, masonry: 1 }, lifeDepthM: { glass: [3, 40], ceramic: [3, 30], stone: [3, 40], masonry: [3, 30] }, lifeFactor: { 'soft-abrasive': 0.5, medium: 1, hard: 1 } },
  brazed: { name: 'Brazed', singleLayer: true, energyFactor: { glass: 0.5, ceramic: 0.33, stone: 0.6, masonry: 0.7 }, lifeDepthM: { glass: [0.15, 0.7], ceramic: [0.3, 1.5], stone: [0.6, 4], masonry: [0.8, 4] }, lifeFactor: { 'soft-abrasive': 1, medium: 1, hard: 0.65 } },
  segmented: { name: 'Segmented', singleLayer: false, energyFactor: { glass: 0.7, ceramic: 0.6, stone: 0.7, masonry: 1 }, lifeDepthM: { glass: [2, 15], ceramic: [3, 20], stone: [3, 25], masonry: [6, 40] }, lifeFactor: { 'soft-abrasive': 0.6, medium: 1, hard: 0.7 } },
  impregnated: { name: 'Impregnated', singleLayer: false, energyFactor: { glass: 1.3, ceramic: 1.1, stone: 1.3, masonry: 1.1 }, lifeDepthM: { glass: [0.4, 4], ceramic: [0.4, 4], stone: [0.3, 4], masonry: [0.4, 4] }, lifeFactor: { 'soft-abrasive': 0.6, medium: 1, hard: 0.7 } },
  carbide: { name: 'Carbide', singleLayer: true, energyFactor: { glass: 1.5, ceramic: 0.8, stone: 1.5, masonry: 0.6 }, lifeDepthM: { glass: [0.006, 0.03], ceramic: [0.03, 0.1], stone: [0.03, 0.3], masonry: [1, 10] }, lifeFactor: { 'soft-abrasive': 1, medium: 1, hard: 0.2 } },
} as const satisfies Record<string, Abrasive>;

export type AbrasiveId = keyof typeof ABRASIVES;
export const ABRASIVE_IDS = Object.keys(ABRASIVES) as readonly AbrasiveId[];

/** e, J/mm³: work to grind a volume of this material away with this kind of rim, sharp and wet. */
export const specificEnergy = (
  material: Pick<Material, 'class' | 'specificEnergyJPerMm3'>,
  abrasive: AbrasiveId,
): number => material.specificEnergyJPerMm3 * ABRASIVES[abrasive].energyFactor[material.class];
