import { isDeepStrictEqual } from 'node:util';
import type { Bit, Hole, JobFile, Machine, Setup } from '@nucleon/core/job/job';
import { KIT_PART_SORTS, type KitPartSort } from '@nucleon/contract/kitSchema';
import { validate as isUuid } from 'uuid';
import { In, IsNull, type EntitySchema } from 'typeorm';
import type { QueryDeepPartialEntity } from 'typeorm/query-builder/QueryPartialEntity.js';
import type { VersionedRow } from '../database/columns';
import { fieldsBeside } from '../database/present';
import type { Content } from '../database/putVersioned';
import { holeEntity } from '../holes/holeEntity';
import { holeContent } from '../holes/holeMapping';
import { jobEntity } from '../jobs/jobEntity';
import { jobContent } from '../jobs/jobMapping';
import { bitEntity, type BitRow } from '../kit/bitEntity';
import {
  bitContent,
  bitOf,
  machineContent,
  machineOf,
  partContent,
  partOf,
  type KitPart,
} from '../kit/kitMapping';
import { kitPartEntity } from '../kit/kitPartEntity';
import { machineEntity, type MachineRow } from '../kit/machineEntity';
import { pieceEntity } from '../pieces/pieceEntity';
import { pieceContent } from '../pieces/pieceMapping';
import { loadJob } from '../plans/loadJob';
import { storePlans } from '../plans/storePlans';
import { importLog, keptLog } from './importLog';
import type { ImportTools } from './importTools';

const FILE_KEYS = ['format', 'version', 'job', 'pieces', 'customMaterials', 'log'];

/**
 * Stores a checked job file: a new job each time, keeping the file's own ids where they are free.
 * Bits and machines already owned alike are used again. One transaction: all of it or nothing.
 * @returns the new job's id
 */
export async function importJob(file: JobFile, tools: ImportTools): Promise<string> {
  const { manager } = tools;
  const {
    bits = [],
    machines = [],
    couplings,
    supports,
    guides,
    water,
    ...kitExtra
  } = file.kit ?? {};
  const bitIds = await importKit(tools, bitEntity, bits, bitContent, (row: BitRow): Bit =>
    bitOf(row),
  );
  const machineIds = await importKit(
    tools,
    machineEntity,
    machines,
    machineContent,
    (row: MachineRow): Machine => machineOf(row),
  );

  const lists = { couplings, supports, guides, water };
  for (const sort of KIT_PART_SORTS)
    await importParts(tools, sort, lists[sort]?.filter(isWhole) ?? []);
  const unnamed = Object.fromEntries(
    KIT_PART_SORTS.flatMap((sort) => {
      const odd = lists[sort]?.filter((part) => !isWhole(part)) ?? [];
      return odd.length > 0 ? [[sort, odd]] : [];
    }),
  );

  const jobId = await insert(tools, jobEntity, file.job.id, {
    ...jobContent(file.job, {
      customMaterials: file.customMaterials ? [...file.customMaterials] : null,
      fileExtra: {
        ...fieldsBeside(file, [...FILE_KEYS, 'kit']),
        ...keptLog(file.log),
        kit: { ...kitExtra, ...unnamed },
      },
    }),
  });
  const ids = new Map([[file.job.id, jobId]]);
  for (const [index, piece] of file.pieces.entries()) {
    const pieceId = await insert(
      tools,
      pieceEntity,
      piece.id,
      pieceContent(piece, jobId, index + 1),
    );
    ids.set(piece.id, pieceId);
    for (const [at, hole] of piece.holes.entries()) {
      const holeId = await insert(
        tools,
        holeEntity,
        hole.id,
        holeContent(withKitIds(hole, bitIds, machineIds), pieceId, at + 1),
      );
      ids.set(hole.id, holeId);
    }
  }
  await storePlans(manager, await loadJob(manager, jobId), tools.now);
  await importLog(file.log, { ...tools, renamed: (id) => ids.get(id) ?? bitIds.get(id) ?? id });
  return jobId;
}

type Ids = ReadonlyMap<string, string>;

function withKitIds(hole: Hole, bits: Ids, machines: Ids): Hole {
  return hole.setup
    ? {
        ...hole,
        setup: renameKit(
          hole.setup,
          (id) => bits.get(id) ?? id,
          (id) => machines.get(id) ?? id,
        ),
      }
    : hole;
}

/** The setup with its bits and machine called by other ids. */
export function renameKit(
  setup: Setup,
  bitId: (id: string) => string,
  machineId: (id: string) => string,
): Setup {
  return {
    ...setup,
    ...(setup.bit === undefined ? {} : { bit: bitId(setup.bit) }),
    ...(setup.bits === undefined ? {} : { bits: setup.bits.map(bitId) }),
    ...(setup.machine === undefined ? {} : { machine: machineId(setup.machine) }),
  };
}

async function importKit<Row extends VersionedRow, Item extends { id: string }>(
  tools: ImportTools,
  entity: EntitySchema<Row>,
  items: readonly Item[],
  content: (item: Item) => Content<Row>,
  shown: (row: Row) => Item,
): Promise<Ids> {
  const ids = new Map<string, string>();
  const owned = await tools.manager
    .createQueryBuilder(entity, 'row')
    .where('row.deletedAt IS NULL')
    .getMany();
  for (const item of items) {
    const same = owned.find(
      (row) =>
        (row.fileId ?? row.id) === item.id &&
        isDeepStrictEqual({ ...shown(row), id: item.id }, item),
    );
    ids.set(item.id, same?.id ?? (await insert(tools, entity, item.id, content(item))));
  }
  return ids;
}

/** Early files had supports and guides in any shape; those go through unread. */
const isWhole = (part: Partial<KitPart>): boolean =>
  [part.id, part.name, part.kind].every((field) => typeof field === 'string');

/** No hole names these by id: one that is owned alike already is not stored again. */
async function importParts(
  tools: ImportTools,
  sort: KitPartSort,
  parts: readonly KitPart[],
): Promise<void> {
  const owned = await tools.manager.find(kitPartEntity, { where: { sort, deletedAt: IsNull() } });
  for (const part of parts) {
    const same = owned.some((row) =>
      isDeepStrictEqual({ ...partOf(row), id: part.id }, { ...part, id: part.id }),
    );
    if (!same) await insert(tools, kitPartEntity, part.id, partContent(sort)(part));
  }
}

async function insert<Row extends VersionedRow>(
  tools: ImportTools,
  entity: EntitySchema<Row>,
  fileId: string,
  content: Content<Row>,
): Promise<string> {
  const repository = tools.manager.getRepository<VersionedRow>(entity.options.name);
  const keeps = isUuid(fileId) && (await repository.countBy({ id: In([fileId]) })) === 0;
  const id = keeps ? fileId : tools.newId();
  const row = {
    ...content,
    id,
    fileId: keeps ? null : fileId,
    version: 1,
    updatedAt: tools.now,
    deletedAt: null,
  };
  await repository.insert(row as QueryDeepPartialEntity<VersionedRow>);
  return id;
}
