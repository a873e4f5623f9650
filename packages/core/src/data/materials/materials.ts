import { type Material } from './material';
import { hasTrait } from './traits';
import type { MaterialClass } from '../choices';

/** Bumped whenever a value below changes; stored with every plan. */
export const MATERIAL_DATA_VERSION = '2026.12.1';

type Row = readonly [
  name: string,
  class_: MaterialClass,
  pressureMpa: readonly [glaze: number, low: number, best: number, high: number],
  rimSpeedMPerS: readonly [low: number, best: number, high: number],
  e: number,
  μ: number,
  β: number,
  E_GPa: number,
  ν: number,
  σ: number,
  m: number,
  K: number,
  k: number,
  c: number,
  ρ: number,
  α_per1e6K: number,
  H: number,
  C_T: number,
  finesColour: string,
  abrasiveness: Material['abrasiveness'],
  nature: Pick<
    Material,
    'usualForm' | 'dust' | 'traits' | 'builtInStressMpa' | 'compressiveStrengthMpa'
  > & {
    readonly exitChipFactor?: number;
  },
];

/** Middle (geometric mean) of the 2–4 times wider chips of laminar or coarse bodies. */
const LAMINAR_OR_COARSE = 2.8;

/** Starting values; where each column comes from and how far it spreads: `provenance.ts`. */
// prettier-ignore
const ROWS = {
  'float-glass': ['Float glass', 'glass', [0.08, 0.15, 0.35, 0.9], [0.5, 1.2, 2.5], 1.6, 0.25, 0.5, 70, 0.22, 25, 7, 0.75, 1.0, 720, 2500, 9.0, 6, 0.5, '#DCE6E4', 'hard', { usualForm: 'sheet', dust: 'nuisance' }],
  'container-glass': ['Bottle or jar glass', 'glass', [0.08, 0.15, 0.32, 0.8], [0.5, 1.1, 2.2], 1.6, 0.25, 0.5, 70, 0.22, 20, 6, 0.75, 1.0, 720, 2500, 9.0, 6, 0.5, '#D9E4DC', 'hard', { builtInStressMpa: 4, usualForm: 'vessel', dust: 'nuisance', traits: ['bottle'] }],
  'fused-glass': ['Fused studio glass', 'glass', [0.08, 0.15, 0.32, 0.8], [0.5, 1.1, 2.2], 1.7, 0.25, 0.5, 70, 0.22, 18, 5, 0.75, 1.0, 750, 2500, 9.2, 6, 0.5, '#DCE6E4', 'hard', { builtInStressMpa: 6, usualForm: 'sheet', dust: 'nuisance', traits: ['studio-fired'] }],
  'borosilicate-glass': ['Borosilicate glass', 'glass', [0.1, 0.18, 0.4, 1.0], [0.5, 1.2, 2.5], 2.0, 0.25, 0.5, 64, 0.2, 25, 7, 0.8, 1.14, 830, 2230, 3.3, 6, 0.5, '#E2E8E8', 'hard', { usualForm: 'vessel', dust: 'nuisance' }],
  'glazed-earthenware': ['Glazed earthenware', 'ceramic', [0.06, 0.12, 0.3, 0.7], [0.5, 1.2, 2.5], 1.2, 0.28, 0.5, 40, 0.2, 18, 10, 0.8, 1.0, 900, 2000, 6.5, 6, 0.35, '#D8BFA6', 'medium', { usualForm: 'vessel', dust: 'silica', traits: ['lead-glaze'] }],
  terracotta: ['Terracotta', 'ceramic', [0.05, 0.1, 0.25, 0.6], [0.5, 1.2, 2.5], 0.8, 0.3, 0.5, 15, 0.2, 9, 10, 0.7, 0.8, 900, 1850, 5.5, 4, 0.3, '#C58A66', 'soft-abrasive', { usualForm: 'vessel', dust: 'silica', traits: ['unglazed'] }],
  stoneware: ['Stoneware', 'ceramic', [0.1, 0.2, 0.4, 1.0], [0.6, 1.3, 2.5], 2.2, 0.27, 0.5, 60, 0.2, 30, 10, 1.1, 1.3, 880, 2300, 6.0, 7, 0.3, '#BDB3A4', 'hard', { usualForm: 'vessel', dust: 'silica' }],
  'porcelain-vessel': ['Porcelain vessel', 'ceramic', [0.08, 0.15, 0.3, 0.7], [0.6, 1.3, 2.2], 2.8, 0.25, 0.5, 75, 0.2, 40, 12, 1.2, 1.5, 850, 2450, 6.5, 7, 0.35, '#ECE9E3', 'hard', { usualForm: 'vessel', dust: 'silica' }],
  'porcelain-tile': ['Porcelain tile', 'ceramic', [0.15, 0.25, 0.5, 1.2], [0.6, 1.3, 2.2], 3.0, 0.25, 0.5, 70, 0.2, 35, 12, 1.3, 1.5, 850, 2400, 7.0, 7, 0.2, '#D7D3CB', 'hard', { builtInStressMpa: 2, usualForm: 'slab', dust: 'silica', traits: ['tile', 'may-hold-asbestos'] }],
  'glazed-wall-tile': ['Glazed wall tile', 'ceramic', [0.06, 0.12, 0.3, 0.7], [0.5, 1.2, 2.2], 1.1, 0.28, 0.5, 25, 0.2, 14, 10, 0.8, 1.0, 900, 1900, 6.5, 6, 0.25, '#E0CDBB', 'medium', { builtInStressMpa: 2, usualForm: 'slab', dust: 'silica', traits: ['tile', 'soft-body', 'may-hold-asbestos'] }],
  marble: ['Marble', 'stone', [0.1, 0.2, 0.5, 1.2], [1.0, 2.0, 3.5], 1.6, 0.3, 0.25, 55, 0.25, 9, 12, 1.0, 2.7, 880, 2700, 8.0, 3, 0.05, '#EDEAE4', 'medium', { usualForm: 'slab', dust: 'nuisance' }],
  limestone: ['Limestone, travertine', 'stone', [0.08, 0.15, 0.4, 1.0], [1.0, 2.0, 3.5], 1.2, 0.32, 0.25, 35, 0.25, 6, 10, 0.8, 1.8, 900, 2450, 6.0, 3, 0.05, '#E3DAC6', 'medium', { usualForm: 'slab', dust: 'nuisance', traits: ['building-stone'] }],
  slate: ['Slate', 'stone', [0.1, 0.2, 0.45, 0.9], [0.6, 1.3, 2.5], 1.8, 0.28, 0.25, 60, 0.2, 35, 10, 1.5, 2.0, 760, 2780, 9.0, 4, 0.08, '#8E979C', 'medium', { usualForm: 'slab', dust: 'silica', exitChipFactor: LAMINAR_OR_COARSE }],
  sandstone: ['Sandstone', 'stone', [0.1, 0.2, 0.5, 1.2], [1.2, 2.2, 3.5], 0.7, 0.35, 0.25, 18, 0.2, 4, 9, 0.6, 2.3, 920, 2250, 11, 6, 0.05, '#D6BE93', 'soft-abrasive', { usualForm: 'slab', dust: 'silica', traits: ['building-stone'] }],
  granite: ['Granite', 'stone', [0.4, 0.6, 1.0, 2.0], [1.2, 2.0, 3.5], 2.5, 0.3, 0.25, 55, 0.25, 10, 12, 1.6, 2.9, 790, 2650, 8.0, 7, 0.05, '#B9B4B0', 'hard', { usualForm: 'slab', dust: 'silica', traits: ['building-stone'] }],
  basalt: ['Basalt', 'stone', [0.35, 0.5, 0.9, 1.8], [1.0, 1.8, 3.0], 2.5, 0.3, 0.25, 75, 0.25, 16, 12, 1.9, 1.7, 840, 2900, 6.0, 6, 0.05, '#6F7476', 'hard', { usualForm: 'slab', dust: 'silica' }],
  'quartzite-agate': ['Quartzite, flint, agate, jasper', 'stone', [0.5, 0.7, 1.1, 2.0], [0.8, 1.5, 3.0], 8.0, 0.25, 0.25, 75, 0.1, 30, 8, 1.6, 4.0, 740, 2620, 12, 7, 0.15, '#DDD3CC', 'hard', { usualForm: 'bead', dust: 'silica' }],
  jade: ['Nephrite, jadeite', 'stone', [0.5, 0.7, 1.2, 2.5], [0.8, 1.5, 3.0], 7.0, 0.25, 0.25, 130, 0.25, 90, 12, 5.0, 2.5, 850, 3000, 8.0, 6.5, 0.15, '#B9C7B2', 'hard', { usualForm: 'bead', dust: 'silica', traits: ['fibrous'] }],
  shell: ['Shell, mother-of-pearl', 'stone', [0.05, 0.1, 0.25, 0.5], [0.5, 1.0, 2.0], 0.6, 0.28, 0.4, 60, 0.3, 40, 8, 1.5, 1.0, 900, 2700, 10, 3.5, 0.2, '#EFE9E2', 'medium', { usualForm: 'bead', dust: 'shell' }],
  'engineered-quartz': ['Engineered quartz top', 'stone', [0.3, 0.45, 0.8, 1.5], [1.0, 1.8, 3.0], 3.0, 0.28, 0.35, 40, 0.25, 30, 12, 1.5, 2.3, 850, 2400, 18, 7, 0.15, '#D4D1CC', 'hard', { usualForm: 'slab', dust: 'silica', traits: ['all-silica'] }],
  terrazzo: ['Terrazzo, cast stone', 'stone', [0.3, 0.5, 1.0, 2.0], [1.2, 2.2, 3.5], 1.4, 0.3, 0.25, 30, 0.2, 5, 10, 0.9, 1.8, 880, 2300, 10, 5, 0.05, '#C9C2B6', 'medium', { usualForm: 'slab', dust: 'silica', traits: ['polished'] }],
  concrete: ['Concrete', 'masonry', [0.36, 0.57, 1.07, 2.1], [1.5, 2.8, 4.0], 1.35, 0.3, 0.2, 31, 0.2, 3, 10, 0.9, 1.8, 880, 2350, 10, 5, 0, '#ABA89F', 'medium', { compressiveStrengthMpa: 35, usualForm: 'wall', dust: 'silica', exitChipFactor: LAMINAR_OR_COARSE, traits: ['reinforceable'] }],
  'reinforced-concrete': ['Reinforced concrete, at steel', 'masonry', [0.43, 0.71, 1.3, 2.1], [1.2, 2.0, 3.0], 4.0, 0.3, 0.2, 31, 0.2, 3, 10, 0.9, 1.8, 880, 2400, 10, 5, 0, '#A19E97', 'hard', { compressiveStrengthMpa: 40, usualForm: 'wall', dust: 'silica', exitChipFactor: LAMINAR_OR_COARSE, traits: ['reinforceable', 'steel'] }],
  'clay-brick': ['Clay brick', 'masonry', [0.07, 0.2, 0.64, 1.4], [1.5, 2.8, 4.0], 0.3, 0.32, 0.25, 10, 0.15, 2, 8, 0.5, 0.8, 840, 1800, 6.0, 4, 0, '#B77B5E', 'soft-abrasive', { compressiveStrengthMpa: 20, usualForm: 'wall', dust: 'silica' }],
  'engineering-brick': ['Dense engineering brick', 'masonry', [0.12, 0.3, 0.86, 1.7], [1.3, 2.4, 3.5], 0.6, 0.3, 0.25, 25, 0.15, 5, 8, 0.8, 1.2, 840, 2200, 6.0, 6, 0, '#8C6A62', 'hard', { compressiveStrengthMpa: 75, usualForm: 'wall', dust: 'silica' }],
  'lightweight-block': ['Lightweight or aerated block', 'masonry', [0.02, 0.05, 0.21, 0.57], [1.5, 2.8, 4.0], 0.03, 0.35, 0.3, 2, 0.2, 0.6, 8, 0.15, 0.2, 1000, 700, 8.0, 3, 0, '#CFCBC2', 'soft-abrasive', { compressiveStrengthMpa: 5, usualForm: 'wall', dust: 'silica' }],
  mortar: ['Mortar, plaster', 'masonry', [0.03, 0.08, 0.29, 0.86], [1.5, 2.8, 4.0], 0.12, 0.35, 0.3, 8, 0.2, 1, 8, 0.3, 0.8, 900, 1700, 9.0, 3, 0, '#C9C1B0', 'soft-abrasive', { compressiveStrengthMpa: 5, usualForm: 'wall', dust: 'silica', traits: ['may-hold-asbestos'] }],
} as const satisfies Record<string, Row>;

export type MaterialId = keyof typeof ROWS;

/** Size of a settled fines grain that clouds water, µm, where nothing better is known. */
const DEFAULT_GRAIN_SIZE_UM = 10;

function materialFromRow(id: string, row: Row): Material {
  const [
    name,
    class_,
    p,
    v,
    e,
    μ,
    β,
    E_GPa,
    ν,
    σ,
    m,
    K,
    k,
    c,
    ρ,
    α,
    H,
    C_T,
    fines,
    abrasiveness,
    nature,
  ] = row;
  return {
    id,
    name,
    class: class_,
    pressureMpa: { glaze: p[0], low: p[1], best: p[2], high: p[3] },
    rimSpeedMPerS: { low: v[0], best: v[1], high: v[2] },
    specificEnergyJPerMm3: e,
    friction: μ,
    heatShare: β,
    youngModulusMpa: E_GPa * 1000,
    poisson: ν,
    edgeStrengthMpa: σ,
    weibullModulus: m,
    toughnessMpaSqrtM: K,
    conductivityWPerMK: k,
    specificHeatJPerKgK: c,
    densityKgPerM3: ρ,
    expansionPerK: α * 1e-6,
    mohs: H,
    heatConstraint: C_T,
    exitChipFactor: 1,
    finesColour: fines,
    grainSizeUm: DEFAULT_GRAIN_SIZE_UM,
    abrasiveness,
    ...nature,
  };
}

export const MATERIALS: Readonly<Record<MaterialId, Material>> = Object.fromEntries(
  Object.entries(ROWS).map(([id, row]) => [id, materialFromRow(id, row)]),
) as Record<MaterialId, Material>;

export const MATERIAL_IDS = Object.keys(ROWS) as readonly MaterialId[];

/** A hollow between two leaves: a layer, not a material. */
export const CAVITY = 'cavity';

/** Looks a material up, the job's own first. */
export function findMaterial(id: string, custom: readonly Material[] = []): Material | undefined {
  const own = custom.find((material) => material.id === id);
  return own ?? (isMaterialId(id) ? MATERIALS[id] : undefined);
}

export function isMaterialId(id: string): id is MaterialId {
  return Object.hasOwn(MATERIALS, id);
}

/** What a wall or floor is built up of, leaf by leaf. */
export const isBuiltWith = (material: Pick<Material, 'class' | 'traits'>): boolean =>
  material.class === 'masonry' || isTile(material) || hasTrait(material, 'building-stone');

/** A flat fired tile, for which tools made for dry exist. */
export const isTile = (material: Pick<Material, 'traits'>): boolean => hasTrait(material, 'tile');
