import type { EntityManager } from 'typeorm';

/** A job nobody has touched for so long has as many holes as it had: clocks of two servers differ by less. */
const SETTLED_MS = 15_000;
/** Some pages of jobs. */
const MOST_KEPT = 2000;

interface Touched {
  readonly id: string;
  readonly updatedAt: Date;
}
interface Counted {
  readonly jobId: string;
  readonly count: string;
}

/** How many holes jobs have; none where the answer lacks one. */
export type HoleCounts = (
  manager: EntityManager,
  jobs: readonly Touched[],
) => Promise<ReadonlyMap<string, number>>;

/** Every write below a job touches it, so one that was not touched since is not counted again: some have thousands. */
export function keepHoleCounts(now: () => Date): HoleCounts {
  const kept = new Map<string, number>();
  const keyOf = ({ id, updatedAt }: Touched): string => `${id} ${updatedAt.getTime()}`;
  return async (manager, jobs) => {
    const open = jobs.filter((job) => !kept.has(keyOf(job)));
    const rows: Counted[] =
      open.length === 0
        ? []
        : await manager.query(
            `SELECT piece.job_id AS jobId, COUNT(*) AS count
               FROM piece JOIN hole ON hole.piece_id = piece.id AND hole.deleted_at IS NULL
               WHERE piece.job_id IN (?) AND piece.deleted_at IS NULL GROUP BY piece.job_id`,
            [open.map(({ id }) => id)],
          );
    const counted = new Map(rows.map(({ jobId, count }) => [jobId, Number(count)]));
    const counts = new Map(
      jobs.map((job) => [job.id, kept.get(keyOf(job)) ?? counted.get(job.id) ?? 0]),
    );
    for (const job of open)
      if (now().getTime() - job.updatedAt.getTime() > SETTLED_MS)
        kept.set(keyOf(job), counts.get(job.id) ?? 0);
    for (const key of kept.keys()) {
      if (kept.size <= MOST_KEPT) break;
      kept.delete(key);
    }
    return counts;
  };
}
