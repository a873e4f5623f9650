import type { JobFile } from '@nucleon/core/documents/jobFile';
import type { RunEvent } from '@nucleon/core/documents/runEvent';
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

/** The schema has vouched for the events’ shape. */
interface RunInFile {
  readonly runId: string;
  readonly events: readonly RunEvent[];
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
  for (const { runId, events } of (log?.filter(isRun) ?? []) as readonly RunInFile[]) {
    if (await tools.manager.existsBy(runEntity, { id: runId })) {
      skipped.push({ runId, name: nameOf(events, runId), why: 'in the logbook already' });
      continue;
    }
    const own = events.map((event) => renameRun(event, tools.renamed));
    const { refused } = await storeEvents(tools.manager, runId, own, tools.now, { feeds: false });
    skipped.push(
      ...refused.map(({ message }) => ({ runId, name: nameOf(events, runId), why: message })),
    );
  }
  return skipped;
}

/** `Arbor, Glass dial`; the run’s id where its opening is not in the file. */
function nameOf(events: readonly RunEvent[], runId: string): string {
  const open = events.find(({ act }) => act.kind === 'open')?.act;
  return open?.kind === 'open' ? `${open.subject.holeName}, ${open.subject.pieceName}` : runId;
}
