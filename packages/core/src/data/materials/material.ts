import { MATERIAL_TRAITS } from './traits';
import { MATERIAL_CLASSES, PIECE_FORMS } from '../choices';
import { id, list, name, number, object, oneOf, type Document } from '../schema/schema';
import { Type } from '@sinclair/typebox';

const above0 = (max: number, unit: string) => number({ above: 0, max, unit });
const pressure = above0(20, 'MPa');
const speed = above0(20, 'm/s');

/** Contact pressure for a cup saw; multiply by the bit family's pressure factor. */
const pressureWindow = object({ glaze: pressure, low: pressure, best: pressure, high: pressure });
export interface PressureWindowMpa extends Document<typeof pressureWindow> {}

/** Rim speed at the outside diameter; multiply by the bit family's speed factor. */
const rimSpeedWindow = object({ low: speed, best: speed, high: speed });
export interface RimSpeedWindowMPerS extends Document<typeof rimSpeedWindow> {}

/** One row of the reference table: every column a material of one's own must give too. */
export const materialSchema = object(
  {
    id,
    name,
    class: oneOf(MATERIAL_CLASSES),
    pressureMpa: pressureWindow,
    rimSpeedMPerS: rimSpeedWindow,
    /** e: work to grind away a volume, wet and sharp. */
    specificEnergyJPerMm3: above0(100, 'J/mm³'),
    /** μ: cutting friction, tangential over normal force. */
    friction: above0(1, ''),
    /** β: share of the cutting heat that goes into the piece. */
    heatShare: above0(1, ''),
    /** E. */
    youngModulusMpa: above0(1e6, 'MPa'),
    /** ν. */
    poisson: above0(0.49, ''),
    /** Characteristic bending strength at a drilled edge: the 5 % fractile. */
    edgeStrengthMpa: above0(1000, 'MPa'),
    /** m. */
    weibullModulus: above0(100, ''),
    /** K. */
    toughnessMpaSqrtM: above0(100, 'MPa√m'),
    /** k. */
    conductivityWPerMK: above0(1000, 'W/(m·K)'),
    /** c. */
    specificHeatJPerKgK: above0(10_000, 'J/(kg·K)'),
    /** ρ. */
    densityKgPerM3: above0(10_000, 'kg/m³'),
    /** α. */
    expansionPerK: above0(1e-3, '1/K'),
    mohs: above0(10, ''),
    /** C_T: how far the cold piece holds the hot ring from growing. */
    heatConstraint: number({ min: 0, max: 1, unit: '' }),
    /** Exit chips of laminar stone and coarse concrete come 2 to 4 times wider; else 1. */
    exitChipFactor: above0(10, ''),
    /** Colour of the slurry, sRGB hex. */
    finesColour: Type.String({
      pattern: '^#[0-9A-Fa-f]{6}$',
      description: 'a colour such as #A1B2C3',
    }),
    grainSizeUm: above0(1000, 'µm'),
    dust: oneOf(['silica', 'nuisance', 'shell']),
    abrasiveness: oneOf(['soft-abrasive', 'medium', 'hard']),
  },
  {
    /** The form a piece of it most often has. */
    usualForm: oneOf(PIECE_FORMS),
    traits: list(oneOf(MATERIAL_TRAITS), MATERIAL_TRAITS.length),
    /** Stress that a sound piece carries of itself; where it is not given, as its class has it. */
    builtInStressMpa: number({ min: 0, max: 100, unit: 'MPa' }),
    /** σ_c: what a hammered bit has to crush. */
    compressiveStrengthMpa: above0(1000, 'MPa'),
  },
);
export interface Material extends Document<typeof materialSchema> {}
export type MaterialColumn = Exclude<
  keyof Material,
  'id' | 'name' | 'class' | 'usualForm' | 'traits' | 'builtInStressMpa' | 'compressiveStrengthMpa'
>;
