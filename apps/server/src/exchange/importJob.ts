import { isDeepStrictEqual } from 'node:util';
import type { KitDifference } from '@nucleon/contract/wire';
import type { Hole } from '@nucleon/core/documents/hole';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import { KIT_PART_SORTS, type KitPart, type KitPartSort } from '@nucleon/core/documents/kit';
import type { PieceWithHoles } from '@nucleon/core/documents/piece';
import { renameKit } from '@nucleon/core/setup/namedKit';
import { IsNull } from 'typeorm';
import { validate as isUuid } from 'uuid';
import { likeId } from '../database/likeId';
import { lockKit, noteKitChange } from '../database/locks';
import { workshopNow } from '../database/workshop';
import type { DocumentKind, DocumentRow, Documents, JobDocument } from '../documents/documentKinds';
import { find, findByIds, insertAll } from '../documents/repository';
import { documentOf, headerOf, SHOWN, withId } from '../documents/shown';
import { importLog, keptLog, type SkippedRun } from './importLog';
import type { ImportTools } from './importTools';

/** What became of a file. */
export interface Imported {
  readonly jobId: string;
  /** Ids the file's own job, pieces and holes have got here. */
  readonly ids: Ids;
  /** Runs and entries of its log that were not taken, and why. */
  readonly skipped: readonly SkippedRun[];
  readonly differs: readonly KitDifference[];
}

type Ids = ReadonlyMap<string, string>;

/**
 * Stores a checked job file: a new job each time, keeping the file's own ids where they are free.
 * Bits and machines already owned alike are used again. One transaction: all of it or nothing. Its holes are
 * planned when they are read.
 * @param jobId the new job's id, where the sender has made one so that it may send again
 */
export async function importJob(
  file: JobFile,
  tools: ImportTools,
  jobId?: string,
): Promise<Imported> {
  const { ids: kitIds, differs } = await importKit(file.kit ?? {}, tools);
  const id = await importHeader(file, tools, jobId);
  const pieceIds = await importPieces(file, tools, id);
  const holeIds = await importHoles(file, tools, pieceIds, kitIds);
  const ids = new Map([[file.job.id, id], ...pieceIds, ...holeIds]);
  const skipped = await importLog(file.log, {
    ...tools,
    renamed: (one) => ids.get(one) ?? kitIds.get(one) ?? one,
  });
  return { jobId: id, ids, skipped, differs };
}

type KitInFile = NonNullable<JobFile['kit']>;

async function importKit(kit: KitInFile, tools: ImportTools): Promise<ImportedKit> {
  const { manager } = tools;
  await lockKit(manager);
  const bits = await importAlike(tools, 'bit', kit.bits ?? []);
  const machines = await importAlike(tools, 'machine', kit.machines ?? []);
  let isNew = bits.isNew || machines.isNew;
  for (const sort of KIT_PART_SORTS) {
    const whole = (kit[sort] ?? []).filter(isWhole);
    const owned = await find(manager, sort, { parentId: workshopNow(), sort, deletedAt: IsNull() });
    // No hole names these by id: one that is owned alike already is not stored again.
    const fresh = whole.filter(
      (part) => !owned.some(({ document }) => isDeepStrictEqual(document, documentOf(sort, part))),
    );
    await insertNew(tools, sort, fresh, () => ({ parentId: workshopNow() }));
    isNew ||= fresh.length > 0;
  }
  if (isNew) await noteKitChange(manager);
  return {
    ids: new Map([...bits.ids, ...machines.ids]),
    differs: [...bits.differs, ...machines.differs],
  };
}

/** Kit of a file by the ids it has here, and what the file knows otherwise of it. */
interface ImportedKit {
  readonly ids: Ids;
  readonly differs: readonly KitDifference[];
}

/** The same thing, however worn, and whatever it is called by now: its id, and what cannot be changed of it. */
const isSame = <K extends 'bit' | 'machine'>(
  row: DocumentRow<K>,
  item: Documents[K] & { readonly id: string },
): boolean =>
  (row.fileId ?? row.id) === item.id &&
  ['family', 'diameterMm', 'kind'].every((field) =>
    isDeepStrictEqual(row.document[field as never], item[field as never]),
  );

/** Kit that is owned already is used again, as it is here: a job opened twice wears no bit twice. */
async function importAlike<K extends 'bit' | 'machine'>(
  tools: ImportTools,
  kind: K,
  items: readonly (Documents[K] & { readonly id: string })[],
): Promise<ImportedKit & { readonly isNew: boolean }> {
  const owned = await find(tools.manager, kind, {
    parentId: workshopNow(),
    deletedAt: IsNull(),
  });
  const same = new Map(items.map((item) => [item.id, owned.find((row) => isSame(row, item))]));
  const fresh = items.filter(({ id }) => same.get(id) === undefined);
  const made = await insertNew(tools, kind, fresh, () => ({ parentId: workshopNow() }));
  return {
    ids: new Map(items.map(({ id }) => [id, same.get(id)?.id ?? made.get(id) ?? id])),
    differs: items.flatMap((item) => {
      const row = same.get(item.id);
      return row && !isDeepStrictEqual({ ...withId(row), id: item.id }, item)
        ? [
            {
              kind,
              name: item.name,
              here: SHOWN[kind](row as never) as never,
              inFile: item as never,
            },
          ]
        : [];
    }),
    isNew: fresh.length > 0,
  };
}

/** Early files had supports and guides in any shape; those go through unread. */
const isWhole = (part: Partial<KitPart>): boolean =>
  [part.id, part.name, part.kind].every((field) => typeof field === 'string');

async function importHeader(
  {
    format: _format,
    version: _version,
    job,
    pieces: _pieces,
    bin: _bin,
    kit,
    log,
    ...rest
  }: JobFile,
  tools: ImportTools,
  jobId: string | undefined,
): Promise<string> {
  const {
    bits: _bits,
    machines: _machines,
    couplings,
    supports,
    guides,
    water,
    ...beside
  } = kit ?? {};
  const lists: Record<KitPartSort, readonly KitPart[] | undefined> = {
    couplings,
    supports,
    guides,
    water,
  };
  const unnamed = KIT_PART_SORTS.flatMap((sort) => {
    const odd = lists[sort]?.filter((part) => !isWhole(part)) ?? [];
    return odd.length > 0 ? [[sort, odd] as const] : [];
  });
  const document: JobDocument = {
    ...rest,
    ...keptLog(log),
    job: headerOf(job),
    kit: { ...beside, ...Object.fromEntries(unnamed) },
  };
  const id = jobId ?? (await freeIds(tools, 'job', [job.id])).get(job.id) ?? job.id;
  const fileId = id === job.id ? null : job.id;
  const row = { id, fileId, parentId: workshopNow(), document };
  await insertAll(tools.manager, 'job', [row], tools.now);
  return id;
}

/** Pieces as they stand in the file, then those of its bin, which come in deleted. */
async function importPieces(file: JobFile, tools: ImportTools, jobId: string): Promise<Ids> {
  const gone = new Set(file.bin?.pieces);
  const all: readonly PieceWithHoles[] = [...file.pieces, ...gone];
  return insertNew(tools, 'piece', all, (piece, place) => ({
    parentId: jobId,
    position: place + 1,
    deletedAt: gone.has(piece) ? tools.now : null,
  }));
}

async function importHoles(
  file: JobFile,
  tools: ImportTools,
  pieceIds: Ids,
  kitIds: Ids,
): Promise<Ids> {
  const kitId = (id: string): string => kitIds.get(id) ?? id;
  const withKit = (hole: Hole): Hole => renameKit(hole, kitId, kitId);
  const standing = [...file.pieces, ...(file.bin?.pieces ?? [])].flatMap(({ id, holes }) =>
    holes.map((hole, place) => ({ ...withKit(hole), pieceId: id, place, isGone: false })),
  );
  const gone = (file.bin?.holes ?? [])
    .filter(({ pieceId }) => file.pieces.some(({ id }) => id === pieceId))
    .map((hole) => ({ ...withKit(hole), pieceId: hole.pieceId, place: 10_000, isGone: true }));
  const owners = new Map([...standing, ...gone].map((one) => [one.id, one]));
  const holes = [...standing, ...gone].map(
    ({ pieceId: _piece, place: _place, isGone: _isGone, ...hole }) => hole,
  );
  return insertNew(tools, 'hole', holes, ({ id }) => {
    const { pieceId = '', place = 0, isGone = false } = owners.get(id) ?? {};
    return {
      parentId: pieceIds.get(pieceId) ?? pieceId,
      position: place + 1,
      deletedAt: isGone ? tools.now : null,
    };
  });
}

interface Place {
  readonly parentId: string;
  readonly position?: number;
  readonly deletedAt?: Date | null;
}

/** Stores a file’s things under their own ids, or new ones where those are taken; @returns them by the old. */
async function insertNew<T extends { readonly id: string }>(
  tools: ImportTools,
  kind: Exclude<DocumentKind, 'job'>,
  things: readonly T[],
  placeOf: (thing: T, place: number) => Place,
): Promise<Ids> {
  const ids = await freeIds(
    tools,
    kind,
    things.map(({ id }) => id),
  );
  const rows = things.map((thing, place) => {
    const id = ids.get(thing.id) ?? thing.id;
    return {
      ...placeOf(thing, place),
      id,
      fileId: id === thing.id ? null : thing.id,
      document: documentOf(kind, thing),
    };
  });
  await insertAll(tools.manager, kind, rows, tools.now);
  return ids;
}

/** An id of a file is kept where it is a UUID that nothing of its kind has here; else it gets a new one. */
async function freeIds(
  { manager, newId }: ImportTools,
  kind: DocumentKind,
  ids: readonly string[],
): Promise<Ids> {
  const wanted = ids.filter((id) => isUuid(id) && id === likeId(id));
  const taken = new Set((await findByIds(manager, kind, wanted)).map(({ id }) => id));
  const free = new Set(wanted.filter((id) => !taken.has(id)));
  return new Map(ids.map((id) => [id, free.has(id) ? id : newId()]));
}
