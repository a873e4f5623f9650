import type { UnitSystem } from './unitSystem';

/** A size as it is sold, and what it measures. */
export interface NominalSize {
  readonly label: string;
  /** Outside, mm. */
  readonly mm: number;
}

interface SoldSizes {
  readonly metric: readonly NominalSize[];
  readonly inch: readonly NominalSize[];
}

const INCH_MM = 25.4;
const metric = (...sizes: readonly number[]): readonly NominalSize[] =>
  sizes.map((mm) => ({ label: `${mm} mm`, mm }));
const inches = (sizes: Readonly<Record<string, number>>): readonly NominalSize[] =>
  Object.entries(sizes).map(([label, inch]) => ({ label: `${label}"`, mm: inch * INCH_MM }));
/** Named by something other than what they measure. */
const named = (sizes: Readonly<Record<string, number>>): readonly NominalSize[] =>
  Object.entries(sizes).map(([label, mm]) => ({ label, mm }));

/** Outside diameters of pipe threads, ISO 228-1. */
const THREADS = named({
  'G 1/4': 13.16,
  'G 3/8': 16.66,
  'G 1/2': 20.96,
  'G 3/4': 26.44,
  'G 1': 33.25,
  'G 1 1/4': 41.91,
  'G 1 1/2': 47.8,
  'G 2': 59.61,
});
/** Outside diameters of steel tube, EN 10220. */
const STEEL_TUBE = metric(26.9, 33.7, 42.4, 48.3, 60.3, 76.1, 88.9);

/** What parts measure that are sold by a name or a round figure: standards of the trade. */
export const NOMINAL_SIZES = {
  /** Copper by EN 1057, waste by EN 1455, ducts by their collars; inch copper by its outside, plastic by iron-pipe size. */
  pipe: {
    metric: [
      ...metric(10, 15, 22, 28),
      ...named({ 'Waste 32': 36.2, 'Waste 40': 42.9, 'Waste 50': 55.9 }),
      ...named({ 'Duct 100': 100, 'Soil 110': 110, 'Duct 125': 125, 'Duct 150': 150 }),
    ],
    inch: named({
      'Copper 1/2"': 15.88,
      'Copper 3/4"': 22.23,
      'Copper 1"': 28.58,
      'Plastic 1/2"': 21.34,
      'Plastic 3/4"': 26.67,
      'Plastic 1"': 33.4,
      'Plastic 1 1/4"': 42.16,
      'Plastic 1 1/2"': 48.26,
      'Plastic 2"': 60.33,
      'Plastic 3"': 88.9,
      'Plastic 4"': 114.3,
    }),
  },
  thread: { metric: THREADS, inch: THREADS },
  plug: {
    metric: metric(5, 6, 7, 8, 10, 12, 14),
    inch: inches({ '3/16': 3 / 16, '1/4': 0.25, '5/16': 5 / 16, '3/8': 0.375, '1/2': 0.5 }),
  },
  shaft: {
    metric: named({ M4: 4, M5: 5, M6: 6, M8: 8, M10: 10, M12: 12, M16: 16, M20: 20 }),
    inch: inches({
      '3/16': 3 / 16,
      '1/4': 0.25,
      '5/16': 5 / 16,
      '3/8': 0.375,
      '1/2': 0.5,
      '5/8': 0.625,
    }),
  },
  post: {
    metric: STEEL_TUBE.slice(0, 6),
    inch: named({ 'Tube 1"': 33.4, 'Tube 1 1/4"': 42.16, 'Tube 1 1/2"': 48.26, 'Tube 2"': 60.33 }),
  },
  tube: {
    metric: metric(1, 1.5, 2, 2.5, 3, 4, 5, 6, 8),
    inch: inches({
      '1/16': 1 / 16,
      '3/32': 3 / 32,
      '1/8': 0.125,
      '5/32': 5 / 32,
      '3/16': 3 / 16,
      '1/4': 0.25,
    }),
  },
  /** Wire by its diameter; American wire gauge in inches: d = 0.127·92^((36 − n)/39) mm. */
  wire: {
    metric: metric(0.4, 0.6, 0.8, 1, 1.5, 2, 3),
    inch: [24, 22, 20, 18, 16, 14, 12].map((gauge) => ({
      label: `${gauge} ga`,
      mm: Math.round(127 * 92 ** ((36 - gauge) / 39)) / 1000,
    })),
  },
} as const satisfies Record<string, SoldSizes>;

export type NominalSizeId = keyof typeof NOMINAL_SIZES;

/** The sizes a part is sold in where this person shops. */
export const sizesSold = (id: NominalSizeId, { length }: UnitSystem): readonly NominalSize[] =>
  NOMINAL_SIZES[id][length === 'inch' ? 'inch' : 'metric'];
