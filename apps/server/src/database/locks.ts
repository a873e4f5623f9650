import type { EntityManager } from 'typeorm';
import { THE_WORKSHOP_ID } from './workshop';

/*
 * Rows are always locked in this order, so that two writes wait for each other and never both for the other:
 * run, workshop (its kit and habits), pieces, job.
 */

/** Keeps kit and habits as they are while a plan is made from them; writers of theirs wait, and take `write`. */
export async function lockKit(manager: EntityManager, how: 'read' | 'write'): Promise<void> {
  const mode = how === 'read' ? 'LOCK IN SHARE MODE' : 'FOR UPDATE';
  await manager.query(`SELECT id FROM workshop WHERE id = ? ${mode}`, [THE_WORKSHOP_ID]);
}

/** One writer at a time on a piece and its holes: what is planned is what is stored. */
export async function lockPiece(manager: EntityManager, pieceId: string): Promise<void> {
  await lockKit(manager, 'read');
  await manager.query('SELECT id FROM piece WHERE id = ? FOR UPDATE', [pieceId]);
}

/** The same for a job and all its pieces. */
export async function lockJob(manager: EntityManager, jobId: string): Promise<void> {
  await lockKit(manager, 'read');
  await manager.query('SELECT id FROM piece WHERE job_id = ? ORDER BY id FOR UPDATE', [jobId]);
  await manager.query('SELECT id FROM job WHERE id = ? FOR UPDATE', [jobId]);
}
