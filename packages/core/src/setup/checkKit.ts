import { CONNECTIONS } from '../data/couplings/connections';
import type { Holder, Shank } from '../data/couplings/shank';
import type { Bit, Coupling, Kit, Machine } from '../documents/kit';
import type { Add, IdentifiedThing } from './jobFault';

/** Each of these needs an id of its own. */
export function checkIds(
  items: readonly { id: string }[],
  at: string,
  what: IdentifiedThing,
  add: Add,
): void {
  const seen = new Set<string>();
  items.forEach((item, index) => {
    if (seen.has(item.id)) add(`${at}/${index}/id`, { code: 'same-id', what, id: item.id });
    seen.add(item.id);
  });
}

/** What a schema cannot see in a kit. */
export function checkKit(kit: Kit, at: string, add: Add): void {
  checkIds(kit.bits ?? [], `${at}/bits`, 'bit', add);
  checkIds(kit.machines ?? [], `${at}/machines`, 'machine', add);
  checkIds(kit.couplings ?? [], `${at}/couplings`, 'coupling', add);
  checkIds(kit.supports ?? [], `${at}/supports`, 'support', add);
  checkIds(kit.guides ?? [], `${at}/guides`, 'guide', add);
  checkIds(kit.water ?? [], `${at}/water`, 'water', add);
  kit.bits?.forEach((bit, index) => {
    checkBit(bit, `${at}/bits/${index}`, add);
  });
  kit.machines?.forEach((machine, index) => {
    checkMachine(machine, `${at}/machines/${index}`, add);
  });
  kit.couplings?.forEach((coupling, index) => {
    checkCoupling(coupling, `${at}/couplings/${index}`, add);
  });
}

function checkBit(bit: Bit, at: string, add: Add): void {
  const { diameterMm, rimWidthMm, barrelDiameterMm: barrelMm, boreDepthMm } = bit;
  if (rimWidthMm !== undefined && rimWidthMm > diameterMm / 2)
    add(`${at}/rimWidthMm`, { code: 'rim-too-wide', rimWidthMm, diameterMm });
  if (barrelMm !== undefined && barrelMm > diameterMm)
    add(`${at}/barrelDiameterMm`, { code: 'barrel-too-wide', barrelMm, diameterMm });
  const bitMm = Math.max(bit.usableDepthMm ?? 0, bit.freeLengthMm ?? 0);
  if (boreDepthMm !== undefined && bitMm > 0 && boreDepthMm > bitMm)
    add(`${at}/boreDepthMm`, { code: 'bore-too-deep', boreDepthMm, bitMm });
  if (bit.shank) checkShank(bit.shank, `${at}/shank`, add);
}

function checkMachine(machine: Machine, at: string, add: Add): void {
  const { speeds, leverArmMm, pinionRadiusMm } = machine;
  if (speeds?.kind === 'range' && speeds.minRpm > speeds.maxRpm)
    add(`${at}/speeds`, { code: 'speeds-fall', minRpm: speeds.minRpm, maxRpm: speeds.maxRpm });
  if (leverArmMm !== undefined && pinionRadiusMm !== undefined && pinionRadiusMm > leverArmMm)
    add(`${at}/pinionRadiusMm`, { code: 'pinion-over-lever', pinionRadiusMm, leverArmMm });
  machine.holders?.forEach((holder, index) => {
    checkHolder(holder, `${at}/holders/${index}`, add);
  });
}

function checkCoupling(coupling: Coupling, at: string, add: Add): void {
  checkShank(coupling.into, `${at}/into`, add);
  checkHolder(coupling.takes, `${at}/takes`, add);
  if (coupling.kind === 'extension' && !coupling.lengthMm)
    add(`${at}/lengthMm`, { code: 'extension-without-length', name: coupling.name });
}

function checkShank({ kind, sizeMm }: Shank, at: string, add: Add): void {
  if (!CONNECTIONS[kind].sized && sizeMm !== undefined)
    add(`${at}/sizeMm`, { code: 'size-in-name', kind, sizeMm });
}

function checkHolder({ leastMm, mostMm }: Holder, at: string, add: Add): void {
  if (leastMm !== undefined && mostMm !== undefined && leastMm > mostMm)
    add(`${at}/leastMm`, { code: 'chuck-closes-on-nothing', leastMm, mostMm });
}
