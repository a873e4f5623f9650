import { BIT_FAMILIES, type BitFamilyId } from '../../data/bits/bitFamilies';
import { COOLANTS } from '../../data/coolants';
import { MACHINE_KINDS } from '../../data/machines/machineKinds';
import type { Material } from '../../data/materials/material';
import { isByHand, type Face } from '../../data/operations';
import type { Coupling, Kit } from '../../documents/kit';
import type { Operation } from '../../documents/operation';
import type { Setup } from '../../documents/setup';
import { bitGeometry } from '../../physics/cutting/bitGeometry';
import { planPurpose } from '../../layout/purposes/plannedPurpose';
import { faceMaterial } from '../../layout/faceMaterial';
import { assumeBit, suits, usualFamily } from '../assumeSetup';
import { layersTo, type DepthLayer } from '../cutLayers';
import { chainReach } from '../couplingChain';
import { withSetup, type DrillCase } from '../drillCase';
import type { Clash } from '../jobFault';
import { resolveSetup } from '../resolveSetup';
import { SIZE_TOLERANCE_MM, type ResolvedBit } from '../resolvedSetup';
import {
  leavesFrom,
  longestSolid,
  narrowest,
  openTo,
  SAME_MM,
  seenFrom,
  stretchesIn,
  uncutProfile,
  widenedFrom,
  type HoleProfile,
} from './holeProfile';
import { forTool } from './leafTool';
import { entersHole, ownReach, reachTo } from './reach';
import type { CutOperation, ResolvedOperation } from './operation';

/** A clash in one of the listed operations, by its place in the list; null where it is the list’s own. */
export type OperationClash = { readonly index: number | null; readonly field?: string } & {
  readonly clash: Clash;
};

export interface GivenOperations {
  readonly operations: readonly ResolvedOperation[];
  readonly clashes: readonly OperationClash[];
}

/** What the operations before this one left, seen by it. */
interface Walk {
  readonly profile: HoleProfile;
  /** Where the core standing in the hole begins, by face, mm; what a barrel must hold. */
  readonly coreFromMm: Readonly<Record<Face, number>>;
  /** How far each face was drilled last, mm. */
  readonly depthMm: Readonly<Record<Face, number>>;
}

/**
 * The listed operations with everything left open filled in, one after the other, and every clash of one with
 * what the ones before it left. Expects a hole whose bits, machines and materials are known.
 */
export function givenOperations(drillCase: DrillCase): GivenOperations {
  const { piece, hole, materials } = drillCase;
  const leaves = layersTo(materials, piece, piece.thicknessMm);
  const operations: ResolvedOperation[] = [];
  const clashes: OperationClash[] = [];
  let walk: Walk = {
    profile: uncutProfile(leaves),
    coreFromMm: { near: 0, far: 0 },
    depthMm: { near: 0, far: 0 },
  };
  (hole.operations ?? []).forEach((given, index) => {
    const add = (clash: Clash, field?: string): void => {
      clashes.push({ index, ...(field === undefined ? {} : { field }), clash });
    };
    const { does } = given;
    if (isByHand(does)) {
      const face = given.face ?? operations.at(-1)?.face ?? 'near';
      const atMm = given.toMm ?? walk.depthMm[face];
      operations.push({
        kind: 'hand',
        id: given.id,
        does,
        face,
        helper: given.helper ?? null,
        atMm,
      });
      if (does === 'break-out')
        walk = { ...walk, coreFromMm: { ...walk.coreFromMm, [face]: atMm } };
      return;
    }
    const cut = cutOf(drillCase, given, leaves, walk.profile);
    operations.push(cut);
    for (const [clash, field] of clashesOf(drillCase, given, cut, leaves, walk)) add(clash, field);
    walk = after(cut, walk);
  });
  const gap = gapLeft(drillCase, operations, walk.profile);
  return { operations, clashes: gap ? [...clashes, { index: null, clash: gap }] : clashes };
}

function after({ face, fromMm, toMm, setup }: CutOperation, walk: Walk): Walk {
  const { diameterMm } = setup.finishing.geometry;
  return {
    ...walk,
    profile: widenedFrom(face, walk.profile, fromMm, toMm, diameterMm),
    depthMm: { ...walk.depthMm, [face]: toMm },
  };
}

/** One listed cut with its bit, machine, water and depths. */
function cutOf(
  drillCase: DrillCase,
  given: Operation,
  leaves: readonly DepthLayer[],
  profile: HoleProfile,
): CutOperation {
  const { piece, hole, kit } = drillCase;
  const face = given.face ?? 'near';
  const totalMm = piece.thicknessMm;
  const own = leavesFrom(face, leaves, totalMm);
  const seen = seenFrom(face, profile);
  const named = kit.bits?.find(({ id }) => id === (given.bitId ?? hole.setup?.bit));
  const diameterMm = given.diameterMm ?? named?.diameterMm ?? hole.diameterMm;
  const solidLeaves = own.filter(({ parts }) => parts.length > 0);
  const leaf = given.leaf === undefined ? undefined : solidLeaves[given.leaf - 1];
  const fromMm = given.fromMm ?? leaf?.fromMm ?? openTo(seen, diameterMm - SAME_MM);
  const bottomMm = hole.depth.kind === 'through' ? totalMm : hole.depth.depthMm;
  const toMm = given.toMm ?? leaf?.toMm ?? uncutTo(seen, fromMm, diameterMm, bottomMm);
  const first = stretchesOfLeaves(own, fromMm, toMm)[0];
  const material = first?.parts[0]?.material ?? faceMaterial(piece, drillCase.materials);
  const tool: ResolvedBit =
    named && (given.bitId !== undefined || given.diameterMm === undefined)
      ? { bit: named, owned: true, geometry: bitGeometry(named) }
      : bitFor(drillCase, given, diameterMm, material);
  return {
    kind: 'cut',
    id: given.id,
    does: given.does,
    face,
    helper: given.helper ?? null,
    fromMm,
    toMm,
    couplings: couplingsOf(kit, given),
    setup: {
      ...resolveSetup(withSetup(drillCase, setupOf(drillCase, given, tool)), material, tool),
      hammer: given.hammer ?? false,
    },
  };
}

/** Down to where it is open already at this diameter, or to the bottom. */
function uncutTo(seen: HoleProfile, fromMm: number, diameterMm: number, bottomMm: number): number {
  const open = seen.find(
    (one) =>
      one.fromMm >= fromMm + SAME_MM &&
      Number.isFinite(one.diameterMm) &&
      one.diameterMm >= diameterMm - SAME_MM,
  );
  return Math.min(open?.fromMm ?? bottomMm, bottomMm);
}

const stretchesOfLeaves = (leaves: readonly DepthLayer[], fromMm: number, toMm: number) =>
  leaves.filter(
    (leaf) => leaf.parts.length > 0 && leaf.fromMm < toMm - SAME_MM && leaf.toMm > fromMm + SAME_MM,
  );

/** An owned bit or a new one that does this here. */
function bitFor(
  { kit, piece, hole }: DrillCase,
  { does }: Operation,
  diameterMm: number,
  material: Material,
): ResolvedBit {
  const family = solidFor(does, material) ?? usualFamily(piece, diameterMm, material);
  return assumeBit(kit, piece, { ...hole, diameterMm }, material, family);
}

/** What a hole is bored or opened with where no core is left. */
const solidFor = (does: Operation['does'], material: Material): BitFamilyId | undefined =>
  does === 'core' || does === 'counterbore'
    ? undefined
    : suits('masonry-bit', material)
      ? 'masonry-bit'
      : undefined;

/** The hole’s setup as this operation has it. */
function setupOf(drillCase: DrillCase, given: Operation, tool: ResolvedBit): Setup {
  const { setup = {} } = drillCase.hole;
  const { id } = tool.bit;
  const isSetupsOwn = tool.owned && (id === setup.bit || setup.bits?.includes(id) === true);
  const kept = isSetupsOwn ? setup : (forTool(drillCase, tool).hole.setup ?? {});
  const dry = given.wet === false ? ({ kind: 'none' } as const) : undefined;
  // Wet asked of a dry setup: the planner brings the water.
  const { water, ...unwatered } = kept;
  const wanted =
    given.water ?? dry ?? (given.wet === true && water?.kind === 'none' ? undefined : water);
  const { machineId, guide, feedAid, hold, start, pace, rimSpeedMPerS, contactPressureMpa } = given;
  return {
    ...unwatered,
    ...(wanted ? { water: wanted } : {}),
    ...(machineId === undefined ? {} : { machine: machineId }),
    ...(guide ? { guide } : {}),
    ...(feedAid ? { feedAid } : {}),
    ...(hold ? { hold } : {}),
    ...(start ? { start } : {}),
    ...(pace ? { pace } : {}),
    ...(rimSpeedMPerS === undefined ? {} : { rimSpeedMPerS }),
    ...(contactPressureMpa === undefined ? {} : { contactPressureMpa }),
  };
}

type Found = readonly [clash: Clash, field: string];

/** One cut as it is asked, with all it is held against. */
interface Asked {
  readonly drillCase: DrillCase;
  readonly given: Operation;
  readonly cut: CutOperation;
  readonly walk: Walk;
  /** What it goes through, from its own face. */
  readonly own: readonly DepthLayer[];
  /** What is open so far, from its own face. */
  readonly seen: HoleProfile;
}

/** Everything one cut asks for that what was left, its bit or its machine does not give. */
function clashesOf(
  drillCase: DrillCase,
  given: Operation,
  cut: CutOperation,
  leaves: readonly DepthLayer[],
  walk: Walk,
): readonly Found[] {
  const asked: Asked = {
    drillCase,
    given,
    cut,
    walk,
    own: leavesFrom(cut.face, leaves, drillCase.piece.thicknessMm),
    seen: seenFrom(cut.face, walk.profile),
  };
  const placed = placeClashes(asked);
  const { fromMm, toMm } = cut;
  if (toMm <= fromMm + SAME_MM)
    return [...placed, [{ code: 'operation-without-depth', name: given.id, fromMm, toMm }, 'toMm']];
  return [
    ...placed,
    ...depthClashes(asked),
    ...reachClashes(asked),
    ...hammerClashes(cut),
    ...waterClashes(asked),
  ];
}

/** A leaf that is not there, or a face that a blind hole does not come to. */
function placeClashes({ drillCase: { hole, piece }, given, cut, own }: Asked): readonly Found[] {
  const found: Found[] = [];
  const leaves = own.filter(({ parts }) => parts.length > 0).length;
  if (given.leaf !== undefined && given.leaf > leaves)
    found.push([{ code: 'no-such-leaf', leaf: given.leaf, leaves }, 'leaf']);
  if (cut.face === 'far' && hole.depth.kind !== 'through') {
    const { depthMm } = hole.depth;
    const { thicknessMm } = piece;
    found.push([{ code: 'far-face-of-blind', name: given.id, depthMm, thicknessMm }, 'face']);
  }
  return found;
}

/** Too deep, through what is uncut above it, down a hole too narrow, or where it is wide already. */
function depthClashes({ drillCase: { hole, piece }, given, cut, seen }: Asked): readonly Found[] {
  const { fromMm, toMm, setup } = cut;
  const { bit, geometry } = setup.finishing;
  const { diameterMm } = geometry;
  const name = given.id;
  const bottomMm = hole.depth.kind === 'through' ? piece.thicknessMm : hole.depth.depthMm;
  const found: Found[] = [];
  if (toMm > bottomMm + SAME_MM)
    found.push([{ code: 'operation-too-deep', name, toMm, bottomMm }, 'toMm']);
  const openMm = narrowest(seen, 0, fromMm);
  if (openMm < SAME_MM) {
    const openToMm = openTo(seen, SAME_MM);
    found.push([{ code: 'operation-starts-in-uncut', name, fromMm, openToMm }, 'fromMm']);
  } else if (openMm < diameterMm - SIZE_TOLERANCE_MM)
    found.push([
      { code: 'bit-wider-than-hole', bit: bit.name, diameterMm, openMm, fromMm },
      'bitId',
    ]);
  const done = stretchesIn(seen, fromMm, toMm).find(
    (one) => Number.isFinite(one.diameterMm) && one.diameterMm >= diameterMm - SAME_MM,
  );
  if (done) found.push([{ code: 'operations-overlap', name, ...done }, 'fromMm']);
  return found;
}

/** A core longer than its barrel, a coupling wider than the hole, a depth the bit does not come to. */
function reachClashes({ drillCase: { kit }, given, cut, walk, seen }: Asked): readonly Found[] {
  const { toMm, face, setup, couplings } = cut;
  const { bit, geometry } = setup.finishing;
  const { diameterMm, solid, boreDepthMm } = geometry;
  const name = given.id;
  const found: Found[] = [];
  const coreMm = longestSolid(seen, walk.coreFromMm[face], toMm);
  if (!solid && coreMm > boreDepthMm + SAME_MM)
    found.push([
      { code: 'core-longer-than-barrel', name, bit: bit.name, coreMm, barrelMm: boreDepthMm },
      'toMm',
    ]);
  for (const coupling of couplings)
    if (!entersHole(coupling, diameterMm))
      found.push([
        {
          code: 'coupling-wider-than-hole',
          coupling: coupling.name,
          diameterMm: coupling.diameterMm ?? 0,
          holeMm: diameterMm,
        },
        'couplingIds',
      ]);
  const reachMm = ownReach(setup.finishing) + chainReach(couplings);
  // How far a core bit goes is known once its free length is, or what it is put on.
  const isKnown = solid || bit.freeLengthMm !== undefined || couplings.length > 0;
  const isExtended =
    couplings.length === 0 && reachTo(kit, setup.finishing, toMm).extension !== null;
  if (isKnown && !isExtended && toMm > reachMm + SAME_MM)
    found.push([{ code: 'operation-out-of-reach', name, bit: bit.name, toMm, reachMm }, 'toMm']);
  return found;
}

/** The hammer on a bit that does not stand it, or on a machine that has none. */
function hammerClashes({ setup }: CutOperation): readonly Found[] {
  const { bit } = setup.finishing;
  if (!setup.hammer) return [];
  const found: Found[] = [];
  if (!BIT_FAMILIES[bit.family].takesHammer)
    found.push([{ code: 'hammer-on-diamond', bit: bit.name, family: bit.family }, 'hammer']);
  if (MACHINE_KINDS[setup.machine.kind].hammer === 'none')
    found.push([{ code: 'machine-without-hammer', machine: setup.machine.name }, 'hammer']);
  return found;
}

/** Water through a bit made to run dry, or a dry diamond in glass. */
function waterClashes({ given, cut: { setup, fromMm, toMm }, own }: Asked): readonly Found[] {
  const { bit } = setup.finishing;
  const { dryOnly, abrasive } = BIT_FAMILIES[bit.family];
  if (COOLANTS[setup.coolant.id].kind !== 'dry')
    return dryOnly
      ? [
          [
            { code: 'wet-through-dry-tool', bit: bit.name, water: setup.coolant.id },
            given.water ? 'water' : 'wet',
          ],
        ]
      : [];
  const glass = stretchesOfLeaves(own, fromMm, toMm)
    .flatMap(({ parts }) => parts.map(({ material }) => material))
    .find((material) => material.class === 'glass');
  return glass && abrasive !== 'carbide'
    ? [[{ code: 'dry-diamond-in-glass', bit: bit.name, material: glass.name }, 'wet']]
    : [];
}

const couplingsOf = (
  { couplings = [] }: Kit,
  { couplingIds = [] }: Operation,
): readonly Coupling[] => couplingIds.flatMap((id) => couplings.find((one) => one.id === id) ?? []);

/** What the listed cuts leave standing between the faces, or above the bottom of a blind hole. */
function gapLeft(
  { hole, piece, materials }: DrillCase,
  operations: readonly ResolvedOperation[],
  profile: HoleProfile,
): Clash | null {
  const cuts = operations.filter((one) => one.kind === 'cut');
  if (cuts.length === 0) return { code: 'operations-cut-nothing', count: operations.length };
  const bottomMm = hole.depth.kind === 'through' ? piece.thicknessMm : hole.depth.depthMm;
  const widest = Math.max(...cuts.map(({ setup }) => setup.finishing.geometry.diameterMm));
  const { fit } = planPurpose(piece, hole, faceMaterial(piece, materials));
  const wantedMm = Math.min(hole.diameterMm, widest, fit?.behindMm ?? Infinity);
  const gap = stretchesIn(profile, 0, bottomMm).find(
    ({ diameterMm }) => diameterMm < wantedMm - SIZE_TOLERANCE_MM,
  );
  return gap
    ? {
        code: 'operations-leave-gap',
        fromMm: gap.fromMm,
        toMm: gap.toMm,
        openMm: gap.diameterMm,
        wantedMm,
      }
    : null;
}
