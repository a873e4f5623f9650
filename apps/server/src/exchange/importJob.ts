import { isDeepStrictEqual } from 'node:util';
import type { Bit, Machine } from '@nucleon/core/documents/kit';
import type { Hole } from '@nucleon/core/documents/hole';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import type { Piece } from '@nucleon/core/documents/piece';
import type { Setup } from '@nucleon/core/documents/setup';
import { KIT_PART_SORTS, type KitPartSort } from '@nucleon/core/documents/kit';
import { validate as isUuid } from 'uuid';
import { In, IsNull, type EntitySchema } from 'typeorm';
import type { QueryDeepPartialEntity } from 'typeorm/query-builder/QueryPartialEntity.js';
import type { VersionedRow } from '../database/columns';
import { likeId } from '../database/likeId';
import { lockKit } from '../database/locks';
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
import { importLog, keptLog, type SkippedRun } from './importLog';
import type { ImportTools } from './importTools';

const FILE_KEYS = ['format', 'version', 'job', 'pieces', 'customMaterials', 'log', 'bin'];

/** What became of a file. */
export interface Imported {
  readonly jobId: string;
  /** Ids the file's own job, pieces and holes have got here. */
  readonly ids: Ids;
  /** Runs and entries of its log that were not taken, and why. */
  readonly skipped: readonly SkippedRun[];
}

/**
 * Stores a checked job file: a new job each time, keeping the file's own ids where they are free.
 * Bits and machines already owned alike are used again. One transaction: all of it or nothing.
 * @param jobId the new job's id, where the sender has made one so that it may send again
 */
export async function importJob(
  file: JobFile,
  tools: ImportTools,
  jobId?: string,
): Promise<Imported> {
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

  const content = jobContent(file.job, {
    customMaterials: file.customMaterials ? [...file.customMaterials] : null,
    fileExtra: {
      ...fieldsBeside(file, [...FILE_KEYS, 'kit']),
      ...keptLog(file.log),
      kit: { ...kitExtra, ...unnamed },
    },
  });
  const id = await insert(tools, jobEntity, file.job.id, content, { as: jobId });
  const ids = new Map([[file.job.id, id]]);
  const addHole = async (
    hole: Hole,
    pieceId: string,
    place: number,
    gone = false,
  ): Promise<void> => {
    const row = holeContent(withKitIds(hole, bitIds, machineIds), pieceId, place);
    ids.set(hole.id, await insert(tools, holeEntity, hole.id, row, { gone }));
  };
  const addPiece = async (piece: Piece, place: number, gone = false): Promise<void> => {
    const row = pieceContent(piece, id, place);
    const pieceId = await insert(tools, pieceEntity, piece.id, row, { gone });
    ids.set(piece.id, pieceId);
    for (const [at, hole] of piece.holes.entries()) await addHole(hole, pieceId, at + 1);
  };
  for (const [at, piece] of file.pieces.entries()) await addPiece(piece, at + 1);
  const bin = (file as BinnedJob).bin ?? {};
  for (const [at, piece] of (bin.pieces ?? []).entries())
    await addPiece(piece, file.pieces.length + at + 1, true);
  for (const { pieceId, ...hole } of bin.holes ?? []) {
    const owner = file.pieces.find((piece) => piece.id === pieceId);
    const ownerId = ids.get(pieceId);
    if (owner && ownerId) await addHole(hole, ownerId, owner.holes.length + 1, true);
  }
  const skipped = await importLog(file.log, {
    ...tools,
    renamed: (one) => ids.get(one) ?? bitIds.get(one) ?? one,
  });
  // Last, so that nobody waits for a long log: the kit stays as it is while plans are made from it.
  await lockKit(manager, 'read');
  const loaded = await loadJob(manager, id);
  // What no longer fitted when it was saved is marked in the file, and stays so.
  await storePlans(manager, loaded, tools.now, isMarked(file) ? loaded : undefined);
  return { jobId: id, ids, skipped };
}

/** The file's deleted pieces and holes: deleted they come in. */
type BinnedJob = JobFile & {
  readonly bin?: {
    readonly pieces?: readonly Piece[];
    readonly holes?: readonly (Hole & { readonly pieceId: string })[];
  };
};

const isMarked = ({ pieces }: JobFile): boolean =>
  pieces.some((piece) => [piece, ...piece.holes].some((thing) => 'faults' in thing));

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
  { as, gone = false }: { readonly as?: string | undefined; readonly gone?: boolean } = {},
): Promise<string> {
  const repository = tools.manager.getRepository<VersionedRow>(entity.options.name);
  const isFree = async (): Promise<boolean> =>
    isUuid(fileId) &&
    fileId === likeId(fileId) &&
    (await repository.countBy({ id: In([fileId]) })) === 0;
  const id = as ?? ((await isFree()) ? fileId : tools.newId());
  const row = {
    ...content,
    id,
    fileId: id === fileId ? null : fileId,
    version: 1,
    updatedAt: tools.now,
    deletedAt: gone ? tools.now : null,
  };
  await repository.insert(row as QueryDeepPartialEntity<VersionedRow>);
  return id;
}
