import { isDeepStrictEqual } from 'node:util';
import type { EntityManager, EntitySchema } from 'typeorm';
import type { QueryDeepPartialEntity } from 'typeorm/query-builder/QueryPartialEntity.js';
import { faultyProblem, Problem } from '../http/problem';
import type { VersionedRow } from './columns';
import { isDuplicateKey } from './databaseErrors';
import { refuseLikeId } from './likeId';

/** A row's own content, without the columns that keep its history. */
export type Content<Row extends VersionedRow> = Omit<
  Row,
  'id' | 'fileId' | 'version' | 'updatedAt' | 'deletedAt'
>;

export interface PutRequest<Row extends VersionedRow> {
  readonly id: string;
  /** The version the sender read; 0 when it believes the thing is new. */
  readonly version: number;
  readonly content: Content<Row>;
  readonly now: Date;
  /** What it belongs to, which a put never changes. */
  readonly within?: { readonly key: keyof Content<Row> & string; readonly name: string };
}

/**
 * Writes a row if nobody else has since it was read.
 *
 * Sending the same content again changes nothing and succeeds, so that a phone may resend. A newer
 * version with other content is a conflict that carries what the database has now.
 */
export async function putVersioned<Row extends VersionedRow>(
  manager: EntityManager,
  entity: EntitySchema<Row>,
  request: PutRequest<Row>,
  show: (row: Row) => unknown,
): Promise<{ readonly row: Row; readonly changed: boolean }> {
  const { id, version, content, now } = request;
  const repository = manager.getRepository(entity);
  const read = (): Promise<Row | null> =>
    manager.createQueryBuilder(entity, 'row').where('row.id = :id', { id }).getOne();
  const existing = await read();

  if (!existing) {
    if (version > 0) throw new Problem('not-found', `“${id}” is gone: it was deleted for good.`);
    const row = newRow<Row>(request);
    try {
      await repository.insert(row as QueryDeepPartialEntity<Row>);
    } catch (error) {
      if (isDuplicateKey(error)) return alreadyWritten(await read(), request, show);
      throw error;
    }
    return { row, changed: true };
  }
  refuseLikeId(existing.id, id);
  refuseElsewhere(existing, request);
  if (sameContent(existing, content)) return { row: existing, changed: false };
  if (existing.version !== version) throw conflict(existing, show);

  const updated = await manager
    .createQueryBuilder()
    .update(entity)
    .set({
      ...content,
      version: version + 1,
      updatedAt: now,
    } as unknown as QueryDeepPartialEntity<Row>)
    .where('id = :id AND version = :version', { id, version })
    .execute();
  if (updated.affected !== 1) return alreadyWritten(await read(), request, show);
  return { row: { ...existing, ...content, version: version + 1, updatedAt: now }, changed: true };
}

/** A thing that was not there before, at its first version. */
export const newRow = <Row extends VersionedRow>({ id, content, now }: PutRequest<Row>): Row =>
  ({
    ...content,
    id,
    fileId: null,
    version: 1,
    updatedAt: now,
    deletedAt: null,
  }) as unknown as Row;

/** Someone was first: with the very same, which is one change, or with another. */
function alreadyWritten<Row extends VersionedRow>(
  current: Row | null,
  { id, content }: PutRequest<Row>,
  show: (row: Row) => unknown,
): { readonly row: Row; readonly changed: false } {
  if (current) refuseLikeId(current.id, id);
  if (current && sameContent(current, content)) return { row: current, changed: false };
  throw conflict(current, show);
}

/** A thing is not moved under another parent by a put: it is the other's. */
function refuseElsewhere<Row extends VersionedRow>(
  existing: Row,
  { id, content, within }: PutRequest<Row>,
): void {
  if (!within || (existing as Record<string, unknown>)[within.key] === content[within.key]) return;
  throw faultyProblem([
    { pointer: '/id', message: `“${id}” belongs to another ${within.name}; make a new id.` },
  ]);
}

function conflict<Row extends VersionedRow>(
  current: Row | null,
  show: (row: Row) => unknown,
): Problem {
  return new Problem('conflict', 'This was changed elsewhere after it was opened here.', {
    current: current ? show(current) : null,
  });
}

function sameContent<Row extends VersionedRow>(row: Row, content: Content<Row>): boolean {
  const known = row as unknown as Record<string, unknown>;
  return (
    row.deletedAt === null &&
    Object.entries(content).every(([key, value]) => isDeepStrictEqual(known[key], value))
  );
}
