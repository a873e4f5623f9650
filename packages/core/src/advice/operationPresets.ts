import { isBuilding } from '../data/pieceForms';
import type { Bit } from '../documents/kit';
import type { Setup } from '../documents/setup';
import { contextOf } from '../plan/contextOf';
import { isUsable, suits } from '../setup/assumeSetup';
import { ownReach } from '../setup/operations/reach';
import { layersTo } from '../setup/cutLayers';
import { withSetup, type DrillCase } from '../setup/drillCase';
import { bitGeometry } from '../physics/cutting/bitGeometry';
import { stepChain } from './choice/stepChain';

/** Ways of going about a hole that a list of operations may start from. */
export const PRESET_IDS = ['one-face', 'both-faces', 'pilot-first', 'steps'] as const;
export type PresetId = (typeof PRESET_IDS)[number];

export interface OperationPreset {
  readonly id: PresetId;
  /** The setup the list is derived from. */
  readonly setup: Setup;
  /** It is the one in use. */
  readonly inUse: boolean;
}

/** A pilot is no wider than this, mm. */
const WIDEST_PILOT_MM = 14;

/** What the hole may be started from with what is owned, by its piece and depth; those that change nothing left out. */
export function operationPresets(drillCase: DrillCase): readonly OperationPreset[] {
  const { hole } = drillCase;
  const { bit: named, bits = [], sides = 'one', ...kept } = hole.setup ?? {};
  const isThrough = hole.depth.kind === 'through';
  const finishing = bits.at(-1);
  const bit = named ?? finishing;
  const own: Setup = { ...kept, ...(bit === undefined ? {} : { bit }) };
  const pilot = isThrough ? pilotFor(drillCase) : undefined;
  const steps = stepsOf(drillCase);
  const inUse: PresetId =
    bits.length > 1
      ? pilot && bits.includes(pilot.id) && sides === 'two'
        ? 'pilot-first'
        : 'steps'
      : sides === 'two'
        ? 'both-faces'
        : 'one-face';
  const all: readonly { readonly id: PresetId; readonly setup: Setup | null }[] = [
    { id: 'one-face', setup: { ...own, sides: 'one' } },
    { id: 'both-faces', setup: isThrough ? { ...own, sides: 'two' } : null },
    {
      id: 'pilot-first',
      setup: pilot && bit !== undefined ? { ...kept, bits: [pilot.id, bit], sides: 'two' } : null,
    },
    { id: 'steps', setup: steps && { ...kept, bits: [...steps], sides: 'one' } },
  ];
  return all.flatMap(({ id, setup }) => (setup ? [{ id, setup, inUse: id === inUse }] : []));
}

/** The owned bit that goes through a wall first and carries the centre over; undefined where none does. */
function pilotFor({ piece, kit, materials, hole }: DrillCase): Bit | undefined {
  if (!isBuilding(piece)) return undefined;
  const met = layersTo(materials, piece, piece.thicknessMm).flatMap(({ parts }) => parts);
  return (kit.bits ?? [])
    .filter(isUsable)
    .filter((bit) => bit.diameterMm <= Math.min(WIDEST_PILOT_MM, hole.diameterMm / 2))
    .filter((bit) => met.every(({ material }) => suits(bit.family, material)))
    .filter((bit) => {
      const geometry = bitGeometry(bit);
      return geometry.solid && ownReach({ bit, geometry }) >= piece.thicknessMm;
    })
    .sort((a, b) => a.diameterMm - b.diameterMm || a.id.localeCompare(b.id))[0];
}

/** The bits of the cheapest chain of owned sizes that end in this hole’s; null where there is none. */
function stepsOf(drillCase: DrillCase): readonly string[] | null {
  const alone = withSetup(drillCase, bare(drillCase.hole.setup ?? {}));
  if (contextOf(alone).kind === 'faulty') return null;
  const chain = stepChain(alone);
  const stepped = chain.kind === 'chosen' ? chain.choice.stepped : null;
  return stepped && stepped.steps.map(({ bit }) => bit.id);
}

const bare = ({ bit: _bit, bits: _bits, sides: _sides, ...kept }: Setup): Setup => kept;
