import type { Material } from '../data/materials/material';
import type { Bit, Kit } from '../documents/kit';
import type { Piece } from '../documents/piece';
import type { DrillCase } from './drillCase';
import { factorsFor } from '../documents/experience';
import { BIT_FAMILIES, type BitFamily } from '../data/bits/bitFamilies';
import { bitGeometry } from '../physics/cutting/bitGeometry';
import { COOLANTS, type CoolantId, DRY_WITH_EXTRACTION_W_PER_M2_K } from '../data/coolants';
import type { Setup } from '../documents/setup';
import { MACHINE_KINDS } from '../data/machines/machineKinds';
import { speedSettings } from '../physics/cutting/speedSettings';
import { SUPPORTS, type SupportId } from '../data/supports';
import {
  assumeBit,
  assumeEdgesHeld,
  assumeMachine,
  assumeStart,
  assumeSupport,
  assumeWater,
} from './assumeSetup';
import type { ResolvedBit, ResolvedSetup } from './resolvedSetup';
import { houseWays } from './schools';

/**
 * Fills what the person left open with what suits the piece and what they own.
 * @param tool the bit it is for, where that is not the setup’s own
 */
export function resolveSetup(
  { piece, hole, kit, habits: house, experience }: DrillCase,
  material: Material,
  tool?: ResolvedBit,
): ResolvedSetup {
  const given = hole.setup ?? {};
  const habits = houseWays(house, given, piece);
  const setup: Setup = { ...habits, ...given };
  const assumed: string[] = [];
  const byHabit: string[] = [];
  const choose = <T>(name: keyof Setup, chosen: T | undefined, fallback: () => T): T => {
    if (given[name] !== undefined && chosen !== undefined) return chosen;
    assumed.push(name);
    if (chosen === undefined) return fallback();
    byHabit.push(name);
    return chosen;
  };

  const chosen = tool ? [tool] : chosenBits(kit, setup);
  const bits = (chosen ?? [assumeBit(kit, piece, hole, material)]).map((one) => ({
    ...one,
    bit: withDepth(one.bit, piece),
  }));
  if (setup.bit === undefined && !setup.bits?.length) assumed.push('bit');
  const finishing = bits.at(-1);
  if (!finishing) throw new Error(`Hole ${hole.id} resolved to no bit.`);

  const ownedMachine = kit.machines?.find((machine) => machine.id === setup.machine);
  const machine = choose('machine', ownedMachine, () =>
    assumeMachine(kit, piece, hole, material, setup.hold, finishing),
  );
  const kind = MACHINE_KINDS[machine.kind];
  const hold = choose('hold', setup.hold, () => (setup.guide ? 'guided' : kind.hold));
  const start = choose('start', setup.start, () => assumeStart(hold));
  const supportId = choose('support', setup.support?.kind, () => assumeSupport(piece));
  const family: BitFamily = BIT_FAMILIES[finishing.geometry.family];
  const waterId = choose('water', setup.water?.kind, () =>
    family.dryOnly ? 'none' : assumeWater(piece, hole, machine),
  );

  return {
    bits,
    finishing,
    machine,
    machineOwned: kit.machines?.includes(machine) ?? false,
    settings: speedSettings(machine),
    support: supportAs(supportId, setup.support, piece),
    coolant: coolantAs(waterId, setup.water, family),
    hold,
    hammer: false,
    feedAid: setup.feedAid ?? 'none',
    start,
    pace: choose('pace', setup.pace, () => 'steady'),
    sides: choose('sides', setup.sides, () => 'one'),
    wanted: setup,
    // A piece that may be several things is none of those the log holds.
    logged:
      experience && !setup.asNew && (piece.couldBe?.length ?? 0) < 2
        ? factorsFor(experience, {
            material: piece.material,
            family: finishing.bit.family,
            bit: finishing.bit.id,
          })
        : null,
    cuttingTimes: 1,
    assumed,
    byHabit,
  };
}

function supportAs(id: SupportId, given: Setup['support'], piece: Piece): ResolvedSetup['support'] {
  const support = SUPPORTS[id];
  return {
    ...support,
    id,
    atThicknessMm: given?.thicknessMm ?? support.thicknessMm,
    contactFraction: given?.contactFraction ?? 1,
    edgesHeld: given?.edgesHeld ?? assumeEdgesHeld(piece, id),
    pads: given?.pads ?? [],
    twistMm: given?.twistMm ?? 0,
    clamps: given?.clamps ?? [],
    boards: given?.boards ?? [],
  };
}

/** Dry, the rim is cooled by what draws the dust off, or by the bit itself. */
function coolantAs(
  id: CoolantId,
  given: Setup['water'],
  { ownCoolingWPerM2K = 0 }: BitFamily,
): ResolvedSetup['coolant'] {
  const coolant = COOLANTS[id];
  const extractedWPerM2K = given?.extraction ? DRY_WITH_EXTRACTION_W_PER_M2_K : 0;
  const dryWPerM2K = id === 'none' ? Math.max(extractedWPerM2K, ownCoolingWPerM2K) : 0;
  return {
    ...coolant,
    id,
    rimWPerM2K: Math.max(coolant.heatTransferWPerM2K, dryWPerM2K),
    atCoverMm: given?.coverMm ?? coolant.coverMm,
  };
}

/** Where only holes were counted, each was about as deep as this piece is thick. */
const withDepth = (bit: Bit, { thicknessMm }: Pick<Piece, 'thicknessMm'>): Bit =>
  bit.depthCutMm === undefined && bit.holesCut
    ? { ...bit, depthCutMm: bit.holesCut * thicknessMm }
    : bit;

function chosenBits(kit: Kit, setup: Setup): readonly ResolvedBit[] | undefined {
  const ids = setup.bits?.length ? setup.bits : setup.bit !== undefined ? [setup.bit] : [];
  const found = ids.flatMap((id) => kit.bits?.filter((bit) => bit.id === id) ?? []);
  if (found.length === 0) return undefined;
  return found
    .map((bit) => ({ bit, owned: true, geometry: bitGeometry(bit) }))
    .sort((a, b) => a.geometry.diameterMm - b.geometry.diameterMm);
}
