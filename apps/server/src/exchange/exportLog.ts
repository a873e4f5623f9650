import type { JobFile } from '@nucleon/core/job/job';
import { In, type EntityManager } from 'typeorm';
import type { LoadedJob } from '../plans/loadJob';
import { runEntity, runEventEntity } from '../runs/runEntities';
import { renameRun } from './renameRun';

/** The job’s runs, under the ids its holes have in the file, after what the file’s log had of its own. */
export async function exportLog(
  manager: EntityManager,
  { job, pieces, holes }: LoadedJob,
  fileExtra: Readonly<Record<string, unknown>>,
  bitId: (id: string) => string,
): Promise<Pick<JobFile, 'log'>> {
  const runs = await manager.find(runEntity, {
    where: { jobId: job.id },
    order: { openedAt: 'ASC', id: 'ASC' },
  });
  if (runs.length === 0) return {};
  const names = new Map(
    [job, ...pieces, ...holes].map((row) => [row.id, row.fileId ?? row.id] as const),
  );
  const renamed = (id: string): string => names.get(id) ?? bitId(id);
  const rows = await manager.find(runEventEntity, {
    where: { runId: In(runs.map(({ id }) => id)) },
    order: { seq: 'ASC' },
  });
  const own = Array.isArray(fileExtra.log) ? (fileExtra.log as NonNullable<JobFile['log']>) : [];
  return {
    log: [
      ...own,
      ...runs.map(({ id }) => ({
        runId: id,
        events: rows
          .filter(({ runId }) => runId === id)
          .map(({ body }) => renameRun(body, renamed)),
      })),
    ],
  };
}
