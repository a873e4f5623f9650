import { CAVITY, type MaterialId } from '../../data/materials/materials';
import type { Layer } from '../../documents/piece';

/** Leaves of usual thickness from the outside in, mm; null takes what is left of the whole. */
type Leaf = readonly [material: MaterialId | typeof CAVITY, thicknessMm: number | null];

const BRICK_MM = 102;
const BLOCK_MM = 100;
const PLASTER_MM = 13;
/** Narrower than this two leaves are not kept apart. */
const MIN_CAVITY_MM = 25;

/** How outside walls are built: work sizes of bricks and blocks, as laid. */
export const WALL_BUILDS = {
  'brick-cavity-block': [
    ['clay-brick', BRICK_MM],
    [CAVITY, null],
    ['lightweight-block', BLOCK_MM],
    ['mortar', PLASTER_MM],
  ],
  'brick-cavity-brick': [
    ['clay-brick', BRICK_MM],
    [CAVITY, null],
    ['clay-brick', BRICK_MM],
    ['mortar', PLASTER_MM],
  ],
  brick: [['clay-brick', null]],
  'dense-brick': [['engineering-brick', null]],
  block: [['lightweight-block', null]],
  stone: [['sandstone', null]],
  concrete: [['concrete', null]],
} as const satisfies Record<string, readonly Leaf[]>;

export type WallBuildId = keyof typeof WALL_BUILDS;
export const WALL_BUILD_IDS = Object.keys(WALL_BUILDS) as readonly WallBuildId[];
export const isWallBuildId = (id: string): id is WallBuildId => Object.hasOwn(WALL_BUILDS, id);

const leavesOf = (build: WallBuildId): readonly Leaf[] => WALL_BUILDS[build];
const isHollow = (build: WallBuildId): boolean =>
  leavesOf(build).some(([material]) => material === CAVITY);

/** The least such a wall measures, mm: its leaves and the narrowest cavity; 0 for a single leaf. */
export const minWallMm = (build: WallBuildId): number =>
  isHollow(build) ? leavesOf(build).reduce((sum, [, mm]) => sum + (mm ?? MIN_CAVITY_MM), 0) : 0;

/**
 * The leaves of a wall of a measured thickness, from the side it is entered.
 * @param thicknessMm from face to face, at least `minWallMm`
 * @returns undefined where it is one leaf
 */
export function wallLeaves(
  build: WallBuildId,
  thicknessMm: number,
  entry: 'outside' | 'inside',
): readonly Layer[] | undefined {
  const leaves = leavesOf(build);
  if (leaves.length < 2) return undefined;
  const known = leaves.reduce((sum, [, mm]) => sum + (mm ?? 0), 0);
  const layers = leaves.map(([material, mm]) => ({
    material,
    thicknessMm: mm ?? thicknessMm - known,
  }));
  return entry === 'outside' ? layers : layers.reverse();
}

/** Whether it matters from which side it is entered. */
export const hasTwoSides = (build: WallBuildId): boolean => leavesOf(build).length > 1;

/** The material a single leaf is of, and that a wall is named for. */
export const mainMaterial = (build: WallBuildId): MaterialId => {
  const solid = leavesOf(build).find(([material]) => material !== CAVITY)?.[0];
  return solid === undefined || solid === CAVITY ? 'clay-brick' : solid;
};
