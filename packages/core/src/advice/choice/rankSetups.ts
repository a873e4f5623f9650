import { isByHand } from '../../data/holds';
import { type DrillCase, withSetup } from '../../setup/drillCase';
import { COOLANTS, type CoolantId } from '../../data/coolants';
import { faceMaterial } from '../../layout/faceMaterial';
import type { JobFault } from '../../setup/jobFault';
import type { Hole } from '../../documents/hole';
import type { Setup } from '../../documents/setup';
import type { Bit, Coupling, Machine } from '../../documents/kit';
import { thicknessSpread } from '../../layout/thickness';
import { MACHINE_KINDS } from '../../data/machines/machineKinds';
import { CAVITY, findMaterial } from '../../data/materials/materials';
import type { Material } from '../../data/materials/material';
import { contextOf } from '../../plan/contextOf';
import type { PlanContext } from '../../plan/planContext';
import { resolveSetup } from '../../setup/resolveSetup';
import { isUsable } from '../../setup/assumeSetup';
import { SIZE_TOLERANCE_MM } from '../../setup/resolvedSetup';
import { planPurpose } from '../../layout/purposes/plannedPurpose';
import { bitsForRange } from '../../layout/purposes/ownedFit';
import { bendLater, scalingBend, type Bend } from '../../physics/plate/bender';
import { chainOf, obstaclesTo, type Obstacle, type Trial } from './obstacles';
import { outcomeOf, type Outcome } from './outcome';
import { waterMeans } from './waterMeans';

/** One way of making the hole with what is owned. */
export interface RankedSetup {
  readonly bit: Bit;
  readonly machine: Machine;
  readonly water: CoolantId;
  /** What joins bit and machine, machine first; null where the bit's shank is not known. */
  readonly couplings: readonly Coupling[] | null;
  /** What the hole's setup becomes when this is chosen. */
  readonly setup: Setup;
  readonly outcome: Outcome;
  /** What it was worked out from. */
  readonly context: PlanContext;
}

export interface ImpossibleSetup {
  readonly bit: Bit;
  readonly machine: Machine;
  /** What stands in the way whichever water is used. */
  readonly obstacles: readonly Obstacle[];
}

export interface Ranking {
  readonly ranked: readonly RankedSetup[];
  readonly impossible: readonly ImpossibleSetup[];
  /** Bits of another size, the nearest first. */
  readonly otherSizes: readonly { readonly bit: Bit; readonly missMm: number }[];
  /** The hole as it stands, and the machines there are: what to get is said from these. */
  readonly asIs: PlanContext;
  readonly machines: readonly Machine[];
}

export type RankOutcome =
  | { readonly kind: 'ranked'; readonly ranking: Ranking }
  | { readonly kind: 'faulty'; readonly faults: readonly JobFault[] };

/** Nearest other sizes worth naming. */
const OTHER_SIZES = 3;

/**
 * Every owned bit × machine × means that can make this hole, the least expected cost first; the
 * impossible ones with what stands in the way. The order of the kit does not matter.
 */
export function rankSetups(drillCase: DrillCase, bend: Bend = bendLater): RankOutcome {
  const { hole, kit } = drillCase;
  const scaled = scalingBend(bend);
  const asIs = contextOf(drillCase, scaled);
  if (asIs.kind === 'faulty') return asIs;
  const bits = bitsOfSize(drillCase);
  const machines = (kit.machines ?? []).filter((machine) => !machine.retired);
  const couplings = (kit.couplings ?? []).filter((one) => !one.retired);

  const ranked: RankedSetup[] = [];
  const impossible: ImpossibleSetup[] = [];
  for (const bit of bits.fitting) {
    for (const machine of machines) {
      const tried = waterMeans(drillCase).map((water) => {
        const trial = trialOf(drillCase, { bit, machine, water, couplings });
        return { water, trial, obstacles: obstaclesTo(trial) };
      });
      const able = tried.filter(({ obstacles }) => obstacles.length === 0);
      for (const { water, trial } of able) {
        const setup = setupWith(hole, bit, machine, water);
        const tried = tryOut(drillCase, setup, scaled);
        if (tried?.outcome.timeS)
          ranked.push({
            bit,
            machine,
            water,
            couplings: chainOf(trial) ?? null,
            setup,
            ...tried,
          });
      }
      if (able.length === 0) {
        const [first] = tried;
        const always = first?.obstacles.filter(({ code }) =>
          tried.every((one) => one.obstacles.some((other) => other.code === code)),
        );
        impossible.push({
          bit,
          machine,
          obstacles: always?.length ? always : (first?.obstacles ?? []),
        });
      }
    }
  }
  ranked.sort(byCost);
  return {
    kind: 'ranked',
    ranking: {
      ranked,
      impossible: impossible.sort(byNames),
      otherSizes: bits.others,
      asIs: asIs.context,
      machines,
    },
  };
}

const byNames = (a: ImpossibleSetup, b: ImpossibleSetup): number =>
  a.obstacles.length - b.obstacles.length ||
  a.bit.id.localeCompare(b.bit.id) ||
  a.machine.id.localeCompare(b.machine.id);

type Costed = Pick<RankedSetup, 'bit' | 'machine' | 'water' | 'outcome'>;

/** Least cost first; then what cools best; then by names, so that the order of the kit does not show. */
const byCost = (a: Costed, b: Costed): number =>
  a.outcome.cost.totalMoney - b.outcome.cost.totalMoney ||
  COOLANTS[b.water].heatTransferWPerM2K - COOLANTS[a.water].heatTransferWPerM2K ||
  a.bit.id.localeCompare(b.bit.id) ||
  a.machine.id.localeCompare(b.machine.id) ||
  a.water.localeCompare(b.water);

/** Bits that make this hole: within the part's range, else within half a millimetre. */
function bitsOfSize({ piece, hole, kit, materials }: DrillCase): {
  fitting: readonly Bit[];
  others: Ranking['otherSizes'];
} {
  const bits = (kit.bits ?? []).filter((bit) => !bit.retired);
  const face = faceMaterial(piece, materials);
  const { fit } = planPurpose(piece, hole, face);
  const range = fit?.diameter ?? {
    targetMm: hole.diameterMm,
    leastMm: hole.diameterMm - SIZE_TOLERANCE_MM,
    mostMm: hole.diameterMm + SIZE_TOLERANCE_MM,
  };
  const { fitting, misses } = bitsForRange(range, bits);
  return {
    fitting: fitting.map(({ bit }) => bit),
    others: misses
      .filter(({ bit }) => isUsable(bit))
      .slice(0, OTHER_SIZES)
      .map(({ bit, missMm }) => ({ bit, missMm })),
  };
}

interface Means {
  readonly bit: Bit;
  readonly machine: Machine;
  readonly water: CoolantId;
  readonly couplings: readonly Coupling[];
}

function trialOf(drillCase: DrillCase, means: Means): Trial {
  const { piece, hole, materials } = drillCase;
  const face = faceMaterial(piece, materials);
  const setup = setupWith(hole, means.bit, means.machine, means.water);
  const resolved = resolveSetup(withSetup(drillCase, setup), face);
  const depthMm =
    hole.depth.kind === 'through' ? thicknessSpread(piece).thickestMm : hole.depth.depthMm;
  return {
    ...means,
    piece,
    hole,
    materials: [face, ...leafMaterials(drillCase)],
    backingMm: resolved.support.atThicknessMm,
    byHand: isByHand(resolved.hold),
    depthMm: resolved.sides === 'two' ? depthMm / 2 : depthMm,
  };
}

const leafMaterials = ({ piece, materials }: DrillCase): Material[] =>
  (piece.layers ?? []).flatMap((layer) =>
    layer.material === CAVITY ? [] : (findMaterial(layer.material, materials) ?? []),
  );

/** The hole's setup with these means, steered as this machine is unless a guide is made. */
export function setupWith(hole: Hole, bit: Bit, machine: Machine, water: CoolantId): Setup {
  const { bits: _bits, hold, start, water: before, ...rest } = hole.setup ?? {};
  const usual = MACHINE_KINDS[machine.kind].hold;
  const byHand = isByHand(usual);
  const asBefore = byHand && hold && isByHand(hold) ? hold : undefined;
  const steered = byHand ? (rest.guide ? 'guided' : asBefore) : usual;
  const sameHold = hold === (steered ?? usual);
  return {
    ...rest,
    bit: bit.id,
    machine: machine.id,
    ...(steered ? { hold: steered } : {}),
    ...(start && sameHold ? { start } : {}),
    water: before?.kind === water ? before : { ...trayOf(before), kind: water },
  };
}

const trayOf = (water: Setup['water']): Omit<NonNullable<Setup['water']>, 'kind'> => ({
  ...(water?.trayLengthMm === undefined ? {} : { trayLengthMm: water.trayLengthMm }),
  ...(water?.trayWidthMm === undefined ? {} : { trayWidthMm: water.trayWidthMm }),
});

/** The hole as it would go with another setup; null where the job's own check refuses it. */
export function tryOut(
  drillCase: DrillCase,
  setup: Setup,
  bend: Bend,
): Pick<RankedSetup, 'outcome' | 'context'> | null {
  const worked = contextOf(withSetup(drillCase, setup), bend);
  if (worked.kind === 'faulty') return null;
  const { context } = worked;
  return { outcome: outcomeOf(context, drillCase.habits), context };
}
