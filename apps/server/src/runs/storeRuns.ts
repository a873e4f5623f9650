import type { RunEvent } from '@nucleon/core/documents/runEvent';
import { loggedRun } from '@nucleon/core/run/learning/loggedHole';
import { bitUses, runRecord } from '@nucleon/core/run/runRecord';
import { In, type EntityManager } from 'typeorm';
import { likeId } from '../database/likeId';
import { workshopNow } from '../database/workshop';
import { inPackets } from '../documents/repository';
import { knownHoles } from './knownHoles';
import { runEntity, runEventEntity } from './runEntities';
import { columnsOf } from './storeEvents';

/** A run with all that happened in it. */
export interface WholeRun {
  readonly runId: string;
  readonly events: readonly RunEvent[];
}

/** So many runs are looked up and written at a time. */
export const RUNS_AT_ONCE = 200;

/**
 * Stores runs whole that are not here yet, many in a statement: the log of some years comes in at once. Their bits
 * are not fed: the bits' histories came along.
 * @returns those that meet something that is here, to be taken entry by entry
 */
export async function storeRuns(
  manager: EntityManager,
  runs: readonly WholeRun[],
  now: Date,
): Promise<readonly WholeRun[]> {
  const taken = await takenIds(manager, runs);
  const meets = ({ runId, events }: WholeRun): boolean =>
    [runId, ...events.map(({ id }) => id)].some((id) => taken.has(likeId(id)));
  const fresh = runs.filter((run) => !meets(run));
  const records = new Map(fresh.map(({ runId, events }) => [runId, runRecord(runId, events)]));
  const holes = await knownHoles(
    manager,
    [...records.values()].flatMap((record) => record?.holeId ?? []),
  );
  const rows = fresh.map(({ runId, events }) => {
    const record = records.get(runId) ?? null;
    const uses = bitUses(events);
    return {
      id: runId,
      workshopId: workshopNow(),
      words: '',
      ...(record ? columnsOf(record, holes) : {}),
      counted: uses.length > 0 ? uses : null,
      logged: loggedRun(runId, events),
      updatedAt: now,
    };
  });
  for (const some of inPackets(rows)) await manager.insert(runEntity, some as never);
  const events = fresh.flatMap((run) =>
    run.events.map((event) => ({
      id: event.id,
      runId: run.runId,
      n: event.n,
      kind: event.act.kind,
      body: event,
      receivedAt: now,
    })),
  );
  for (const some of inPackets(events)) await manager.insert(runEventEntity, some as never);
  return runs.filter(meets);
}

/** Ids of runs and entries that are here already, or that come twice in these. */
async function takenIds(
  manager: EntityManager,
  runs: readonly WholeRun[],
): Promise<ReadonlySet<string>> {
  const runIds = runs.map(({ runId }) => runId);
  const eventIds = runs.flatMap(({ events }) => events.map(({ id }) => id));
  const here = await manager.find(runEntity, { select: { id: true }, where: { id: In(runIds) } });
  const known = await manager.find(runEventEntity, {
    select: { id: true },
    where: { id: In(eventIds) },
  });
  return new Set([
    ...[...here, ...known].map(({ id }) => likeId(id)),
    ...twice(runIds.map(likeId)),
    ...twice(eventIds.map(likeId)),
  ]);
}

function twice(ids: readonly string[]): readonly string[] {
  const seen = new Set<string>();
  return ids.filter((id) => seen.size === seen.add(id).size);
}
