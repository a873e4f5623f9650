import type { EntityManager } from 'typeorm';
import { workshopNow } from './workshop';

/*
 * Rows are always locked in this order, so that two writes wait for each other and never both for the other:
 * run, workshop (its kit and habits), pieces, job. Plans need no lock: each names the versions it was made from.
 */

/** One writer at a time on kit and habits. */
export async function lockKit(manager: EntityManager): Promise<void> {
  await manager.query('SELECT id FROM workshop WHERE id = ? FOR UPDATE', [workshopNow()]);
}

/** Whatever was planned with kit and habits as they were is stale from here on. */
export async function noteKitChange(manager: EntityManager): Promise<void> {
  await manager.query('UPDATE workshop SET kit_version = kit_version + 1 WHERE id = ?', [
    workshopNow(),
  ]);
}

/** One writer at a time on a job, its pieces and their holes. */
export async function lockJob(manager: EntityManager, jobId: string): Promise<void> {
  await manager.query('SELECT id FROM piece WHERE job_id = ? ORDER BY id FOR UPDATE', [jobId]);
  await manager.query('SELECT id FROM job WHERE id = ? FOR UPDATE', [jobId]);
}

/** One writer at a time on a piece and its holes. */
export async function lockPiece(manager: EntityManager, pieceId: string): Promise<void> {
  await manager.query('SELECT id FROM piece WHERE id = ? FOR UPDATE', [pieceId]);
}
