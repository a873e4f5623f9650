import type { EntityManager, EntitySchema, ObjectLiteral } from 'typeorm';

/** A row's standing place in its list, or the next free one for a new row. */
export async function nextPosition<Row extends { id: string; position: number }>(
  manager: EntityManager,
  entity: EntitySchema<Row>,
  id: string,
  parent: ObjectLiteral,
): Promise<number> {
  const builder = manager.createQueryBuilder(entity, 'row');
  const standing = await builder.clone().where('row.id = :id', { id }).getOne();
  if (standing) return standing.position;
  const last: { most: number | null } | undefined = await builder
    .select('MAX(row.position)', 'most')
    .where(parent)
    .getRawOne();
  return (last?.most ?? 0) + 1;
}
