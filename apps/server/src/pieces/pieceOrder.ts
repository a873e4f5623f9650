import type { EntityManager } from 'typeorm';

/** The next free place among a job's pieces: after all, or before all. */
export async function pieceOrder(
  manager: EntityManager,
  jobId: string,
  where: 'end' | 'front',
): Promise<number> {
  const [ends]: { min: number | null; max: number | null }[] = await manager.query(
    'SELECT MIN(position) AS least, MAX(position) AS most FROM piece WHERE job_id = ?',
    [jobId],
  );
  return where === 'end' ? (ends?.max ?? 0) + 1 : (ends?.min ?? 1) - 1;
}
