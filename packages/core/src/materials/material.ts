/** Groups of materials that share spreads, a default look and manners at the bench. */
export const MATERIAL_CLASSES = ['glass', 'ceramic', 'stone', 'masonry'] as const;
export type MaterialClass = (typeof MATERIAL_CLASSES)[number];

/** Contact pressure, MPa, for a cup saw; multiply by the bit family's pressure factor. */
export interface PressureWindowMpa {
  readonly glaze: number;
  readonly low: number;
  readonly best: number;
  readonly high: number;
}

/** Rim speed at the outside diameter, m/s; multiply by the bit family's speed factor. */
export interface RimSpeedWindowMPerS {
  readonly low: number;
  readonly best: number;
  readonly high: number;
}

/** One row of the reference table: every column a custom material must give too. */
export interface Material {
  readonly id: string;
  readonly name: string;
  readonly class: MaterialClass;
  readonly pressureMpa: PressureWindowMpa;
  readonly rimSpeedMPerS: RimSpeedWindowMPerS;
  /** e: work to grind away a volume, wet and sharp, J/mm³. */
  readonly specificEnergyJPerMm3: number;
  /** μ: cutting friction, tangential over normal force. */
  readonly friction: number;
  /** β: share of the cutting heat that goes into the piece. */
  readonly heatShare: number;
  /** E, MPa. */
  readonly youngModulusMpa: number;
  /** ν. */
  readonly poisson: number;
  /** Characteristic bending strength at a drilled edge, MPa: the 5 % fractile. */
  readonly edgeStrengthMpa: number;
  /** m. */
  readonly weibullModulus: number;
  /** K, MPa·√m. */
  readonly toughnessMpaSqrtM: number;
  /** k, W/(m·K). */
  readonly conductivityWPerMK: number;
  /** c, J/(kg·K). */
  readonly specificHeatJPerKgK: number;
  /** ρ, kg/m³. */
  readonly densityKgPerM3: number;
  /** α, 1/K. */
  readonly expansionPerK: number;
  readonly mohs: number;
  /** C_T: how far the cold piece holds the hot ring from growing, 0 to 1. */
  readonly heatConstraint: number;
  /** Exit chips of laminar stone and coarse concrete come 2 to 4 times wider; else 1. */
  readonly exitChipFactor: number;
  /** Colour of the slurry, sRGB hex. */
  readonly finesColour: string;
  readonly grainSizeUm: number;
  readonly dust: 'silica' | 'nuisance' | 'shell';
  readonly abrasiveness: 'soft-abrasive' | 'medium' | 'hard';
}

export type MaterialColumn = Exclude<keyof Material, 'id' | 'name' | 'class'>;
