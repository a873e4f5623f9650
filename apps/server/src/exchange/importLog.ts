import type { JobFile } from '@nucleon/core/documents/jobFile';
import type { RunEvent } from '@nucleon/core/documents/runEvent';
import { runEntity } from '../runs/runEntities';
import { storeEvents } from '../runs/storeEvents';
import { RUNS_AT_ONCE, storeRuns, type WholeRun } from '../runs/storeRuns';
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
  /** What it was of, as far as the file says. */
  readonly name: string;
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
  const runs = (log?.filter(isRun) ?? []) as readonly WholeRun[];
  for (let from = 0; from < runs.length; from += RUNS_AT_ONCE) {
    const some = runs.slice(from, from + RUNS_AT_ONCE).map(({ runId, events }) => ({
      runId,
      events: events.map((event) => renameRun(event, tools.renamed)),
    }));
    for (const run of await storeRuns(tools.manager, some, tools.now))
      skipped.push(...(await oneByOne(run, tools)));
  }
  return skipped;
}

/** A run that meets something that is here already. */
async function oneByOne(
  { runId, events }: WholeRun,
  { manager, now }: LogTools,
): Promise<readonly SkippedRun[]> {
  const name = nameOf(events, runId);
  if (await manager.existsBy(runEntity, { id: runId }))
    return [{ runId, name, why: 'in the logbook already' }];
  const { refused } = await storeEvents(manager, runId, events, now, { feeds: false });
  return refused.map(({ message }) => ({ runId, name, why: message }));
}

/** `Arbor, Glass dial`; the run’s id where its opening is not in the file. */
function nameOf(events: readonly RunEvent[], runId: string): string {
  const open = events.find(({ act }) => act.kind === 'open')?.act;
  return open?.kind === 'open' ? `${open.subject.holeName}, ${open.subject.pieceName}` : runId;
}
