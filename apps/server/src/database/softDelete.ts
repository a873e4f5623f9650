import type { Router } from 'express';
import type { EntityManager, EntitySchema } from 'typeorm';
import type { QueryDeepPartialEntity } from 'typeorm/query-builder/QueryPartialEntity.js';
import { idParam } from '../http/body';
import { notFound } from '../http/problem';
import type { ServerContext } from '../serverContext';
import type { VersionedRow } from './columns';
import { transact } from './transact';

/** Marks a row deleted at a time, or brings it back with null. Doing it twice is no fault. */
async function setDeleted<Row extends VersionedRow>(
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

/**
 * Adds `DELETE path/ID` and `POST path/ID/restore`. What comes back may no longer fit what stands now: it comes
 * back all the same, and is read with what is wrong with it.
 * @param prepare locks what it stands in and forgets the plans that lean on it
 */
export function addBin<Row extends VersionedRow>(
  router: Router,
  { source, now }: ServerContext,
  path: string,
  entity: EntitySchema<Row>,
  prepare: (manager: EntityManager, id: string) => Promise<void>,
): void {
  const set = async (id: string, at: Date | null): Promise<void> =>
    transact(source, async (manager) => {
      await prepare(manager, id);
      await setDeleted(manager, entity, id, at);
    });
  router.delete(`${path}/:id`, async (request, response) => {
    await set(idParam(request, 'id'), now());
    response.status(204).end();
  });
  router.post(`${path}/:id/restore`, async (request, response) => {
    await set(idParam(request, 'id'), null);
    response.status(204).end();
  });
}
