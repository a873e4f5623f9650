import { isBuilding } from '../../data/pieceForms';
import type { DrillCase } from '../../setup/drillCase';
import { COOLANTS, type CoolantId } from '../../data/coolants';
import type { Hole } from '../../documents/hole';
import type { Piece } from '../../documents/piece';
import { makePlan } from '../plan/makePlan';
import { FEED_AIDS } from '../../data/machines/feedAids';
import { MACHINE_KINDS, type MachineKindId } from '../../data/machines/machineKinds';
import { isPurposeKind, PURPOSES } from '../../layout/purposes/purposes';
import { formatLengthShort } from '../units/length';
import { formatVolume } from '../units/formatQuantity';
import type { UnitSystem } from '../../data/unitSystem';
import type { BarePlan } from '../../documents/plan';

/** One thing to lay out before starting. */
export interface PackedItem {
  readonly id: string;
  readonly text: string;
}

/** Everything that is wanted at the bench for these holes, each thing once. */
export function packingList(
  works: readonly { readonly plan: BarePlan; readonly piece: Piece; readonly hole: Hole }[],
  units: UnitSystem,
): readonly PackedItem[] {
  const items = new Map<string, string>();
  const fills = maxWater(works);
  const add = (id: string, text: string): void => {
    if (!items.has(id)) items.set(id, text);
  };
  for (const { plan, piece, hole } of works) {
    const { setup, water } = plan;
    const operations = plan.operations ?? [];
    for (const one of operations) {
      const { bitId, bitName, bitDiameterMm, machineId, machineName } = one;
      const { extensionId, extensionName } = one;
      if (bitName === null || bitDiameterMm === null) continue;
      add(`bit-${bitId ?? bitName}`, `${bitName}, ${formatLengthShort(bitDiameterMm, units)}`);
      add(`machine-${machineId ?? machineName ?? ''}`, machineName ?? '');
      if (extensionId !== null) add(`extension-${extensionId}`, extensionName ?? '');
    }
    const kind = MACHINE_KINDS[setup.machineKind as MachineKindId];
    if (kind.power === 'battery') add('battery', 'A spare battery');
    if (setup.supportKind !== 'nothing')
      add(
        `support-${setup.supportKind}`,
        `${setup.supportName}, ${formatLengthShort(setup.supportThicknessMm, units)}`,
      );
    if (hole.setup?.guide)
      add(`guide-${hole.setup.guide.kind}`, `Guide: ${hole.setup.guide.kind.replaceAll('-', ' ')}`);
    const aid = hole.setup?.feedAid ?? 'none';
    if (aid !== 'none') add(`aid-${aid}`, FEED_AIDS[aid].name);
    addWater(plan, fills.get(water.method) ?? null, units, add);
    if (setup.start === 'tape') add('tape', 'Masking tape');
    add(
      'mark',
      isBuilding(piece) ? 'Pencil, level and tape measure' : 'Waterproof marker and rule',
    );
    add('cloth', 'Cloth and a bucket for the slurry');
    add('stone', 'Fine abrasive for the edge');
    if (operations.some(({ solid }) => solid === false)) add('rod', 'Rod to push the core out');
    const hands = new Set(operations.map(({ does }) => does));
    if (hands.has('break-out') || hands.has('chisel'))
      add('chisel', 'Chisel and hook to break the core out');
    if (operations.some(({ waterKind }) => waterKind === 'none')) {
      add('extraction', 'Extraction and a respirator');
    }
    const purpose = hole.purpose?.kind;
    if (purpose !== undefined && isPurposeKind(purpose))
      add(`part-${purpose}`, `The part itself: ${PURPOSES[purpose].title.toLowerCase()}`);
  }
  return [...items].map(([id, text]) => ({ id, text }));
}

/** The largest filling of each way of wetting: one tray serves all. */
function maxWater(works: Parameters<typeof packingList>[0]): ReadonlyMap<string, number> {
  const max = new Map<string, number>();
  for (const { plan } of works) {
    const { method, fillL } = plan.water;
    if (fillL !== null) max.set(method, Math.max(fillL, max.get(method) ?? 0));
  }
  return max;
}

function addWater(
  plan: BarePlan,
  fillL: number | null,
  units: UnitSystem,
  add: (id: string, text: string) => void,
): void {
  const { method, name } = plan.water;
  const { kind } = COOLANTS[method as CoolantId];
  if (kind === 'dry') add('extraction', 'Extraction and a respirator');
  else if (fillL !== null)
    add(
      `water-${method}`,
      `${name}: ${formatVolume(fillL, units)} of water, and as much to change it`,
    );
  else add(`water-${method}`, name);
}

/** The packing list of several holes; those that cannot be planned yet are left out. */
export function packingListOf(
  cases: readonly DrillCase[],
  units: UnitSystem,
): readonly PackedItem[] {
  const works = cases.flatMap((drillCase) => {
    const outcome = makePlan(drillCase, units);
    return outcome.kind === 'planned' ? [{ ...drillCase, plan: outcome.plan }] : [];
  });
  return packingList(works, units);
}
