import { MATERIAL_CLASSES } from '@nucleon/core/materials/material';
import { id, name, number, object, oneOf, type JsonSchema } from './schemaParts';

const above0 = (most: number, unit: string): JsonSchema => number({ above: 0, most, unit });
const pressureWindow = object({
  glaze: above0(20, 'MPa'),
  low: above0(20, 'MPa'),
  best: above0(20, 'MPa'),
  high: above0(20, 'MPa'),
});
const speedWindow = object({
  low: above0(20, 'm/s'),
  best: above0(20, 'm/s'),
  high: above0(20, 'm/s'),
});

/** Every column of the reference table, for a material of one's own. */
export const customMaterial = object({
  id,
  name,
  class: oneOf(MATERIAL_CLASSES),
  pressureMpa: pressureWindow,
  rimSpeedMPerS: speedWindow,
  specificEnergyJPerMm3: above0(100, 'J/mm³'),
  friction: above0(1, ''),
  heatShare: above0(1, ''),
  youngModulusMpa: above0(1e6, 'MPa'),
  poisson: above0(0.49, ''),
  edgeStrengthMpa: above0(1000, 'MPa'),
  weibullModulus: above0(100, ''),
  toughnessMpaSqrtM: above0(100, 'MPa√m'),
  conductivityWPerMK: above0(1000, 'W/(m·K)'),
  specificHeatJPerKgK: above0(10_000, 'J/(kg·K)'),
  densityKgPerM3: above0(10_000, 'kg/m³'),
  expansionPerK: above0(1e-3, '1/K'),
  mohs: above0(10, ''),
  heatConstraint: number({ least: 0, most: 1, unit: '' }),
  exitChipFactor: above0(10, ''),
  finesColour: {
    type: 'string',
    pattern: '^#[0-9A-Fa-f]{6}$',
    description: 'a colour such as #A1B2C3',
  },
  grainSizeUm: above0(1000, 'µm'),
  dust: oneOf(['silica', 'nuisance', 'shell']),
  abrasiveness: oneOf(['soft-abrasive', 'medium', 'hard']),
});
