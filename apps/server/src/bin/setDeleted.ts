import { In, IsNull, Not, type EntityManager } from 'typeorm';
import type { QueryDeepPartialEntity } from 'typeorm/query-builder/QueryPartialEntity.js';
import { KINDS, type DocumentKind, type StoredRow } from '../documents/documentKinds';
import { inBatches } from '../documents/repository';

/**
 * Marks rows deleted at a time, or brings them back with null; those that are so already are left as they are.
 * @param own only those of this piece
 * @returns how many were changed
 */
export async function setDeleted(
  manager: EntityManager,
  kind: DocumentKind,
  ids: readonly string[],
  at: Date | null,
  own?: { readonly pieceId: string },
): Promise<number> {
  let changed = 0;
  for (const some of inBatches(ids)) {
    const done = await manager.update(
      KINDS[kind].entity,
      {
        id: In([...some]),
        deletedAt: at === null ? Not(IsNull()) : IsNull(),
        ...(own ? { parentId: own.pieceId } : {}),
      },
      { deletedAt: at } as QueryDeepPartialEntity<StoredRow>,
    );
    changed += done.affected ?? 0;
  }
  return changed;
}
