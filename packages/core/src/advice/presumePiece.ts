import type { Outline } from '../documents/outline';
import type { Material } from '../data/materials/material';
import type { MaterialClass, GlassTreatment, PieceForm } from '../data/choices';
import { MATERIALS, type MaterialId } from '../data/materials/materials';
import { MM_PER_INCH } from '../math/constants';
import type { UnitSystem } from '../data/unitSystem';
import type { Piece } from '../documents/piece';

const FORM_OF_CLASS: Record<MaterialClass, PieceForm> = {
  glass: 'sheet',
  ceramic: 'slab',
  stone: 'slab',
  masonry: 'wall',
};

/** The form a piece of this material most often has. */
export const usualForm = (material: Pick<Material, 'class' | 'usualForm'>): PieceForm =>
  material.usualForm ?? FORM_OF_CLASS[material.class];

const USUAL_MATERIAL: Record<MaterialClass, MaterialId> = {
  glass: 'float-glass',
  ceramic: 'stoneware',
  stone: 'granite',
  masonry: 'clay-brick',
};

/** The commonest of a kind, to plan with until more is known. */
export const usualMaterial = (kind: MaterialClass): Material => MATERIALS[USUAL_MATERIAL[kind]];

const WALL_SIDE_MM = 1000;
const SHEET_MM = [300, 200] as const;
const VESSEL_MM = [150, 120] as const;
const BEAD_MM = 15;
/** A piece is presumed to be at least this many hole diameters across. */
const MIN_DIAMETERS = 3;

/** An outline to begin with, big enough for the hole; the person changes it when it matters. */
export function presumeOutline(form: PieceForm, diameterMm: number): Outline {
  const min = MIN_DIAMETERS * diameterMm;
  switch (form) {
    case 'sheet':
    case 'slab':
    case 'block':
      return {
        kind: 'rectangle',
        widthMm: Math.max(SHEET_MM[0], min),
        heightMm: Math.max(SHEET_MM[1], min),
      };
    case 'vessel':
      return {
        kind: 'cylinder',
        outerDiameterMm: Math.max(VESSEL_MM[0], min),
        heightMm: Math.max(VESSEL_MM[1], min),
      };
    case 'bead':
      return { kind: 'circle', diameterMm: Math.max(BEAD_MM, min) };
    case 'wall':
    case 'floor':
      return {
        kind: 'rectangle',
        widthMm: Math.max(WALL_SIDE_MM, min),
        heightMm: Math.max(WALL_SIDE_MM, min),
      };
  }
}

const THICKNESS_MM: Record<PieceForm, readonly number[]> = {
  sheet: [3, 4, 5, 6, 8, 10, 12],
  slab: [6, 8, 10, 12, 20, 30],
  block: [20, 30, 50, 80],
  vessel: [3, 4, 6, 8, 10, 15],
  bead: [3, 5, 7, 10, 15, 20],
  wall: [50, 100, 150, 215, 300],
  floor: [50, 100, 150, 200],
};
const THICKNESS_IN: Record<PieceForm, readonly number[]> = {
  sheet: [1 / 8, 3 / 16, 1 / 4, 3 / 8, 1 / 2],
  slab: [1 / 4, 5 / 16, 3 / 8, 1 / 2, 3 / 4, 1.25],
  block: [3 / 4, 1, 2, 3],
  vessel: [1 / 8, 3 / 16, 1 / 4, 3 / 8, 1 / 2],
  bead: [1 / 8, 1 / 4, 3 / 8, 1 / 2, 3 / 4],
  wall: [2, 4, 6, 8, 12],
  floor: [2, 4, 6, 8],
};
const DIAMETER_MM: Record<PieceForm, readonly number[]> = {
  sheet: [4, 6, 8, 10, 16, 22, 28, 35],
  slab: [6, 8, 10, 12, 22, 28, 35, 50],
  block: [6, 8, 10, 12, 20, 35, 50],
  vessel: [4, 6, 8, 10, 12, 16, 20],
  bead: [0.8, 1, 1.5, 2, 3, 4, 6],
  wall: [10, 22, 38, 52, 82, 107, 127],
  floor: [22, 52, 82, 102, 127, 152],
};
const DIAMETER_IN: Record<PieceForm, readonly number[]> = {
  sheet: [3 / 16, 1 / 4, 3 / 8, 1 / 2, 3 / 4, 1, 1.375],
  slab: [1 / 4, 5 / 16, 3 / 8, 1 / 2, 1, 1.375, 2],
  block: [1 / 4, 3 / 8, 1 / 2, 3 / 4, 1.375],
  vessel: [3 / 16, 1 / 4, 3 / 8, 1 / 2, 3 / 4],
  bead: [1 / 32, 3 / 64, 1 / 16, 1 / 8, 1 / 4],
  wall: [3 / 8, 1, 1.5, 2, 3.25, 4.25, 5],
  floor: [1, 2, 3, 4, 5, 6],
};

/** Thicknesses and diameters, mm, offered first for a form, in the person's own sizes. */
export function usualSizes(
  form: PieceForm,
  units: UnitSystem,
): { readonly thicknessMm: readonly number[]; readonly diameterMm: readonly number[] } {
  const inMm = (inches: readonly number[]): number[] => inches.map((inch) => inch * MM_PER_INCH);
  return units.length === 'mm'
    ? { thicknessMm: THICKNESS_MM[form], diameterMm: DIAMETER_MM[form] }
    : { thicknessMm: inMm(THICKNESS_IN[form]), diameterMm: inMm(DIAMETER_IN[form]) };
}

export interface KnownSoFar {
  readonly material: Pick<Material, 'id' | 'class' | 'name' | 'usualForm'>;
  readonly thicknessMm: number;
  readonly diameterMm: number;
  readonly glassTreatment?: GlassTreatment;
}

/** A piece of which only material, thickness and hole are known. */
export function presumePiece(known: KnownSoFar): Omit<Piece, 'id'> {
  const form = usualForm(known.material);
  return {
    name: `${known.material.name.split(',')[0] ?? known.material.name} ${form}`,
    form,
    material: known.material.id,
    thicknessMm: known.thicknessMm,
    outline: presumeOutline(form, known.diameterMm),
    ...(known.material.class === 'glass'
      ? { glassTreatment: known.glassTreatment ?? 'unknown' }
      : {}),
  };
}
