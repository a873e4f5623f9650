import { bitFields, machineFields } from '@nucleon/contract/jobFileSchema';
import type { StoredBit, StoredMachine } from '@nucleon/contract/wire';
import type { Bit, Machine } from '@nucleon/core/job/job';
import { fieldsBeside, present } from '../database/present';
import type { Content } from '../database/putVersioned';
import { KEPT_BY_SERVER } from '../database/wireFields';
import { THE_WORKSHOP_ID } from '../database/workshop';
import type { BitRow } from './bitEntity';
import type { MachineRow } from './machineEntity';

const KNOWN_OF_BIT = [
  ...KEPT_BY_SERVER,
  ...Object.keys({ ...bitFields.required, ...bitFields.optional }),
];
const KNOWN_OF_MACHINE = [
  ...KEPT_BY_SERVER,
  ...Object.keys({ ...machineFields.required, ...machineFields.optional }),
];

export function bitOf(row: BitRow): Bit {
  const {
    id,
    name,
    family,
    diameterMm,
    rimWidthMm,
    coverage,
    usableDepthMm,
    sharpness,
    runOutMm,
    depthCutMm,
    holesCut,
    price,
    maxRpm,
  } = row;
  return {
    ...row.extra,
    ...present({
      id,
      name,
      family,
      diameterMm,
      rimWidthMm,
      coverage,
      usableDepthMm,
      sharpness,
      runOutMm,
      depthCutMm,
      holesCut,
      price,
      maxRpm,
    }),
  };
}

export const storedBit = (row: BitRow): StoredBit => ({
  ...bitOf(row),
  version: row.version,
  updatedAt: row.updatedAt.toISOString(),
});

export function bitContent(body: Omit<Bit, 'id'>): Content<BitRow> {
  return {
    workshopId: THE_WORKSHOP_ID,
    name: body.name,
    family: body.family,
    diameterMm: body.diameterMm,
    rimWidthMm: body.rimWidthMm ?? null,
    coverage: body.coverage ?? null,
    usableDepthMm: body.usableDepthMm ?? null,
    sharpness: body.sharpness ?? null,
    runOutMm: body.runOutMm ?? null,
    depthCutMm: body.depthCutMm ?? null,
    holesCut: body.holesCut ?? null,
    price: body.price ?? null,
    maxRpm: body.maxRpm ?? null,
    extra: fieldsBeside(body, KNOWN_OF_BIT),
  };
}

export function machineOf(row: MachineRow): Machine {
  const { id, name, kind, speeds, stallTorqueNm, power } = row;
  return {
    ...row.extra,
    ...present({ id, name, kind, speeds, stallTorqueNm, power }),
    ...(row.clutch ? { clutchTorqueNm: row.clutch.torqueNm } : {}),
  };
}

export const storedMachine = (row: MachineRow): StoredMachine => ({
  ...machineOf(row),
  version: row.version,
  updatedAt: row.updatedAt.toISOString(),
});

export function machineContent(body: Omit<Machine, 'id'>): Content<MachineRow> {
  return {
    workshopId: THE_WORKSHOP_ID,
    name: body.name,
    kind: body.kind,
    speeds: body.speeds ?? null,
    stallTorqueNm: body.stallTorqueNm ?? null,
    clutch: body.clutchTorqueNm === undefined ? null : { torqueNm: body.clutchTorqueNm },
    power: body.power ?? null,
    extra: fieldsBeside(body, KNOWN_OF_MACHINE),
  };
}
