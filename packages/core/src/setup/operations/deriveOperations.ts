import { isBuilding } from '../../data/pieceForms';
import type { Face, HandKindId, OperationKindId } from '../../data/operations';
import type { FitNumbers } from '../../layout/purposes/fit';
import { coreBreaks, type SolidStretch } from '../../physics/cutting/passes';
import { layersFromFarFace, type DepthLayer } from '../cutLayers';
import type { DrillCase } from '../drillCase';
import type { ResolvedBit, ResolvedSetup } from '../resolvedSetup';
import { LARGEST_LOOSE_CORE_MM, leafTools } from './leafTool';
import type { ResolvedOperation } from './operation';

type Draft =
  | {
      readonly does: OperationKindId;
      readonly face: Face;
      readonly fromMm: number;
      readonly toMm: number;
      readonly setup: ResolvedSetup;
    }
  | { readonly does: HandKindId; readonly face: Face; readonly atMm: number };

/** What the part asks of the operations. */
export type PartAsks = Pick<FitNumbers, 'behindMm' | 'easesEdges' | 'roughensWall'>;

/** Contiguous leaves cut with one tool. */
interface Stretch extends SolidStretch {
  readonly tool: ResolvedSetup;
}

/**
 * What a hole is made of where nobody has listed it:
 *  - smaller bits of the setup go down the whole way from the near face, each following the one before;
 *  - each leaf is cut with the setup’s bit, or with one made for it where that is no use there;
 *  - from two sides each face is drilled to the middle, or to the cavity where there is one, and it is
 *    turned over between, or walked round where it stands in a building;
 *  - what the part asks for is done to it: another width behind the face, rims eased, the wall roughened;
 *  - a core is broken out each time the barrel is full, where it drops free behind a leaf, and before
 *    another tool follows.
 * @param leaves from the near face down to the hole’s depth
 * @param asks what the part asks of the hole
 * @param thickerMm how much thicker the piece may be than taken, which the last cut must reach
 */
export function deriveOperations(
  drillCase: DrillCase,
  base: ResolvedSetup,
  leaves: readonly DepthLayer[],
  thickerMm: number,
  asks: PartAsks,
): readonly ResolvedOperation[] {
  const { hole, piece } = drillCase;
  const isThrough = hole.depth.kind === 'through';
  const depthMm = leaves.at(-1)?.toMm ?? 0;
  const tools = leafTools(drillCase, base, leaves, asks.behindMm);
  const nearMm = isThrough && base.sides === 'two' ? meetingDepth(leaves, depthMm) : depthMm;
  const isTwoSided = nearMm < depthMm;
  const farLeaves = layersFromFarFace(leaves, depthMm, depthMm - nearMm);
  const farTools = new Map(
    farLeaves.flatMap((leaf) => {
      const tool = [...tools].find(([near]) => near.parts === leaf.parts)?.[1];
      return tool ? [[leaf, tool] as const] : [];
    }),
  );
  const extraMm = isThrough ? thickerMm : 0;
  const turn: Draft = {
    does: isBuilding(piece) ? 'go-round' : 'turn-over',
    face: 'near',
    atMm: nearMm,
  };
  const near = stretchesOf(leaves, tools, nearMm);
  const isCored =
    hole.depth.kind === 'blind' && near.at(-1)?.tool.finishing.geometry.solid === false;
  return withIds([
    { does: 'mark', face: 'near', atMm: 0 },
    ...smallerBits(base, depthMm),
    ...descent('near', near, isTwoSided ? 0 : extraMm, base),
    ...(isTwoSided
      ? [turn, ...descent('far', stretchesOf(farLeaves, farTools, Infinity), extraMm, base)]
      : []),
    ...(isCored ? [{ does: 'break-out' as const, face: 'near' as const, atMm: depthMm }] : []),
    ...(asks.roughensWall
      ? [{ does: 'chisel' as const, face: 'near' as const, atMm: depthMm }]
      : []),
    ...(asks.easesEdges
      ? [{ does: 'ease-edge' as const, face: 'near' as const, atMm: depthMm }]
      : []),
    { does: 'clean', face: isTwoSided ? 'far' : 'near', atMm: depthMm },
  ]);
}

/** Where two faces meet, mm from the near one: in the middle, or at the cavity nearest to it. */
function meetingDepth(leaves: readonly DepthLayer[], depthMm: number): number {
  const cavities = leaves.filter(({ parts }) => parts.length === 0).map(({ fromMm }) => fromMm);
  const off = (z: number): number => Math.abs(z - depthMm / 2);
  return (
    cavities.reduce<number | null>(
      (best, z) => (best === null || off(z) < off(best) ? z : best),
      null,
    ) ?? depthMm / 2
  );
}

/** The bits before the finishing one, each a step of its own. */
function smallerBits(base: ResolvedSetup, toMm: number): Draft[] {
  return base.bits
    .filter((one) => one !== base.finishing)
    .map((one, index) => ({
      does: index === 0 ? ('pilot' as const) : ('enlarge' as const),
      face: 'near' as const,
      fromMm: 0,
      toMm,
      setup: withBit(base, one),
    }));
}

export const withBit = (setup: ResolvedSetup, bit: ResolvedBit): ResolvedSetup => ({
  ...setup,
  bits: [bit],
  finishing: bit,
});

/** Solid leaves down to a depth, those with one tool and nothing between them taken together. */
function stretchesOf(
  leaves: readonly DepthLayer[],
  tools: ReadonlyMap<DepthLayer, ResolvedSetup>,
  toMm: number,
): readonly Stretch[] {
  const stretches: Stretch[] = [];
  for (const leaf of leaves) {
    const tool = tools.get(leaf);
    if (!tool || leaf.fromMm >= toMm - 1e-9) continue;
    const end = Math.min(leaf.toMm, toMm);
    const before = stretches.at(-1);
    if (before && before.tool === tool && leaf.fromMm - before.toMm < 1e-9)
      stretches.splice(-1, 1, { ...before, toMm: end });
    else stretches.push({ fromMm: leaf.fromMm, toMm: end, tool });
  }
  return stretches;
}

/** One face drilled down, tool by tool. */
function descent(
  face: Face,
  stretches: readonly Stretch[],
  extraMm: number,
  base: ResolvedSetup,
): Draft[] {
  const drafts: Draft[] = [];
  let start = 0;
  while (start < stretches.length) {
    const tool = stretches[start]?.tool ?? base;
    const rest = stretches.slice(start);
    const end = rest.findIndex((one) => one.tool !== tool);
    const same = end === -1 ? rest : rest.slice(0, end);
    start += same.length;
    const isLast = start === stretches.length;
    drafts.push(...passesOf(face, same, tool, isLast ? extraMm : 0));
    const { solid, diameterMm } = tool.finishing.geometry;
    const endMm = same.at(-1)?.toMm ?? 0;
    if (!isLast && !solid && diameterMm > LARGEST_LOOSE_CORE_MM)
      drafts.push({ does: 'break-out', face, atMm: endMm });
  }
  return drafts;
}

/** The passes of one tool, with a core broken out between them; a solid bit goes down leaf by leaf. */
function passesOf(
  face: Face,
  stretches: readonly SolidStretch[],
  tool: ResolvedSetup,
  extraMm: number,
): Draft[] {
  const { solid, boreDepthMm } = tool.finishing.geometry;
  const does = solid ? (tool.bits.length > 1 ? 'enlarge' : 'bore') : 'core';
  const setup = withBit(tool, tool.finishing);
  const last = stretches.at(-1);
  const reached = last ? [...stretches.slice(0, -1), { ...last, toMm: last.toMm + extraMm }] : [];
  const breaksAt = solid
    ? []
    : coreBreaks(reached, boreDepthMm).map(({ atMm, lengthMm }) =>
        // Where it may be thicker than taken the last core is parted while there is something to part.
        last && atMm >= last.toMm ? (atMm - lengthMm + last.toMm) / 2 : atMm,
      );
  return stretches.flatMap(({ fromMm, toMm }): Draft[] => {
    const inside = breaksAt.filter((z) => z > fromMm + 1e-9 && z < toMm - 1e-9);
    const ends = [fromMm, ...inside, toMm];
    return ends
      .slice(1)
      .flatMap((to, index): Draft[] => [
        { does, face, fromMm: ends[index] ?? to, toMm: to, setup },
        ...(breaksAt.some((z) => Math.abs(z - to) < 1e-9)
          ? [{ does: 'break-out' as const, face, atMm: to }]
          : []),
      ]);
  });
}

/** Ids that stay the same as long as the list does: what it does, and the how many-th of its kind. */
function withIds(drafts: readonly Draft[]): ResolvedOperation[] {
  const counts = new Map<OperationKindId, number>();
  return drafts.map((draft) => {
    const count = (counts.get(draft.does) ?? 0) + 1;
    counts.set(draft.does, count);
    const id = count === 1 ? draft.does : `${draft.does}-${count}`;
    return 'setup' in draft
      ? { kind: 'cut', id, helper: null, couplings: [], ...draft }
      : { kind: 'hand', id, helper: null, ...draft };
  });
}
