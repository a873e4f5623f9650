import type { EntityManager, EntitySchema } from 'typeorm';
import type { QueryDeepPartialEntity } from 'typeorm/query-builder/QueryPartialEntity.js';
import { notFound } from '../http/problem';
import type { VersionedRow } from './columns';

/** Marks a row deleted at a time, or brings it back with null. Doing it twice is no fault. */
export async function setDeleted<Row extends VersionedRow>(
  manager: EntityManager,
  entity: EntitySchema<Row>,
  id: string,
  at: Date | null,
): Promise<void> {
  const done = await manager
    .createQueryBuilder()
    .update(entity)
    .set({ deletedAt: at } as unknown as QueryDeepPartialEntity<Row>)
    .where('id = :id', { id })
    .execute();
  if (done.affected === 0) {
    const exists = await manager
      .createQueryBuilder(entity, 'row')
      .where('row.id = :id', { id })
      .getExists();
    if (!exists) throw notFound(entity.options.name, id);
  }
}
