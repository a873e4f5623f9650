import type { EntityManager } from 'typeorm';
import { KINDS, type DocumentRow } from '../documents/documentKinds';
import { goneProblem } from '../documents/repository';
import { notFound } from '../http/problem';

/** Brings a job to the top of the list; its own version stands, since its own fields do. */
export async function touchJob(manager: EntityManager, jobId: string, now: Date): Promise<void> {
  await manager.query('UPDATE job SET updated_at = ? WHERE id = ?', [now, jobId]);
}

/** The job, which nobody else writes to until this is done. */
export async function lockedJob(manager: EntityManager, id: string): Promise<DocumentRow<'job'>> {
  const row = (await manager
    .createQueryBuilder(KINDS.job.entity, 'job')
    .where('job.id = :id', { id })
    .setLock('pessimistic_write')
    .getOne()) as DocumentRow<'job'> | null;
  if (!row) throw notFound('job', id);
  if (row.deletedAt) throw goneProblem('job', row);
  return row;
}
