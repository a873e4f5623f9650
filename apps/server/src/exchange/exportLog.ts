import type { JobFile } from '@nucleon/core/documents/jobFile';
import type { RunEvent } from '@nucleon/core/documents/runEvent';
import { In, type EntityManager } from 'typeorm';
import { runEventEntity } from '../runs/runEntities';

export type LogEntry = NonNullable<JobFile['log']>[number];

/** Runs read at once: an opening holds a whole plan, some 50 kB. */
const AT_ONCE = 20;

/** Runs with all that happened in them, a few at a time: a log of any length fits the memory. */
export async function* readLog(
  manager: EntityManager,
  runIds: readonly string[],
  shown: (event: RunEvent) => RunEvent = (event) => event,
): AsyncGenerator<LogEntry> {
  for (let from = 0; from < runIds.length; from += AT_ONCE) {
    const ids = runIds.slice(from, from + AT_ONCE);
    const rows = await manager.find(runEventEntity, {
      where: { runId: In([...ids]) },
      order: { seq: 'ASC' },
    });
    for (const runId of ids) {
      const events = rows.filter((row) => row.runId === runId).map(({ body }) => shown(body));
      // A run of which nothing has arrived yet is no run.
      if (events.length > 0) yield { runId, events };
    }
  }
}
