import type { Material, MaterialColumn } from './material';
import type { MaterialClass } from '../choices';

/** Where a reference value comes from and how far real pieces stray from it. */
export interface Provenance {
  readonly source: string;
  /** One standard deviation of the natural logarithm (about the relative spread). */
  readonly relativeSd: number;
}

interface ColumnProvenance {
  readonly source: string;
  readonly relativeSd: Readonly<Record<MaterialClass, number>>;
}

const spread = (glass: number, ceramic: number, stone: number, masonry: number) => ({
  glass,
  ceramic,
  stone,
  masonry,
});

const HANDBOOK = 'Usual handbook range for this kind of material';
const PRACTICE = 'Starting value from general grinding practice, to be corrected by your own log';

// prettier-ignore
const COLUMNS = {
  pressureMpa: { source: `${PRACTICE}; contact pressure under a plated ring`, relativeSd: spread(0.2, 0.25, 0.25, 0.3) },
  rimSpeedMPerS: { source: `${PRACTICE}; rim speed at the outside of the bit`, relativeSd: spread(0.2, 0.2, 0.2, 0.25) },
  specificEnergyJPerMm3: { source: `${PRACTICE}; energy to grind a volume with sharp diamond, wet: grit size and chip thickness move it by a factor of two either way`, relativeSd: spread(0.6, 0.6, 0.6, 0.65) },
  friction: { source: `${PRACTICE}; tangential over normal force of wet diamond`, relativeSd: spread(0.15, 0.15, 0.15, 0.2) },
  heatShare: { source: 'Heat partition in wet grinding: more enters poor conductors', relativeSd: spread(0.25, 0.25, 0.3, 0.3) },
  youngModulusMpa: { source: HANDBOOK, relativeSd: spread(0.03, 0.15, 0.2, 0.3) },
  poisson: { source: HANDBOOK, relativeSd: spread(0.05, 0.1, 0.2, 0.2) },
  edgeStrengthMpa: { source: 'Five per cent fractile at a drilled edge; far below the strength of a polished face', relativeSd: spread(0.2, 0.25, 0.3, 0.35) },
  weibullModulus: { source: 'Weibull modulus of ground edges, usual range', relativeSd: spread(0.2, 0.2, 0.25, 0.25) },
  toughnessMpaSqrtM: { source: `${HANDBOOK}; mode I fracture toughness`, relativeSd: spread(0.1, 0.1, 0.1, 0.2) },
  conductivityWPerMK: { source: HANDBOOK, relativeSd: spread(0.05, 0.2, 0.2, 0.3) },
  specificHeatJPerKgK: { source: HANDBOOK, relativeSd: spread(0.05, 0.05, 0.1, 0.1) },
  densityKgPerM3: { source: HANDBOOK, relativeSd: spread(0.02, 0.05, 0.04, 0.08) },
  expansionPerK: { source: HANDBOOK, relativeSd: spread(0.05, 0.15, 0.2, 0.2) },
  mohs: { source: 'Mohs scratch scale', relativeSd: spread(0.05, 0.1, 0.1, 0.15) },
  heatConstraint: { source: 'Share of full constraint a cold piece puts on a hot ring, by how well it spreads heat', relativeSd: spread(0.3, 0.3, 0.3, 0.3) },
  exitChipFactor: { source: 'Laminar stone and coarse concrete shell two to four times wider at the exit', relativeSd: spread(0.01, 0.01, 0.3, 0.3) },
  finesColour: { source: 'Look of the slurry in still water', relativeSd: spread(0, 0, 0, 0) },
  grainSizeUm: { source: 'Usual size of ground fines that stay afloat', relativeSd: spread(0.5, 0.5, 0.5, 0.5) },
  dust: { source: 'Silica-bearing: ceramic, brick, concrete and stone except marble, limestone and shell', relativeSd: spread(0, 0, 0, 0) },
  abrasiveness: { source: 'How it wears the bond: soft loose grain opens it, hard dense bodies polish it', relativeSd: spread(0, 0, 0, 0) },
} as const satisfies Record<MaterialColumn, ColumnProvenance>;

/** Source note and spread of one column of one material. */
export function provenance(material: Pick<Material, 'class'>, column: MaterialColumn): Provenance {
  const { source, relativeSd } = COLUMNS[column];
  return { source, relativeSd: relativeSd[material.class] };
}
