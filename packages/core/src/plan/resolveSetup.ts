import { BIT_FAMILIES, type BitFamilyId } from '../bits/bitFamilies';
import { bitGeometry, type BitGeometry } from '../bits/bitGeometry';
import {
  COOLANTS,
  DRY_WITH_EXTRACTION_W_PER_M2_K,
  type Coolant,
  type CoolantId,
} from '../coolants/coolants';
import { boundingBox, faceOutline } from '../geometry/outline';
import type { Hold, Pace, Start } from '../job/choices';
import type { Bit, Hole, JobFile, Machine, Piece, Setup } from '../job/job';
import { MACHINE_KINDS, type MachineKindId } from '../machines/machineKinds';
import { speedSettings, type SpeedSetting } from '../machines/speedSettings';
import type { Material } from '../materials/material';
import { SUPPORTS, type Support, type SupportId } from '../supports/supports';

/** A bit farther than this off the hole's size does not make that hole, mm. */
export const SIZE_TOLERANCE_MM = 0.5;
/** Panes longer than this do not go in a bench tray, mm. */
const LARGEST_BATH_PIECE_MM = 600;
/** Below this a ring has no room for a core. */
const SMALLEST_CORE_MM = 3;
const SMALLEST_CUP_MM = 6;
const SMALLEST_SEGMENTED_MM = 28;
const LARGEST_CUP_MM = 120;
/** Stone thicker than this outlives a single plated layer. */
const THICK_STONE_MM = 12;

export interface ResolvedBit {
  readonly bit: Bit;
  readonly owned: boolean;
  readonly geometry: BitGeometry;
}

/** Bounds on what the pace asks for, where the material is not sure. */
export interface SetupCaps {
  readonly pressureMpa: number;
  readonly rimSpeedMPerS: number;
}

/** The setup with nothing left open; `assumed` names what the planner chose. */
export interface ResolvedSetup {
  readonly caps?: SetupCaps | undefined;
  readonly bits: readonly ResolvedBit[];
  readonly finishing: ResolvedBit;
  readonly machine: Machine;
  readonly machineOwned: boolean;
  readonly settings: readonly SpeedSetting[];
  readonly support: Support & { readonly id: SupportId; readonly atThicknessMm: number };
  readonly coolant: Coolant & {
    readonly id: CoolantId;
    readonly rimWPerM2K: number;
    readonly atCoverMm: number;
  };
  readonly hold: Hold;
  readonly start: Start;
  readonly pace: Pace;
  readonly sides: 'one' | 'two';
  readonly wanted: Pick<Setup, 'rimSpeedMPerS' | 'contactPressureMpa' | 'water' | 'standFixing'>;
  readonly assumed: readonly string[];
}

/** Fills what the person left open with what suits the piece and what they own. */
export function resolveSetup(
  file: JobFile,
  piece: Piece,
  hole: Hole,
  material: Material,
): ResolvedSetup {
  const setup = hole.setup ?? {};
  const assumed: string[] = [];
  const choose = <T>(name: string, given: T | undefined, fallback: () => T): T => {
    if (given !== undefined) return given;
    assumed.push(name);
    return fallback();
  };

  const bits = chosenBits(file, setup) ?? [assumeBit(file, piece, hole, material)];
  if (setup.bit === undefined && !setup.bits?.length) assumed.push('bit');
  const finishing = bits.at(-1);
  if (!finishing) throw new Error(`Hole ${hole.id} resolved to no bit.`);

  const ownedMachine = file.kit?.machines?.find((machine) => machine.id === setup.machine);
  const machine = choose('machine', ownedMachine, () => assumeMachine(file, piece, hole, material));
  const kind = MACHINE_KINDS[machine.kind];
  const hold = choose('hold', setup.hold, () => (setup.guide ? 'guided' : kind.hold));
  const start = choose('start', setup.start, () => assumeStart(hold));
  const supportId = choose('support', setup.support?.kind, () => assumeSupport(piece));
  const waterId = choose('water', setup.water?.kind, () => assumeWater(piece, hole, machine));
  const support = SUPPORTS[supportId];
  const coolant = COOLANTS[waterId];

  return {
    bits,
    finishing,
    machine,
    machineOwned: file.kit?.machines?.includes(machine) ?? false,
    settings: speedSettings(machine),
    support: {
      ...support,
      id: supportId,
      atThicknessMm: setup.support?.thicknessMm ?? support.thicknessMm,
    },
    coolant: {
      ...coolant,
      id: waterId,
      rimWPerM2K:
        waterId === 'none' && setup.water?.extraction
          ? DRY_WITH_EXTRACTION_W_PER_M2_K
          : coolant.heatTransferWPerM2K,
      atCoverMm: setup.water?.coverMm ?? coolant.coverMm,
    },
    hold,
    start,
    pace: choose('pace', setup.pace, () => 'steady'),
    sides: choose('sides', setup.sides, () => 'one'),
    wanted: setup,
    assumed,
  };
}

function chosenBits(file: JobFile, setup: Setup): readonly ResolvedBit[] | undefined {
  const ids = setup.bits?.length ? setup.bits : setup.bit !== undefined ? [setup.bit] : [];
  const found = ids.flatMap((id) => file.kit?.bits?.filter((bit) => bit.id === id) ?? []);
  if (found.length === 0) return undefined;
  return found
    .map((bit) => ({ bit, owned: true, geometry: bitGeometry(bit) }))
    .sort((a, b) => a.geometry.diameterMm - b.geometry.diameterMm);
}

/** The nearest owned bit of the right kind, else a new one of exactly this size. */
function assumeBit(file: JobFile, piece: Piece, hole: Hole, material: Material): ResolvedBit {
  const family = usualFamily(piece, hole.diameterMm, material);
  const owned = (file.kit?.bits ?? [])
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
export function suits(family: BitFamilyId, material: Material): boolean {
  if (family === 'carbide-spear') return material.id === 'glazed-wall-tile';
  if (family === 'segmented-core')
    return material.class === 'masonry' || material.class === 'stone';
  return material.class !== 'masonry' || !BIT_FAMILIES[family].plated;
}

export function usualFamily(piece: Piece, diameterMm: number, material: Material): BitFamilyId {
  if (diameterMm <= SMALLEST_CORE_MM) return 'plated-point';
  if (diameterMm > LARGEST_CUP_MM) return 'segmented-core';
  if (material.class === 'masonry') {
    return diameterMm >= SMALLEST_SEGMENTED_MM ? 'segmented-core' : 'sintered-core';
  }
  if (diameterMm < SMALLEST_CUP_MM) return 'plated-tube';
  if (material.id === 'porcelain-tile' || material.id === 'glazed-wall-tile')
    return 'brazed-tile-core';
  const [, largestCore] = BIT_FAMILIES['sintered-core'].diameterMm;
  const isThickStone = material.class === 'stone' && piece.thicknessMm > THICK_STONE_MM;
  return isThickStone && diameterMm <= largestCore ? 'sintered-core' : 'plated-cup-saw';
}

/** The owned machine that comes nearest to the wanted rim speed, else the usual kind. */
function assumeMachine(file: JobFile, piece: Piece, hole: Hole, material: Material): Machine {
  const wantedRpm = (60_000 * material.rimSpeedMPerS.best) / (Math.PI * hole.diameterMm);
  const miss = (machine: Machine): number =>
    Math.min(
      ...speedSettings(machine).map(({ minRpm, maxRpm }) => {
        const nearest = Math.min(Math.max(wantedRpm, minRpm), maxRpm);
        return Math.abs(Math.log(Math.max(nearest, 1) / wantedRpm));
      }),
    );
  const isWall = piece.form === 'wall' || piece.form === 'floor';
  const isRig = (machine: Machine): boolean => MACHINE_KINDS[machine.kind].hold === 'press';
  const owned = (file.kit?.machines ?? [])
    .filter((machine) => !machine.retired)
    // A press cannot be carried to a wall.
    .filter((machine) => !(isWall && isRig(machine)))
    .sort((a, b) => miss(a) - miss(b) || a.id.localeCompare(b.id))[0];
  if (owned) return owned;
  const kind: MachineKindId = isWall
    ? hole.diameterMm > 52
      ? 'hand-core-drill'
      : 'rotary-hammer'
    : hole.diameterMm <= 8
      ? 'small-drill-press'
      : 'cordless-drill';
  return { id: `assumed-${kind}`, name: MACHINE_KINDS[kind].name, kind };
}

function assumeStart(hold: Hold): Start {
  return hold === 'press' || hold === 'rig' ? 'seat' : hold === 'guided' ? 'guide' : 'tilt';
}

function assumeSupport(piece: Piece): SupportId {
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

function assumeWater(piece: Piece, hole: Hole, machine: Machine): CoolantId {
  const box = boundingBox(faceOutline(piece.outline, hole.face ?? 'top'));
  const fitsTray = Math.max(box.widthMm, box.heightMm) <= LARGEST_BATH_PIECE_MM && !piece.assembled;
  switch (piece.form) {
    case 'sheet':
    case 'slab':
      return fitsTray ? 'still-bath' : 'pool';
    case 'bead':
      return 'still-bath';
    case 'vessel':
      return hole.face === 'base' ? 'pool' : 'drip';
    case 'block':
      return 'pool';
    case 'wall':
    case 'floor':
      return machine.kind === 'hand-core-drill' || machine.kind === 'stand-core-drill'
        ? 'spindle'
        : 'bottle';
  }
}
