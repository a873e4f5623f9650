import { BIT_FAMILIES, BIT_FAMILY_IDS, type BitFamilyId } from '../data/bits/bitFamilies';
import { COOLANT_IDS } from '../data/coolants';
import { FEED_AID_IDS } from '../data/machines/feedAids';
import { HOLDS, PACES, PIECE_FORMS, STARTS } from '../data/choices';
import { isBuilding } from '../data/pieceForms';
import type { Bit, Machine } from '../documents/kit';
import type { Piece } from '../documents/piece';
import type { Setup } from '../documents/setup';
import type { DrillCase } from './drillCase';
import { MACHINE_KIND_IDS } from '../data/machines/machineKinds';
import { MATERIAL_IDS } from '../data/materials/materials';
import type { Random } from '../math/seededRandom';
import { SUPPORT_IDS } from '../data/supports';

/** What is picked by chance. */
function picker(random: Random) {
  const one = <T>(list: readonly T[]): T => {
    const found = list[Math.floor(random() * list.length)];
    if (found === undefined) throw new Error('Nothing to pick from.');
    return found;
  };
  const maybe = <T>(odds: number, make: () => T): T | undefined =>
    random() < odds ? make() : undefined;
  const between = (low: number, high: number): number => low * (high / low) ** random();
  return { one, maybe, between };
}
type Picker = ReturnType<typeof picker>;

/** A valid hole of any kind, for what has to hold of all of them; tests draw thousands. */
export function randomCase(random: Random): DrillCase {
  const pick = picker(random);
  const { one, between } = pick;
  const family = one(BIT_FAMILY_IDS);
  const [min, max] = BIT_FAMILIES[family].diameterMm;
  const diameterMm = between(min, Math.min(max, 200));
  const form = one(PIECE_FORMS);
  const thicknessMm = between(
    2,
    isBuilding({ form }) ? 400 : form === 'sheet' || form === 'vessel' ? 20 : 60,
  );
  const sideMm = diameterMm * 3 + between(20, 1500);
  const round = form === 'vessel';
  const outline = round
    ? { kind: 'cylinder' as const, outerDiameterMm: sideMm, heightMm: sideMm }
    : { kind: 'rectangle' as const, widthMm: sideMm, heightMm: sideMm };
  const clearMm = between(1, sideMm / 2 - diameterMm / 2);
  const piece: Piece = {
    id: 'piece',
    name: 'Piece',
    form,
    material: one(MATERIAL_IDS),
    thicknessMm,
    outline,
    glassTreatment: 'annealed',
    assembled: form === 'sheet' && random() < 0.3,
  };
  const bit = randomBit(family, diameterMm, pick);
  const machine: Machine = { id: 'machine', name: 'Machine', kind: one(MACHINE_KIND_IDS) };
  const setup = randomSetup(piece, random, pick);
  return {
    job: {},
    piece,
    hole: {
      id: 'hole',
      xMm: diameterMm / 2 + clearMm,
      yMm: sideMm / 2,
      diameterMm,
      depth: random() < 0.85 ? { kind: 'through' } : { kind: 'blind', depthMm: thicknessMm * 0.6 },
      ...(round ? { face: 'side' as const } : {}),
      setup,
    },
    kit: { bits: [bit], machines: [machine] },
    materials: [],
    habits: {},
  };
}

const randomBit = (family: BitFamilyId, diameterMm: number, { maybe, between }: Picker): Bit => ({
  id: 'bit',
  name: 'Bit',
  family,
  diameterMm,
  ...given(
    'sharpness',
    maybe(0.3, () => between(0.2, 1)),
  ),
  ...given(
    'runOutMm',
    maybe(0.3, () => between(0.05, 0.6)),
  ),
  ...given(
    'depthCutMm',
    maybe(0.3, () => between(1, 500)),
  ),
  ...given(
    'maxRpm',
    maybe(0.2, () => between(500, 20_000)),
  ),
});

const randomSetup = (piece: Piece, random: Random, { one, maybe }: Picker): Setup => ({
  bit: 'bit',
  machine: 'machine',
  hold: one(HOLDS),
  start: one(STARTS),
  pace: one(PACES),
  sides: random() < 0.2 ? 'two' : 'one',
  support: { kind: isBuilding(piece) ? 'nothing' : one(SUPPORT_IDS) },
  water: { kind: one(COOLANT_IDS) },
  ...given(
    'feedAid',
    maybe(0.2, () => one(FEED_AID_IDS)),
  ),
  ...given(
    'exit',
    maybe(0.2, () => 'hold' as const),
  ),
});

const given = <K extends string, V>(name: K, value: V | undefined): { readonly [N in K]?: V } =>
  value === undefined ? {} : ({ [name]: value } as { readonly [N in K]?: V });
