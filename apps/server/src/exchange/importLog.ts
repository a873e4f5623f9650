import type { JobFile } from '@nucleon/core/job/job';
import type { RunEvent } from '@nucleon/core/run/runEvent';
import { runEntity } from '../runs/runEntities';
import { storeEvents } from '../runs/storeEvents';
import type { ImportTools } from './importTools';
import { renameRun } from './renameRun';

type Log = NonNullable<JobFile['log']>;

/** Early files had entries of any shape. */
const isRun = (entry: Partial<Log[number]>): boolean =>
  typeof entry.runId === 'string' && Array.isArray(entry.events);

/** What in a file’s log is no run: kept as it came. */
export function keptLog(log: Log | undefined): { log?: Log } {
  const odd = log?.filter((entry) => !isRun(entry)) ?? [];
  return odd.length > 0 ? { log: odd } : {};
}

interface LogTools extends ImportTools {
  /** Job, pieces, holes and bits by the ids they have got here. */
  readonly renamed: (id: string) => string;
}

/** A run of a file, or entries of it, that were not stored, and why. */
export interface SkippedRun {
  readonly runId: string;
  readonly why: string;
}

/**
 * Stores the file’s runs under the ids their holes got. A run that is here already is left alone: opening a
 * job twice makes a second job, never a second record of the same drilling.
 * @returns what was left
 */
export async function importLog(
  log: Log | undefined,
  tools: LogTools,
): Promise<readonly SkippedRun[]> {
  const skipped: SkippedRun[] = [];
  for (const { runId, events } of log?.filter(isRun) ?? []) {
    if (await tools.manager.existsBy(runEntity, { id: runId })) {
      skipped.push({ runId, why: 'It is in the logbook already.' });
      continue;
    }
    // The schema has vouched for the events’ shape.
    const own = (events as readonly RunEvent[]).map((event) => renameRun(event, tools.renamed));
    const { refused } = await storeEvents(tools.manager, runId, own, tools.now, { feeds: false });
    skipped.push(...refused.map(({ message }) => ({ runId, why: message })));
  }
  return skipped;
}
