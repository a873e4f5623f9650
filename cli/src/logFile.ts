import type { JobFile } from '@nucleon/core/documents/jobFile';
import { runRecord } from '@nucleon/core/run/runRecord';
import { writeRunsCsv } from '@nucleon/files/runsCsv';
import type { Console } from './console';
import { loadOrSay } from './loadJobFile';
import { NUCLEON_VERSION } from './version';

/** Early files had entries of any shape in their log. */
const isRun = (entry: Partial<NonNullable<JobFile['log']>[number]>): boolean =>
  typeof entry.runId === 'string' && Array.isArray(entry.events);

/** Prints the runs of a job file, planned beside actual: as JSON, or as CSV. */
export async function logFile(path: string, asCsv: boolean, console: Console): Promise<number> {
  const job = await loadOrSay(path, console);
  if (!job) return 1;
  // The schema has vouched for the events’ shape.
  const runs = (job.log ?? [])
    .filter(isRun)
    .flatMap(({ runId, events }) => runRecord(runId, events) ?? []);
  console.out(
    asCsv ? writeRunsCsv(runs) : JSON.stringify({ nucleon: NUCLEON_VERSION, runs }, null, 2),
  );
  return 0;
}
