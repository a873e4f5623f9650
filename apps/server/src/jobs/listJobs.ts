import type { JobSummary, Page } from '@nucleon/contract/wire';
import { In, type EntityManager } from 'typeorm';
import { THE_WORKSHOP_ID } from '../database/workshop';
import { containing, pageQuery } from '../http/paging';
import { jobEntity } from './jobEntity';

interface Counts {
  readonly jobId: string;
  readonly pieceCount: string;
  readonly holeCount: string;
  readonly stoppedCount: string;
  readonly materials: string | null;
}

/** Jobs, last touched first; the search looks at job and piece names. */
export async function listJobs(
  manager: EntityManager,
  query: Readonly<Record<string, unknown>>,
): Promise<Page<JobSummary>> {
  const { page, pageSize, search } = pageQuery(query);
  const found = manager
    .createQueryBuilder(jobEntity, 'job')
    .where('job.workshopId = :workshop AND job.deletedAt IS NULL', { workshop: THE_WORKSHOP_ID });
  if (search) {
    found.andWhere(
      '(job.name LIKE :like OR EXISTS (SELECT 1 FROM piece WHERE piece.job_id = job.id AND piece.deleted_at IS NULL AND piece.name LIKE :like))',
      { like: containing(search) },
    );
  }
  const [rows, total] = await found
    .orderBy('job.updatedAt', 'DESC')
    .addOrderBy('job.id', 'ASC')
    .skip((page - 1) * pageSize)
    .take(pageSize)
    .getManyAndCount();
  const counts = await countsOf(
    manager,
    rows.map((row) => row.id),
  );
  return {
    items: rows.map((row) => {
      const count = counts.get(row.id);
      return {
        id: row.id,
        name: row.name,
        version: row.version,
        updatedAt: row.updatedAt.toISOString(),
        pieceCount: Number(count?.pieceCount ?? 0),
        holeCount: Number(count?.holeCount ?? 0),
        stoppedCount: Number(count?.stoppedCount ?? 0),
        materials: count?.materials ? count.materials.split(',') : [],
      };
    }),
    page,
    pageSize,
    total,
  };
}

async function countsOf(
  manager: EntityManager,
  jobIds: readonly string[],
): Promise<ReadonlyMap<string, Counts>> {
  if (jobIds.length === 0) return new Map();
  const rows: Counts[] = await manager
    .createQueryBuilder()
    .select('piece.job_id', 'jobId')
    .addSelect('COUNT(DISTINCT piece.id)', 'pieceCount')
    .addSelect('COUNT(DISTINCT hole.id)', 'holeCount')
    .addSelect(
      'COUNT(DISTINCT CASE WHEN hole_plan.stop_count > 0 THEN hole.id END)',
      'stoppedCount',
    )
    .addSelect('GROUP_CONCAT(DISTINCT piece.material ORDER BY piece.position)', 'materials')
    .from('piece', 'piece')
    .leftJoin('hole', 'hole', 'hole.piece_id = piece.id AND hole.deleted_at IS NULL')
    .leftJoin('hole_plan', 'hole_plan', 'hole_plan.hole_id = hole.id')
    .where({ jobId: In([...jobIds]) })
    .andWhere('piece.deleted_at IS NULL')
    .groupBy('piece.job_id')
    .getRawMany();
  return new Map(rows.map((row) => [row.jobId, row]));
}
