import type { EntityManager } from 'typeorm';

/** The next free place among a job's pieces: after all, or before all. */
export async function pieceOrder(
  manager: EntityManager,
  jobId: string,
  where: 'end' | 'front',
): Promise<number> {
  const [ends]: { least: number | null; most: number | null }[] = await manager.query(
    'SELECT MIN(position) AS least, MAX(position) AS most FROM piece WHERE job_id = ?',
    [jobId],
  );
  return where === 'end' ? (ends?.most ?? 0) + 1 : (ends?.least ?? 1) - 1;
}
