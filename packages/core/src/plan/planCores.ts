import type { Face } from '../data/operations';
import { extendAt, type CoreBreak } from '../physics/cutting/passes';
import { coreMassBetween } from '../setup/coreMass';
import type { DepthLayer, LayerCut } from '../setup/cutLayers';
import type { ResolvedOperation } from '../setup/operations/operation';
import type { CutPlan, HoleTask } from './planCut';

/** A core that comes out of the hole. */
export interface CoreOut extends CoreBreak {
  readonly diameterMm: number;
  readonly massKg: number;
}

/** The passes from the near face. */
export interface Passes {
  readonly count: number;
  readonly breaks: readonly CoreOut[];
  /** Depths at which the core is snapped and drawn, mm. */
  readonly coreBreaksAtMm: readonly number[];
  /** How much longer than the bit the reach must be, mm; 0 when the bit is enough. */
  readonly extensionMm: number;
  /** Depth at which the extension goes on, mm; null where none does. */
  readonly extendAtMm: number | null;
}

/** The core each breaking out brings up: what was cut round since the last, by one bit from one face. */
export function coresOf(
  listed: readonly ResolvedOperation[],
  cuts: readonly CutPlan[],
): ReadonlyMap<ResolvedOperation, CoreOut> {
  const cores = new Map<ResolvedOperation, CoreOut>();
  let standing: CutPlan[] = [];
  for (const operation of listed) {
    const cut = cuts.find((one) => one.operation === operation);
    if (cut && !cut.setup.finishing.geometry.solid) standing.push(cut);
    const last = standing.at(-1);
    if (operation.does !== 'break-out' || !last) continue;
    const lengthMm = standing.reduce((sum, { bitDepthMm }) => sum + bitDepthMm, 0);
    cores.set(operation, {
      atMm: last.operation.toMm,
      lengthMm,
      why: last.ends === 'cavity' ? 'cavity' : 'barrel-full',
      diameterMm: last.setup.finishing.geometry.diameterMm,
      massKg: standing.reduce((sum, one) => sum + coreMassOf(one), 0),
    });
    standing = [];
  }
  return cores;
}

/** Mass of what one cut leaves standing inside its ring, kg. */
export const coreMassOf = ({ setup, layers, operation }: CutPlan): number =>
  coreMassBetween({ setup, layers }, operation.fromMm, operation.toMm);

/** The passes from the near face, with what comes out between them and what the bit lacks of the depth. */
export function passesOf(
  operations: readonly { readonly operation: ResolvedOperation; readonly core: CoreOut | null }[],
  near: readonly CutPlan[],
  { hole, thickness, piece }: HoleTask,
): Passes {
  const nearCuts = near.map(({ operation }) => operation);
  const lastAt = operations.findLastIndex(
    ({ operation }) => operation.kind === 'cut' && nearCuts.includes(operation),
  );
  const breaks = operations
    .slice(0, Math.max(lastAt, 0))
    .flatMap(({ core, operation }) => (core && operation.face === 'near' ? [core] : []));
  const last = near.at(-1);
  const extraMm =
    hole.depth.kind === 'through' && last?.ends === 'face'
      ? thickness.thickestMm - piece.thicknessMm
      : 0;
  const short = near
    .map(({ operation, reach }) => ({
      operation,
      ownMm: reach.ownMm,
      shortMm: operation.toMm + (operation === last?.operation ? extraMm : 0) - reach.ownMm,
    }))
    .filter(({ shortMm }) => shortMm > 1e-9);
  const farthest = short.at(-1);
  const cored = last && !last.setup.finishing.geometry.solid;
  return {
    count: breaks.length + 1,
    breaks,
    coreBreaksAtMm: breaks.map(({ atMm }) => atMm),
    extensionMm: farthest?.shortMm ?? 0,
    extendAtMm: farthest && cored ? extendAt(breaks, farthest.ownMm) : null,
  };
}

/** The leaves from the near face down to the hole’s depth, each as its widest bit cuts it. */
export function wholeLayers(
  { leaves, piece }: HoleTask,
  finishing: readonly CutPlan[],
  depthMm: number,
): readonly LayerCut[] {
  const parts = finishing.flatMap(({ layers, operation }) =>
    layers.map((one) => ({
      ...one,
      layer: seenFromNear(one.layer, operation.face, piece.thicknessMm),
    })),
  );
  return leaves
    .filter(({ fromMm }) => fromMm < depthMm - 1e-9)
    .map((leaf): LayerCut => {
      const layer = { ...leaf, toMm: Math.min(leaf.toMm, depthMm) };
      const own = parts.filter(
        (one) =>
          one.slowest !== null &&
          one.layer.fromMm >= layer.fromMm - 1e-6 &&
          one.layer.toMm <= layer.toMm + 1e-6,
      );
      const [first] = own;
      if (!first) return { layer, pilotMm: 0, slowest: null, parts: [], rateMmPerS: Infinity };
      const slow = own.reduce((min, one) => (one.rateMmPerS < min.rateMmPerS ? one : min));
      const lengthMm = own.reduce((sum, one) => sum + one.layer.toMm - one.layer.fromMm, 0);
      const seconds = own.reduce(
        (sum, one) => sum + (one.layer.toMm - one.layer.fromMm) / one.rateMmPerS,
        0,
      );
      return {
        ...slow,
        layer,
        rateMmPerS: own.length === 1 ? first.rateMmPerS : lengthMm / seconds,
      };
    });
}

const seenFromNear = (layer: DepthLayer, face: Face, totalMm: number): DepthLayer =>
  face === 'near'
    ? layer
    : { ...layer, fromMm: totalMm - layer.toMm, toMm: totalMm - layer.fromMm };
