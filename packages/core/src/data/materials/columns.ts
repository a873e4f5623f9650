import type { Material, MaterialColumn } from './material';

/** How one column of a material is shown and typed. */
export interface ColumnWords {
  readonly label: string;
  readonly unit: string;
  readonly symbol?: string;
  /** Typed value = stored value × this: E is typed in GPa, α in 10⁻⁶/K. */
  readonly scale?: number;
}

export const COLUMN_WORDS = {
  pressureMpa: { label: 'Contact pressure', unit: 'MPa', symbol: 'p' },
  rimSpeedMPerS: { label: 'Rim speed', unit: 'm/s', symbol: 'v' },
  specificEnergyJPerMm3: { label: 'Specific energy of a fine rim', unit: 'J/mm³', symbol: 'e' },
  friction: { label: 'Friction coefficient', unit: '', symbol: 'μ' },
  heatShare: { label: 'Heat partition into the piece', unit: '', symbol: 'β' },
  youngModulusMpa: { label: 'Young’s modulus', unit: 'GPa', symbol: 'E', scale: 1e-3 },
  poisson: { label: 'Poisson’s ratio', unit: '', symbol: 'ν' },
  edgeStrengthMpa: { label: 'Strength at a drilled edge', unit: 'MPa', symbol: 'σ' },
  weibullModulus: { label: 'Weibull modulus', unit: '', symbol: 'm' },
  toughnessMpaSqrtM: { label: 'Fracture toughness', unit: 'MPa√m', symbol: 'K' },
  conductivityWPerMK: { label: 'Thermal conductivity', unit: 'W/(m·K)', symbol: 'k' },
  specificHeatJPerKgK: { label: 'Specific heat', unit: 'J/(kg·K)', symbol: 'c' },
  densityKgPerM3: { label: 'Density', unit: 'kg/m³', symbol: 'ρ' },
  expansionPerK: { label: 'Thermal expansion', unit: '10⁻⁶/K', symbol: 'α', scale: 1e6 },
  mohs: { label: 'Hardness', unit: 'Mohs', symbol: 'H' },
  heatConstraint: {
    label: 'Constraint of the hot ring',
    unit: '0 to 1',
    symbol: 'C_T',
  },
  exitChipFactor: { label: 'Exit chips wider by', unit: '×' },
  finesColour: { label: 'Colour of the fines', unit: '' },
  grainSizeUm: { label: 'Grain of the fines', unit: 'µm' },
  dust: { label: 'Dust', unit: '' },
  abrasiveness: { label: 'How it wears the bond', unit: '' },
} as const satisfies Record<MaterialColumn, ColumnWords>;

/** Columns that hold one plain number. */
export type NumberColumn = {
  [C in MaterialColumn]: Material[C] extends number ? C : never;
}[MaterialColumn];

const scaleOf = (column: NumberColumn): number => {
  const words: ColumnWords = COLUMN_WORDS[column];
  return words.scale ?? 1;
};

/** A column's number in the unit it is shown and typed in. */
export const columnShown = (material: Material, column: NumberColumn): number =>
  Number((material[column] * scaleOf(column)).toPrecision(6));

/** The number to store for one typed in that unit. */
export const columnStored = (column: NumberColumn, typed: number): number =>
  typed / scaleOf(column);

/** A material of the person's own, every column as the one it was made from. */
export const copyMaterial = (from: Material, id: string, name: string): Material => ({
  ...from,
  id,
  name,
});
