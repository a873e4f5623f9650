import type { EntityManager, EntitySchema, ObjectLiteral } from 'typeorm';

/** A row's standing place in its list, or for a new row the next free one: at the end, or before all. */
export async function nextPosition<Row extends { id: string; position: number }>(
  manager: EntityManager,
  entity: EntitySchema<Row>,
  id: string,
  parent: ObjectLiteral,
  where: 'end' | 'front' = 'end',
): Promise<number> {
  const builder = manager.createQueryBuilder(entity, 'row');
  const standing = await builder.clone().where('row.id = :id', { id }).getOne();
  if (standing) return standing.position;
  const ends: { least: number | null; most: number | null } | undefined = await builder
    .select('MIN(row.position)', 'least')
    .addSelect('MAX(row.position)', 'most')
    .where(parent)
    .getRawOne();
  return where === 'end' ? (ends?.most ?? 0) + 1 : (ends?.least ?? 1) - 1;
}
