import { isHeldByStand } from '../data/holds';
import { isBuilding, isFlat } from '../data/pieceForms';
import { isTile } from '../data/materials/materials';
import { BIT_FAMILIES, type BitFamilyId } from '../data/bits/bitFamilies';
import { bitGeometry } from '../physics/cutting/bitGeometry';
import type { CoolantId } from '../data/coolants';
import { rpmForRimSpeed } from '../physics/cutting/contact';
import type { Hold, Start } from '../data/choices';
import type { Bit, Machine, Kit } from '../documents/kit';
import type { Hole } from '../documents/hole';
import type { Piece } from '../documents/piece';
import { MACHINE_KINDS, type MachineKindId } from '../data/machines/machineKinds';
import type { Material } from '../data/materials/material';
import { speedSettings } from '../physics/cutting/speedSettings';
import type { SupportId } from '../data/supports';
import { couplingChain } from './couplingChain';
import { usualShank } from './usualBit';
import { fitsAngleGrinder, fitsBath, fitsGlassGrinder, fitsPress, fitsStand } from './benchFit';
import { SIZE_TOLERANCE_MM, type ResolvedBit } from './resolvedSetup';

/** Below this a ring has no room for a core. */
const SMALLEST_CORE_MM = 3;
const SMALLEST_CUP_MM = 6;
const SMALLEST_SEGMENTED_MM = 28;
const LARGEST_CUP_MM = 120;
/** Stone thicker than this outlives a single plated layer. */
const THICK_STONE_MM = 12;

/** The nearest owned bit of the right kind, else a new one of exactly this size. */
export function assumeBit(
  kit: Kit,
  piece: Piece,
  hole: Hole,
  material: Material,
  family = usualFamily(piece, hole.diameterMm, material),
): ResolvedBit {
  const owned = (kit.bits ?? [])
    .filter(isUsable)
    .filter((bit) => Math.abs(bit.diameterMm - hole.diameterMm) <= SIZE_TOLERANCE_MM)
    .filter((bit) => bit.family === family || suits(bit.family, material))
    .sort(
      (a, b) =>
        Number(b.family === family) - Number(a.family === family) ||
        Math.abs(a.diameterMm - hole.diameterMm) - Math.abs(b.diameterMm - hole.diameterMm) ||
        a.id.localeCompare(b.id),
    )[0];
  const bit: Bit = owned ?? {
    id: `assumed-${family}`,
    name: `New ${BIT_FAMILIES[family].name.toLowerCase()}`,
    family,
    diameterMm: hole.diameterMm,
  };
  return { bit, owned: owned !== undefined, geometry: bitGeometry(bit) };
}

/** A bit that is not put away, bald or bent. */
export const isUsable = (bit: Pick<Bit, 'retired' | 'state'>): boolean =>
  !bit.retired && bit.state !== 'bald' && bit.state !== 'out-of-true';

/** Whether this family of bit is any use on this material. */
export const suits = (family: BitFamilyId, material: Material): boolean =>
  BIT_FAMILIES[family].suits(material);

export function usualFamily(piece: Piece, diameterMm: number, material: Material): BitFamilyId {
  if (diameterMm <= SMALLEST_CORE_MM) return 'plated-point';
  if (diameterMm > LARGEST_CUP_MM) return 'segmented-core';
  if (material.class === 'masonry') {
    return diameterMm >= SMALLEST_SEGMENTED_MM ? 'segmented-core' : 'sintered-core';
  }
  if (diameterMm < SMALLEST_CUP_MM) return 'plated-tube';
  if (isTile(material)) return 'brazed-tile-core';
  const [, largestCore] = BIT_FAMILIES['sintered-core'].diameterMm;
  const isThickStone = material.class === 'stone' && piece.thicknessMm > THICK_STONE_MM;
  return isThickStone && diameterMm <= largestCore ? 'sintered-core' : 'plated-cup-saw';
}

/** Whether a machine takes this bit, by the couplings that are owned. */
export function joins({ couplings = [] }: Kit, machine: Machine, bit: Bit): boolean {
  const holders = machine.holders ?? MACHINE_KINDS[machine.kind].holders;
  const shank = bit.shank ?? usualShank(bit.family, bit.diameterMm);
  return couplingChain(holders, shank, couplings) !== null;
}

/** The owned machine that takes the bit and comes nearest to the wanted rim speed, else the usual kind. */
export function assumeMachine(
  kit: Kit,
  piece: Piece,
  hole: Hole,
  material: Material,
  hold: Hold | undefined,
  tool: ResolvedBit,
): Machine {
  const { speedFactor } = tool.geometry;
  const wantedRpm = rpmForRimSpeed(material.rimSpeedMPerS.best * speedFactor, hole.diameterMm);
  const miss = (machine: Machine): number =>
    Math.min(
      ...speedSettings(machine).map(({ minRpm, maxRpm }) => {
        const nearest = Math.min(Math.max(wantedRpm, minRpm), maxRpm);
        return Math.abs(Math.log(Math.max(nearest, 1) / wantedRpm));
      }),
    );
  const isWall = isBuilding(piece);
  const isRig = (machine: Machine): boolean => MACHINE_KINDS[machine.kind].hold === 'press';
  const able = (kit.machines ?? [])
    .filter((machine) => !machine.retired)
    .filter((machine) => machineFits(machine, piece, material))
    // Wanted in a press, only a press will do; wanted by hand, anything else.
    .filter((machine) => hold === undefined || isRig(machine) === (hold === 'press'))
    .sort((a, b) => miss(a) - miss(b) || a.id.localeCompare(b.id));
  // One that takes the bit, by what is owned to join them, before one that turns better.
  const owned = able.find((machine) => joins(kit, machine, tool.bit)) ?? able[0];
  if (owned) return owned;
  const kind: MachineKindId =
    hold === 'press' && fitsPress(piece)
      ? 'bench-drill-press'
      : isWall && material.class === 'masonry'
        ? hole.diameterMm > 52
          ? 'hand-core-drill'
          : 'rotary-hammer'
        : hole.diameterMm <= 8 && fitsPress(piece)
          ? 'small-drill-press'
          : 'cordless-drill';
  return { id: `assumed-${kind}`, name: MACHINE_KINDS[kind].name, kind };
}

/** Whether a machine of this kind can be brought to such a piece at all. */
export function machineFits(
  { kind }: Pick<Machine, 'kind'>,
  piece: Piece,
  material: Pick<Material, 'class'>,
): boolean {
  switch (MACHINE_KINDS[kind].goesTo) {
    case 'grinder-table':
      return fitsGlassGrinder(piece);
    case 'broad-face':
      return fitsAngleGrinder(piece) && material.class !== 'glass';
    case 'standing-room':
      return fitsStand(piece);
    case 'press-table':
      return fitsPress(piece);
    case 'any-piece':
      return true;
  }
}

export function assumeStart(hold: Hold): Start {
  return isHeldByStand(hold) ? 'seat' : hold === 'guided' ? 'guide' : 'tilt';
}

export function assumeSupport(piece: Piece): SupportId {
  switch (piece.form) {
    case 'sheet':
    case 'slab':
      return piece.assembled ? 'nothing' : 'dense-foam-board';
    case 'vessel':
      return 'sponge';
    case 'bead':
    case 'block':
      return 'softwood';
    case 'wall':
    case 'floor':
      return 'nothing';
  }
}

/** With nothing behind it a built pane is held all round, a loose one lies over two battens. */
export function assumeEdgesHeld(piece: Piece, support: SupportId): 'none' | 'two' | 'four' {
  const flat = isFlat(piece);
  if (support !== 'nothing' || !flat) return 'none';
  return piece.assembled ? 'four' : 'two';
}

export function assumeWater(piece: Piece, hole: Hole, machine: Machine): CoolantId {
  switch (piece.form) {
    case 'sheet':
    case 'slab':
      return fitsBath(piece) ? 'still-bath' : 'pool';
    case 'bead':
      return 'still-bath';
    case 'vessel':
      return hole.face === 'base' ? 'pool' : 'drip';
    case 'block':
      return 'pool';
    case 'wall':
    case 'floor':
      return MACHINE_KINDS[machine.kind].spindleWater ? 'spindle' : 'bottle';
  }
}
