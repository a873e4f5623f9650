import { connectionInLine, CONNECTIONS } from '../data/couplings/connections';
import type { Holder, Shank } from '../data/couplings/shank';
import { formatDecimals } from '../words/units/roundNumber';
import type { Bit, Coupling, Kit, Machine } from '../documents/kit';

/** Where a fault lies, as a JSON pointer, and what is wrong. */
export type Add = (pointer: string, message: string) => void;

export const mm = (value: number): string => `${formatDecimals(value, 2)} mm`;

/** Each of these needs an id of its own. */
export function checkIds(
  items: readonly { id: string }[],
  at: string,
  kind: string,
  add: Add,
): void {
  const seen = new Set<string>();
  items.forEach((item, index) => {
    if (seen.has(item.id))
      add(
        `${at}/${index}/id`,
        `Two ${kind}s are called “${item.id}”; each needs an id of its own.`,
      );
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
  if (bit.rimWidthMm !== undefined && bit.rimWidthMm > bit.diameterMm / 2) {
    add(
      `${at}/rimWidthMm`,
      `A rim ${mm(bit.rimWidthMm)} wide does not fit a bit of ${mm(bit.diameterMm)}: at most half the diameter, ${mm(bit.diameterMm / 2)}.`,
    );
  }
  if (bit.barrelDiameterMm !== undefined && bit.barrelDiameterMm > bit.diameterMm) {
    add(
      `${at}/barrelDiameterMm`,
      `A barrel of ${mm(bit.barrelDiameterMm)} is wider than its rim of ${mm(bit.diameterMm)} and would jam; at most as wide.`,
    );
  }
  if (bit.shank) checkShank(bit.shank, `${at}/shank`, add);
}

function checkMachine(machine: Machine, at: string, add: Add): void {
  const { speeds, leverArmMm, pinionRadiusMm } = machine;
  if (speeds?.kind === 'range' && speeds.minRpm > speeds.maxRpm)
    add(`${at}/speeds`, `minRpm ${speeds.minRpm} is above maxRpm ${speeds.maxRpm}.`);
  if (leverArmMm !== undefined && pinionRadiusMm !== undefined && pinionRadiusMm > leverArmMm)
    add(
      `${at}/pinionRadiusMm`,
      `A pinion of ${mm(pinionRadiusMm)} on a lever of ${mm(leverArmMm)} would make it harder to press; the lever is the longer one.`,
    );
  machine.holders?.forEach((holder, index) => {
    checkHolder(holder, `${at}/holders/${index}`, add);
  });
}

function checkCoupling(coupling: Coupling, at: string, add: Add): void {
  checkShank(coupling.into, `${at}/into`, add);
  checkHolder(coupling.takes, `${at}/takes`, add);
  if (coupling.kind === 'extension' && !coupling.lengthMm)
    add(`${at}/lengthMm`, `Extension “${coupling.name}” needs its length in mm.`);
}

function checkShank({ kind, sizeMm }: Shank, at: string, add: Add): void {
  if (!CONNECTIONS[kind].sized && sizeMm !== undefined)
    add(
      `${at}/sizeMm`,
      `A ${connectionInLine(kind)} has its size in its name; leave out ${mm(sizeMm)}.`,
    );
}

function checkHolder({ leastMm, mostMm }: Holder, at: string, add: Add): void {
  if (leastMm !== undefined && mostMm !== undefined && leastMm > mostMm)
    add(`${at}/leastMm`, `A chuck from ${mm(leastMm)} to ${mm(mostMm)} closes on nothing.`);
}
