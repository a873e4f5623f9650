import type { EntityManager } from 'typeorm';
import { workshopNow } from './workshop';

/*
 * Rows are always locked in this order, so that two writes wait for each other and never both for the other:
 * run, workshop (its kit and habits), pieces, job. Plans need no lock: each names the versions it was made from.
 *
 * A cluster of databases knows no locks across its nodes: of two transactions that wrote the same row, the later to commit
 * is undone (certification), and transact() does it again. So whoever locks writes the row too: run, piece and job where
 * what they hold is changed, the workshop here, since people are rows of their own.
 */

/** One writer at a time on kit, habits and people, on another node of a cluster too. */
export async function lockKit(manager: EntityManager): Promise<void> {
  await manager.query('UPDATE workshop SET locks = locks + 1 WHERE id = ?', [workshopNow()]);
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
