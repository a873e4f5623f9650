import { isDeepStrictEqual } from 'node:util';
import type { EventsTaken } from '@nucleon/contract/wire';
import type { RunEvent } from '@nucleon/core/documents/runEvent';
import { loggedRun } from '@nucleon/core/run/learning/loggedHole';
import { bitUses, runRecord, type RunRecord } from '@nucleon/core/run/runRecord';
import { outcomeOf } from '@nucleon/core/run/runOutcome';
import { In, type EntityManager } from 'typeorm';
import { likeId, refuseLikeId } from '../database/likeId';
import { workshopNow } from '../database/workshop';
import { countedUses, feedBit } from './feedBit';
import { knownHoles } from './knownHoles';
import { runEntity, runEventEntity, type RunRow } from './runEntities';

/**
 * Takes in events of one run: any order, any of them again. What is new is added, what is known is left,
 * what bears a known id with other content is refused by name; then the run’s line in the log is made anew
 * from all of them and its bit is fed. Call within a transaction.
 * @param feeds false where the bit’s history came along and holds this use already
 */
export async function storeEvents(
  manager: EntityManager,
  runId: string,
  events: readonly RunEvent[],
  now: Date,
  { feeds = true }: { readonly feeds?: boolean } = {},
): Promise<EventsTaken> {
  const run = (await lockRun(manager, runId)) ?? (await newRun(manager, runId, now));
  refuseLikeId(run.id, runId);
  const known = await manager.find(runEventEntity, {
    where: { id: In(events.map(({ id }) => id)) },
  });
  // MariaDB takes ids that differ in case or by an accent for one.
  const stored = new Map(known.map((row) => [likeId(row.id), row]));
  const refused: { id: string; message: string }[] = [];
  const added = new Map<string, RunEvent>();
  for (const event of events) {
    const key = likeId(event.id);
    const had = stored.get(key);
    const twin = had ? (had.runId === runId ? had.body : null) : added.get(key);
    if (twin === undefined) added.set(key, event);
    else if (!isDeepStrictEqual(twin, event))
      refused.push({ id: event.id, message: whyRefused(event.id, twin) });
  }
  if (added.size > 0) {
    await manager.insert(
      runEventEntity,
      [...added.values()].map((event) => ({
        id: event.id,
        runId,
        n: event.n,
        kind: event.act.kind,
        body: event as never,
        receivedAt: now,
      })),
    );
  }
  const rows = await manager.find(runEventEntity, { where: { runId }, order: { seq: 'ASC' } });
  if (added.size > 0) {
    const all = rows.map(({ body }) => body);
    const record = runRecord(runId, all);
    const counted = countedUses(run.counted);
    const uses = bitUses(all);
    // In one order, so that two runs that share bits do not wait for each other.
    for (const use of feeds ? uses.toSorted((a, b) => (a.bitId < b.bitId ? -1 : 1)) : [])
      await feedBit(manager, use, counted.find(({ bitId }) => bitId === use.bitId) ?? null, now);
    await manager.update(
      runEntity,
      { id: runId },
      {
        ...(record ? columnsOf(record, await knownHoles(manager, [record.holeId])) : {}),
        counted: uses.length > 0 ? uses : run.counted,
        logged: loggedRun(runId, all),
        updatedAt: now,
      },
    );
  }
  return { upTo: Number(rows.at(-1)?.seq ?? 0), refused };
}

const lockRun = (manager: EntityManager, runId: string): Promise<RunRow | null> =>
  manager
    .createQueryBuilder(runEntity, 'run')
    .setLock('pessimistic_write')
    .where('run.id = :runId', { runId })
    .getOne();

/** Only where there is none: an insert that finds one holds it against others who wait to change it. */
async function newRun(manager: EntityManager, runId: string, now: Date): Promise<RunRow> {
  await manager.query('INSERT IGNORE INTO run (id, workshop_id, updated_at) VALUES (?, ?, ?)', [
    runId,
    workshopNow(),
    now,
  ]);
  const run = await lockRun(manager, runId);
  if (!run) throw new Error(`run ${runId} was not made`);
  return run;
}

function whyRefused(id: string, twin: RunEvent | null): string {
  if (twin === null) return `Event “${id}” is in another run’s record; make a new id.`;
  return twin.id === id
    ? `Event “${id}” is in the record already with other content; an entry is never changed.`
    : `Event “${id}” differs from “${twin.id}” only in case or accents; make a new id.`;
}

/**
 * A run's line in the log as its row holds it.
 * @param here holes that are: one that was never here leaves its run standing alone
 */
export function columnsOf(record: RunRecord, here: ReadonlySet<string>) {
  return {
    holeId: here.has(record.holeId) ? record.holeId : null,
    record: record as never,
    jobId: record.jobId,
    pieceId: record.pieceId,
    bitId: record.bitId,
    material: record.material,
    outcome: outcomeOf(record),
    words: [record.holeName, record.pieceName, record.jobName, record.bitName, record.machineName]
      .join(' ')
      .slice(0, 1000),
    openedAt: new Date(record.openedAt),
  };
}
