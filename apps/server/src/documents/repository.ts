import { isDeepStrictEqual } from 'node:util';
import { In, type EntityManager, type FindOptionsOrder, type FindOptionsWhere } from 'typeorm';
import type { QueryDeepPartialEntity } from 'typeorm/query-builder/QueryPartialEntity.js';
import { likeId, refuseLikeId } from '../database/likeId';
import { faultyProblem, Problem } from '../http/problem';
import {
  KINDS,
  type DocumentKind,
  type DocumentRow,
  type Documents,
  type StoredRow,
} from './documentKinds';
import { shown } from './shown';

/** So many rows go to or come from the database in one statement. */
const AT_ONCE = 500;

type Where = FindOptionsWhere<StoredRow>;

/** What is kept of a row beside its document’s own columns. */
type Bare<K extends DocumentKind> = Omit<DocumentRow<K>, 'updatedAt' | 'deletedAt' | 'version'>;

export const find = async <K extends DocumentKind>(
  manager: EntityManager,
  kind: K,
  where: Where | Where[],
  order: FindOptionsOrder<StoredRow> = { id: 'ASC' },
): Promise<DocumentRow<K>[]> =>
  (await manager.find(KINDS[kind].entity, { where, order })) as unknown as DocumentRow<K>[];

export const findOne = async <K extends DocumentKind>(
  manager: EntityManager,
  kind: K,
  where: Where,
): Promise<DocumentRow<K> | null> =>
  (await manager.findOneBy(KINDS[kind].entity, where)) as DocumentRow<K> | null;

/** Rows by their ids, however many, the deleted ones too. */
export async function findByIds<K extends DocumentKind>(
  manager: EntityManager,
  kind: K,
  ids: readonly string[],
): Promise<DocumentRow<K>[]> {
  const rows: DocumentRow<K>[] = [];
  for (const some of inBatches(ids))
    rows.push(...(await find(manager, kind, { id: In([...some]) })));
  return rows;
}

/** The row as the database takes it, with the columns its document fills. */
const stored = <K extends DocumentKind>(
  kind: K,
  row: DocumentRow<K>,
): QueryDeepPartialEntity<StoredRow> =>
  ({ ...row, ...KINDS[kind].columns(row.document) }) as QueryDeepPartialEntity<StoredRow>;

/** Things that were not there before, at their first version. */
export async function insertAll<K extends DocumentKind>(
  manager: EntityManager,
  kind: K,
  rows: readonly (Bare<K> & { readonly deletedAt?: Date | null })[],
  now: Date,
): Promise<readonly DocumentRow<K>[]> {
  const fresh = rows.map((row): DocumentRow<K> => ({
    deletedAt: null,
    ...row,
    version: 1,
    updatedAt: now,
  }));
  for (const some of inPackets(fresh))
    await manager.insert(
      KINDS[kind].entity,
      some.map((row) => stored(kind, row)),
    );
  return fresh;
}

/** Writes rows over those of the same ids. Only under a lock on what they belong to. */
async function overwrite<K extends DocumentKind>(
  manager: EntityManager,
  kind: K,
  rows: readonly DocumentRow<K>[],
): Promise<void> {
  for (const some of inPackets(rows))
    await manager.upsert(
      KINDS[kind].entity,
      some.map((row) => stored(kind, row)),
      ['id'],
    );
}

export interface Put<K extends DocumentKind> {
  readonly id: string;
  readonly parentId: string;
  /** The version the sender read; 0 when it believes the thing is new. */
  readonly version: number;
  readonly document: Documents[K];
  /** Its place, where it is new and its like are kept in order. */
  readonly position?: number;
}

export interface Written<K extends DocumentKind> {
  readonly row: DocumentRow<K>;
  readonly changed: boolean;
}

/**
 * Writes documents where nobody else has since they were read, all of them or none. Sending the same again
 * changes nothing and succeeds, so that a phone may resend. Another version with other content is a conflict
 * that carries what the database has; what was deleted is not written to. Call under a lock on what they
 * belong to: two first writes of one id are told apart by the database, and tried again.
 * @param standing the rows of these ids where they have been read already
 */
export async function putAll<K extends DocumentKind>(
  manager: EntityManager,
  kind: K,
  puts: readonly Put<K>[],
  now: Date,
  standing?: readonly DocumentRow<K>[],
): Promise<readonly Written<K>[]> {
  const rows =
    standing ??
    (await findByIds(
      manager,
      kind,
      puts.map(({ id }) => id),
    ));
  const byId = new Map(rows.map((row) => [row.id, row]));
  const written = puts.map((put): Written<K> & { readonly isNew: boolean } => {
    const had = byId.get(put.id) ?? rows.find(({ id }) => looksLike(id, put.id));
    return had ? { ...afterPut(kind, had, put, now), isNew: false } : firstRow(put, now);
  });
  const changed = written.filter((one) => one.changed);
  for (const some of inPackets(changed.filter(({ isNew }) => isNew)))
    await manager.insert(
      KINDS[kind].entity,
      some.map(({ row }) => stored(kind, row)),
    );
  await overwrite(
    manager,
    kind,
    changed.filter(({ isNew }) => !isNew).map(({ row }) => row),
  );
  return written;
}

export async function put<K extends DocumentKind>(
  manager: EntityManager,
  kind: K,
  one: Put<K>,
  now: Date,
  standing?: DocumentRow<K> | null,
): Promise<Written<K>> {
  const known = standing === undefined ? undefined : standing === null ? [] : [standing];
  const [written] = await putAll(manager, kind, [one], now, known);
  if (!written) throw new Error('A put writes one document.');
  return written;
}

function firstRow<K extends DocumentKind>({ version, ...row }: Put<K>, now: Date) {
  if (version > 0) throw new Problem('not-found', `“${row.id}” is gone: it was deleted for good.`);
  const fresh = { ...row, fileId: null, version: 1, updatedAt: now, deletedAt: null };
  return { row: fresh as DocumentRow<K>, changed: true, isNew: true };
}

/** What a put makes of the row that stands. */
function afterPut<K extends DocumentKind>(
  kind: K,
  had: DocumentRow<K>,
  { id, parentId, version, document }: Put<K>,
  now: Date,
): Written<K> {
  refuseLikeId(had.id, id);
  if (had.parentId !== parentId)
    throw faultyProblem([
      {
        pointer: '/id',
        message: `“${id}” belongs to another ${KINDS[kind].within}; make a new id.`,
      },
    ]);
  if (had.deletedAt) throw goneProblem(kind, had);
  if (isDeepStrictEqual(had.document, document)) return { row: had, changed: false };
  if (had.version !== version)
    throw new Problem('conflict', 'This was changed elsewhere after it was opened here.', {
      current: shown(kind, had),
    });
  return { row: { ...had, document, version: version + 1, updatedAt: now }, changed: true };
}

const looksLike = (a: string, b: string): boolean => likeId(a) === likeId(b);

/** What was deleted, with what it was: it is brought back from the bin, never written to. */
export const goneProblem = <K extends DocumentKind>(kind: K, row: DocumentRow<K>): Problem =>
  new Problem(
    'gone',
    `This ${KINDS[kind].called} was deleted; bring it back from the bin first, or save it as a new one.`,
    { current: shown(kind, row) },
  );

/** A statement is at most this long, well under what MariaDB takes in one packet. */
const LONGEST_STATEMENT = 4 * 1024 * 1024;

/** Rows in parts that are neither too many nor too long for one statement. */
export function* inPackets<T>(rows: readonly T[]): Generator<readonly T[]> {
  let some: T[] = [];
  let length = 0;
  for (const row of rows) {
    const own = JSON.stringify(row).length;
    if (some.length === AT_ONCE || (some.length > 0 && length + own > LONGEST_STATEMENT)) {
      yield some;
      [some, length] = [[], 0];
    }
    some.push(row);
    length += own;
  }
  if (some.length > 0) yield some;
}

/** A list in parts no statement chokes on. */
export function* inBatches<T>(all: readonly T[]): Generator<readonly T[]> {
  for (let from = 0; from < all.length; from += AT_ONCE) yield all.slice(from, from + AT_ONCE);
}

/** The next version of rows, whatever they held before and deleted or not: what a run or the demo brings. */
export async function replace<K extends DocumentKind>(
  manager: EntityManager,
  kind: K,
  rows: readonly Omit<DocumentRow<K>, 'updatedAt'>[],
  now: Date,
): Promise<void> {
  await overwrite(
    manager,
    kind,
    rows.map((row) => ({ ...row, version: row.version + 1, updatedAt: now })),
  );
}
