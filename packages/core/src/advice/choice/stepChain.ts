import { ownReach } from '../../setup/operations/reach';
import type { DrillCase } from '../../setup/drillCase';
import { wobbleOf } from '../../physics/cutting/wobble';
import { bitGeometry } from '../../physics/cutting/bitGeometry';
import { solidCentreSeatTime } from '../../physics/cutting/stages';
import type { Hold } from '../../data/choices';
import type { JobFault } from '../../setup/jobFault';
import type { Bit } from '../../documents/kit';
import type { Material } from '../../data/materials/material';
import { cutLayer, layersTo, type DepthLayer } from '../../setup/cutLayers';
import { contextOf } from '../../plan/contextOf';
import { BIT_SWAP_S } from '../../physics/cutting/pauses';
import type { PlanContext } from '../../plan/planContext';
import { isUsable, suits } from '../../setup/assumeSetup';
import { SIZE_TOLERANCE_MM, type ResolvedBit } from '../../setup/resolvedSetup';
import { handlingCase } from '../../plan/planCrack';
import { SHARPNESS_SD } from '../../physics/spread';
import { handlingHazard, oddsOf } from '../../physics/strength/handlingHazard';
import { HOUR_MONEY, PIECE_MONEY } from './outcome';

/** One bit of a chain, following the hole the one before it left. */
export interface ChainStep {
  readonly bit: Bit;
  /** Diameter of the hole it follows, mm; 0 where it goes into the whole. */
  readonly pilotMm: number;
  readonly timeS: number;
  /** Odds that handling and breaking through spoil the hole at this step. */
  readonly odds: number;
}

export interface BitChain {
  readonly steps: readonly ChainStep[];
  /** Cutting, seating and swaps, s. */
  readonly timeS: number;
  readonly odds: number;
  /** Time, and what the odds cost, in seconds of the bench's time. */
  readonly costS: number;
}

export interface ChainChoice {
  /** The cheapest chain over all owned sizes; one bit alone where steps do not pay. */
  readonly best: BitChain;
  /** The cheapest single bit of the hole's own size. */
  readonly straight: BitChain;
  /** The cheapest chain of two bits or more, whether it pays or not; null where none can be made. */
  readonly stepped: BitChain | null;
  /** Bits that may not be used as a pilot here, and why. */
  readonly barred: readonly { readonly bit: Bit; readonly why: PilotRule }[];
}

export type ChainOutcome =
  | { readonly kind: 'chosen'; readonly choice: ChainChoice }
  /** Nothing owned makes the hole's own size. */
  | { readonly kind: 'no-bit'; readonly diameterMm: number }
  | { readonly kind: 'faulty'; readonly faults: readonly JobFault[] };

/** What weighs a chain: everything its steps are calculated from. */
export interface ChainScene {
  readonly context: PlanContext;
  readonly layers: readonly DepthLayer[];
  /** Owned, usable, right for the material, long enough; smallest first. */
  readonly bits: readonly ResolvedBit[];
  readonly finalMm: number;
  /** Seconds of the bench's time that the piece is worth. */
  readonly valueS: number;
}

/**
 * The chain of owned bits that costs least, by dynamic programming over sizes: each step grinds the
 * annulus the hole before it left at the pressure of its own family, takes 40 s to swap, and risks
 * the piece once more. Against going straight with the bit of the hole's size.
 */
export function stepChain(drillCase: DrillCase): ChainOutcome {
  const worked = contextOf(drillCase);
  if (worked.kind === 'faulty') return worked;
  const scene = chainScene(drillCase, worked.context);
  const best = cheapestChain(scene);
  const straight = cheapestChain(scene, 1);
  if (!best || !straight) return { kind: 'no-bit', diameterMm: scene.finalMm };
  return {
    kind: 'chosen',
    choice: {
      best,
      straight,
      stepped: cheapestStepped(scene),
      barred: barredPilots(scene),
    },
  };
}

export function chainScene(
  { hole, kit, materials: own, habits }: DrillCase,
  context: PlanContext,
): ChainScene {
  const layers = layersTo(own, context.piece, context.depthMm);
  const materials = layers.flatMap((layer) => layer.parts.map((part) => part.material));
  const bits = (kit.bits ?? [])
    .filter(isUsable)
    .filter((bit) => bit.diameterMm <= hole.diameterMm + SIZE_TOLERANCE_MM)
    .filter((bit) => materials.every((material) => suits(bit.family, material)))
    .map((bit): ResolvedBit => ({ bit, owned: true, geometry: bitGeometry(bit) }))
    .filter((tool) => !tool.geometry.solid || ownReach(tool) >= context.depthPerSideMm)
    .sort((a, b) => a.bit.diameterMm - b.bit.diameterMm || a.bit.id.localeCompare(b.bit.id));
  const hour = habits.hourMoney ?? HOUR_MONEY;
  return {
    context,
    layers,
    bits,
    finalMm: hole.diameterMm,
    valueS: ((context.piece.valueMoney ?? PIECE_MONEY) / hour) * 3600,
  };
}

const isFinal = ({ finalMm }: ChainScene, { bit }: ResolvedBit): boolean =>
  Math.abs(bit.diameterMm - finalMm) <= SIZE_TOLERANCE_MM;

/** Why a bit makes no pilot here. */
export type PilotRule = 'carbide-under-core' | 'ring-eaten';

/**
 * Why a bit may not follow a hole, or null: carbide never goes under a core in glass or glaze, and a
 * core whose ring the hole has eaten needs something to steer it.
 */
export function pilotRule(
  pilot: ResolvedBit,
  next: ResolvedBit,
  materials: readonly Material[],
  hold: Hold,
): PilotRule | null {
  const brittle = materials.some(({ class: kind }) => kind === 'glass' || kind === 'ceramic');
  if (pilot.bit.family === 'carbide-spear' && !next.geometry.solid && brittle)
    return 'carbide-under-core';
  const innerMm = next.geometry.diameterMm - 2 * next.geometry.rimWidthMm;
  const eaten = !next.geometry.solid && pilot.geometry.diameterMm > innerMm;
  return eaten && hold === 'freehand' ? 'ring-eaten' : null;
}

/** One step's time and odds. */
export function stepAfter(scene: ChainScene, bit: ResolvedBit, pilotMm: number): ChainStep {
  const { context, layers } = scene;
  const { setup, headline } = context;
  const cuts = layers.map((layer) => cutLayer(layer, bit, setup, pilotMm));
  const cuttingS = cuts.reduce(
    (sum, { layer, rateMmPerS }) => sum + (layer.toMm - layer.fromMm) / rateMmPerS,
    0,
  );
  const own = cuts.find(({ slowest }) => slowest)?.slowest ?? headline;
  const handling = {
    ...handlingCase({ ...context.crackCase, cut: own }),
    wobbleMm: wobbleOf(bit.bit, setup.hold),
  };
  return {
    bit: bit.bit,
    pilotMm,
    timeS: cuttingS + solidCentreSeatTime(bit.geometry, pilotMm),
    odds: oddsOf(handlingHazard(handling, own.sharpness, SHARPNESS_SD)),
  };
}

/** What a step adds: its time, a swap unless it is the first, and the odds times the piece. */
export const stepCostS = (scene: ChainScene, step: ChainStep): number =>
  step.timeS + (step.pilotMm > 0 ? BIT_SWAP_S : 0) + step.odds * scene.valueS;

export function chainOfSteps(scene: ChainScene, steps: readonly ChainStep[]): BitChain {
  return {
    steps,
    timeS: steps.reduce((sum, { timeS }) => sum + timeS, BIT_SWAP_S * (steps.length - 1)),
    odds: 1 - steps.reduce((kept, { odds }) => kept * (1 - odds), 1),
    costS: steps.reduce((sum, step) => sum + stepCostS(scene, step), 0),
  };
}

/** Best way to have each bit's hole, from the smallest up: the best of going straight and following. */
function cheapestChain(scene: ChainScene, maxSteps = Infinity): BitChain | null {
  const materials = scene.layers.flatMap((layer) => layer.parts.map((part) => part.material));
  const best: { readonly to: ResolvedBit; readonly chain: BitChain }[] = [];
  for (const bit of scene.bits) {
    const ways = [chainOfSteps(scene, [stepAfter(scene, bit, 0)])];
    for (const before of maxSteps > 1 ? best : []) {
      if (before.to.bit.diameterMm >= bit.bit.diameterMm) continue;
      if (pilotRule(before.to, bit, materials, scene.context.setup.hold)) continue;
      const step = stepAfter(scene, bit, before.to.bit.diameterMm);
      ways.push(chainOfSteps(scene, [...before.chain.steps, step]));
    }
    const chain = ways.reduce((min, way) => (way.costS < min.costS ? way : min));
    if (Number.isFinite(chain.costS)) best.push({ to: bit, chain });
  }
  const finals = best.filter(({ to }) => isFinal(scene, to)).map(({ chain }) => chain);
  return finals.length === 0
    ? null
    : finals.reduce((min, chain) => (chain.costS < min.costS ? chain : min));
}

/** The best way into a bit of the hole's size that follows another. */
function cheapestStepped(scene: ChainScene): BitChain | null {
  const materials = scene.layers.flatMap((layer) => layer.parts.map((part) => part.material));
  const chains = scene.bits
    .filter((final) => isFinal(scene, final))
    .flatMap((final) => {
      const smaller = scene.bits.filter(
        (bit) =>
          bit.bit.diameterMm < final.bit.diameterMm &&
          !isFinal(scene, bit) &&
          pilotRule(bit, final, materials, scene.context.setup.hold) === null,
      );
      return smaller.flatMap((before) => {
        const upTo = { ...scene, finalMm: before.bit.diameterMm };
        const first = cheapestChain({
          ...upTo,
          bits: scene.bits.filter(({ bit }) => bit.diameterMm <= before.bit.diameterMm),
        });
        const step = stepAfter(scene, final, before.bit.diameterMm);
        const ends = first?.steps.at(-1)?.bit.id === before.bit.id;
        return first && ends ? [chainOfSteps(scene, [...first.steps, step])] : [];
      });
    })
    .filter(({ costS }) => Number.isFinite(costS));
  return chains.length === 0
    ? null
    : chains.reduce((min, chain) => (chain.costS < min.costS ? chain : min));
}

function barredPilots(scene: ChainScene): ChainChoice['barred'] {
  const materials = scene.layers.flatMap((layer) => layer.parts.map((part) => part.material));
  const finals = scene.bits.filter((bit) => isFinal(scene, bit));
  return scene.bits
    .filter((bit) => !isFinal(scene, bit))
    .flatMap((pilot) => {
      const rules = finals.map((next) =>
        pilotRule(pilot, next, materials, scene.context.setup.hold),
      );
      const why = rules.length > 0 && rules.every((rule) => rule !== null) ? rules[0] : null;
      return why ? [{ bit: pilot.bit, why }] : [];
    });
}
