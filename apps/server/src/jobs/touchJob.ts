import type { EntityManager } from 'typeorm';
import { jobEntity } from './jobEntity';

/** Brings a job to the top of the list; its own version stands, since its own fields do. */
export async function touchJob(manager: EntityManager, jobId: string, now: Date): Promise<void> {
  await manager.update(jobEntity, { id: jobId }, { updatedAt: now });
}
