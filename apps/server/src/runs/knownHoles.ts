import type { EntityManager } from 'typeorm';
import { workshopNow } from '../database/workshop';

/** Which of these holes are this workshop’s, deleted ones too: they stay rows. */
export async function knownHoles(
  manager: EntityManager,
  ids: readonly string[],
): Promise<ReadonlySet<string>> {
  if (ids.length === 0) return new Set();
  const rows: { id: string }[] = await manager.query(
    `SELECT hole.id FROM hole JOIN piece ON piece.id = hole.piece_id JOIN job ON job.id = piece.job_id
       WHERE job.workshop_id = ? AND hole.id IN (?)`,
    [workshopNow(), [...new Set(ids)]],
  );
  return new Set(rows.map(({ id }) => id));
}
