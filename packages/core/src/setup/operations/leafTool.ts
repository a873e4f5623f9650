import { BIT_FAMILIES, type BitFamilyId } from '../../data/bits/bitFamilies';
import type { Material } from '../../data/materials/material';
import { hasTrait } from '../../data/materials/traits';
import type { Bit } from '../../documents/kit';
import type { Setup } from '../../documents/setup';
import { bitGeometry } from '../../physics/cutting/bitGeometry';
import { assumeBit, isUsable, joins, suits } from '../assumeSetup';
import type { DepthLayer } from '../cutLayers';
import { ownReach } from './reach';
import { withSetup, type DrillCase } from '../drillCase';
import { resolveSetup } from '../resolveSetup';
import { SIZE_TOLERANCE_MM, type ResolvedBit, type ResolvedSetup } from '../resolvedSetup';

/** Up to here a wall behind its face is bored with a masonry bit, mm: nobody cores for a plug. */
const LARGEST_PLUG_MM = 25;

/**
 * The tool each solid leaf is cut with: the setup’s own where it is any use there, else one that is.
 * @param behindMm how wide the hole is behind its face, where the part asks for another width there
 */
export function leafTools(
  drillCase: DrillCase,
  base: ResolvedSetup,
  leaves: readonly DepthLayer[],
  behindMm?: number,
): ReadonlyMap<DepthLayer, ResolvedSetup> {
  const solid = leaves.filter(({ parts }) => parts.length > 0);
  const suited = solid.filter((leaf) => isForLeaf(base, leaf, leaves));
  // A bit that is no use anywhere was chosen all the same: it is warned of, not taken away.
  if (suited.length === 0 || suited.length === solid.length)
    return new Map(solid.map((leaf) => [leaf, base]));
  const ownMm = base.finishing.geometry.diameterMm;
  const others = new Map<string, ResolvedSetup>();
  return new Map(
    solid.map((leaf) => {
      if (suited.includes(leaf)) return [leaf, base];
      const other = others.get(leaf.id) ?? otherTool(drillCase, behindMm ?? ownMm, leaf);
      others.set(leaf.id, other);
      return [leaf, other];
    }),
  );
}

/** A core no wider than this comes away with the bit and is not broken out on the way, mm. */
export const LARGEST_LOOSE_CORE_MM = 20;

/**
 * Whether the setup’s bit is made for a leaf, and goes through it: one of another kind than the face and deeper
 * than the barrel asks for a bit of its own, unless a bit wide enough to break cores out of was chosen.
 */
function isForLeaf(
  { finishing, assumed }: ResolvedSetup,
  leaf: DepthLayer,
  leaves: readonly DepthLayer[],
): boolean {
  const { family, diameterMm } = finishing.geometry;
  if (!leaf.parts.every(({ material }) => suits(family, material))) return false;
  const first = leaves[0]?.parts[0]?.material;
  const isOther = leaf.parts.some(({ material }) => material.class !== first?.class);
  const isDeep = isOther && leaf.toMm > ownReach(finishing);
  return !isDeep || (!assumed.includes('bit') && diameterMm > LARGEST_LOOSE_CORE_MM);
}

/** A bit of this size for a leaf, owned if there is one, with machine and water to it. */
function otherTool(drillCase: DrillCase, diameterMm: number, leaf: DepthLayer): ResolvedSetup {
  const material = hardestOf(leaf);
  const sized = { ...drillCase.hole, diameterMm };
  const tool =
    plugBit(drillCase, sized.diameterMm, material, leaf.toMm) ??
    assumeBit(drillCase.kit, drillCase.piece, sized, material);
  return resolveSetup(forTool(drillCase, tool), material, tool);
}

/** The setup with nothing left in it that was chosen for another bit and does not do for this one. */
export function forTool(drillCase: DrillCase, tool: ResolvedBit): DrillCase {
  const {
    bit: _bit,
    bits: _bits,
    rimSpeedMPerS: _speed,
    contactPressureMpa: _pressure,
    machine,
    water,
    ...kept
  } = drillCase.hole.setup ?? {};
  const family = BIT_FAMILIES[tool.bit.family];
  const named = drillCase.kit.machines?.find(({ id }) => id === machine);
  const wetted = water?.kind === 'none' && !family.mayRunDry ? undefined : water;
  const used = family.dryOnly ? ({ kind: 'none' } as const) : wetted;
  const setup: Setup = {
    ...kept,
    ...(used ? { water: used } : {}),
    ...(named && joins(drillCase.kit, named, tool.bit) ? { machine } : {}),
  };
  return withSetup(drillCase, setup);
}

const hardestOf = ({ parts }: DepthLayer): Material => {
  const [first, ...rest] = parts.map(({ material }) => material);
  if (!first) throw new Error('A solid leaf is of at least one material.');
  return rest.reduce(
    (hard, one) => (one.specificEnergyJPerMm3 > hard.specificEnergyJPerMm3 ? one : hard),
    first,
  );
};

/** The masonry bit a plug hole is bored with behind the face; undefined where none would do. */
function plugBit(
  { kit }: DrillCase,
  diameterMm: number,
  material: Material,
  depthMm: number,
): ResolvedBit | undefined {
  const family: BitFamilyId = 'masonry-bit';
  if (diameterMm > LARGEST_PLUG_MM || hasTrait(material, 'steel') || !suits(family, material))
    return undefined;
  const owned = (kit.bits ?? []).find(
    (bit) =>
      bit.family === family &&
      isUsable(bit) &&
      Math.abs(bit.diameterMm - diameterMm) <= SIZE_TOLERANCE_MM &&
      ownReach({ bit, geometry: bitGeometry(bit) }) >= depthMm,
  );
  const bit: Bit = owned ?? {
    id: `assumed-${family}`,
    name: `New ${BIT_FAMILIES[family].name.toLowerCase()}`,
    family,
    diameterMm,
  };
  return { bit, owned: owned !== undefined, geometry: bitGeometry(bit) };
}
