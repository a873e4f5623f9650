import type { EntityManager, EntitySchema } from 'typeorm';
import { Problem } from '../http/problem';

/** Refuses to write a picture over one that belongs elsewhere. */
export async function refusePictureOfAnother<Row extends { id: string }>(
  manager: EntityManager,
  entity: EntitySchema<Row>,
  id: string,
  owner: Partial<Row>,
): Promise<void> {
  const [key, value] = Object.entries(owner)[0] ?? [];
  const standing = await manager
    .createQueryBuilder(entity, 'picture')
    .select(`picture.${key}`, 'owner')
    .where('picture.id = :id', { id })
    .getRawOne<{ owner: unknown }>();
  if (standing && standing.owner !== value)
    throw new Problem('conflict', 'This picture’s id belongs to another; make a new one.');
}
