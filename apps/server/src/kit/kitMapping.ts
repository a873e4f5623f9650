import { bitFields, KIT_PART_FIELDS, machineFields } from '@nucleon/contract/kitSchema';
import type { KitPartSort, Bit, Kit, Machine } from '@nucleon/core/documents/kit';
import type { StoredBit, StoredMachine, Versioned } from '@nucleon/contract/wire';
import type { VersionedRow } from '../database/columns';
import { fieldsBeside, present } from '../database/present';
import type { Content } from '../database/putVersioned';
import { KEPT_BY_SERVER } from '../database/wireFields';
import { THE_WORKSHOP_ID } from '../database/workshop';
import type { BitRow } from './bitEntity';
import type { KitPartRow } from './kitPartEntity';
import { ROOM_FIELDS, type MachineRow } from './machineEntity';

const namesOf = (fields: { required: object; optional: object }): string[] => [
  ...KEPT_BY_SERVER,
  ...Object.keys({ ...fields.required, ...fields.optional }),
];
const KNOWN_OF_BIT = namesOf(bitFields);
const KNOWN_OF_MACHINE = namesOf(machineFields);

const stamp = (row: VersionedRow): Versioned => ({
  version: row.version,
  updatedAt: row.updatedAt.toISOString(),
});

export function bitOf(row: BitRow): Bit {
  const {
    workshopId: _workshop,
    fileId: _file,
    version: _version,
    extra,
    updatedAt: _updated,
    deletedAt: _deleted,
    ...fields
  } = row;
  return { ...extra, ...present(fields) };
}

export const storedBit = (row: BitRow): StoredBit => ({ ...bitOf(row), ...stamp(row) });

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
    supplier: body.supplier ?? null,
    batch: body.batch ?? null,
    state: body.state ?? null,
    slotted: body.slotted ?? null,
    barrelDiameterMm: body.barrelDiameterMm ?? null,
    shank: body.shank ?? null,
    sharpnessLog: body.sharpnessLog ?? null,
    retired: body.retired ?? null,
    extra: fieldsBeside(body, KNOWN_OF_BIT),
  };
}

export function machineOf(row: MachineRow): Machine {
  const { id, name, kind, speeds, stallTorqueNm, power } = row;
  const { holders, waterRated, spindleWater, retired } = row;
  return {
    ...row.extra,
    ...present({ id, name, kind, speeds, stallTorqueNm, power }),
    ...present({ holders, waterRated, spindleWater, retired }),
    ...row.room,
    ...(row.clutch ? { clutchTorqueNm: row.clutch.torqueNm } : {}),
  };
}

export const storedMachine = (row: MachineRow): StoredMachine => ({
  ...machineOf(row),
  ...stamp(row),
});

export function machineContent(body: Omit<Machine, 'id'>): Content<MachineRow> {
  const room = Object.fromEntries(
    ROOM_FIELDS.flatMap((field) => (body[field] === undefined ? [] : [[field, body[field]]])),
  );
  return {
    workshopId: THE_WORKSHOP_ID,
    name: body.name,
    kind: body.kind,
    speeds: body.speeds ?? null,
    stallTorqueNm: body.stallTorqueNm ?? null,
    clutch: body.clutchTorqueNm === undefined ? null : { torqueNm: body.clutchTorqueNm },
    power: body.power ?? null,
    holders: body.holders ?? null,
    room: Object.keys(room).length > 0 ? room : null,
    waterRated: body.waterRated ?? null,
    spindleWater: body.spindleWater ?? null,
    retired: body.retired ?? null,
    extra: fieldsBeside(body, KNOWN_OF_MACHINE),
  };
}

/** Whatever is owned beside bits and machines, as its list in the job file has it. */
export type KitPart = NonNullable<Kit[KitPartSort]>[number];

export const partOf = (row: KitPartRow): KitPart =>
  ({ ...row.extra, ...row.content, id: row.id, name: row.name }) as unknown as KitPart;

export const storedPart = (row: KitPartRow): KitPart & Versioned => ({
  ...partOf(row),
  ...stamp(row),
});

export const partContent =
  (sort: KitPartSort) =>
  (body: Omit<KitPart, 'id'>): Content<KitPartRow> => {
    const { required, optional } = KIT_PART_FIELDS[sort];
    const own = Object.keys({ ...required, ...optional }).filter((field) => field !== 'name');
    return {
      workshopId: THE_WORKSHOP_ID,
      sort,
      name: body.name,
      content: Object.fromEntries(Object.entries(body).filter(([field]) => own.includes(field))),
      extra: fieldsBeside(body, namesOf(KIT_PART_FIELDS[sort])),
    };
  };

/** The parts of one sort, in the order of the rows. */
export const partsOf = (rows: readonly KitPartRow[]): Pick<Kit, KitPartSort> => {
  const of = (sort: KitPartSort) => rows.filter((row) => row.sort === sort).map(partOf);
  return {
    couplings: of('couplings'),
    supports: of('supports'),
    guides: of('guides'),
    water: of('water'),
  } as Pick<Kit, KitPartSort>;
};
