import type { HoleRun, Page, StoredRun } from '@nucleon/contract/wire';
import { RUN_OUTCOMES } from '@nucleon/core/run/runOutcome';
import type { EntityManager, SelectQueryBuilder } from 'typeorm';
import { workshopNow } from '../database/workshop';
import { KINDS } from '../documents/documentKinds';
import { containing, type PageQuery } from '../http/paging';
import { faultyProblem } from '../http/problem';
import { runEntity, type RunRow } from './runEntities';

const FILTERS = ['jobId', 'pieceId', 'holeId', 'bitId', 'material', 'outcome'] as const;
export type RunFilters = Partial<Record<(typeof FILTERS)[number], string>>;

/** `?bitId=…&outcome=fine`: the filters named, checked where only some values make sense. */
export function runFilters(query: Readonly<Record<string, unknown>>): RunFilters {
  const given: RunFilters = {};
  for (const name of FILTERS) {
    const value = query[name];
    if (typeof value === 'string' && value !== '') given[name] = value.slice(0, 80);
  }
  if (given.outcome && !RUN_OUTCOMES.some((one) => one === given.outcome))
    throw faultyProblem([
      {
        pointer: '?outcome',
        message: `outcome is “${given.outcome}”; it may be one of ${RUN_OUTCOMES.join(', ')}.`,
      },
    ]);
  return given;
}

export function filteredRuns(
  manager: EntityManager,
  filters: RunFilters,
  search: string,
): SelectQueryBuilder<RunRow> {
  const found = manager
    .createQueryBuilder(runEntity, 'run')
    .where('run.openedAt IS NOT NULL AND run.workshopId = :workshop', { workshop: workshopNow() });
  for (const [name, value] of Object.entries(filters))
    found.andWhere(`run.${name} = :${name}`, { [name]: value });
  if (search) found.andWhere('run.words LIKE :like', { like: containing(search) });
  return found.orderBy('run.openedAt', 'DESC').addOrderBy('run.id', 'DESC');
}

/** The logbook, newest first. */
export async function listRuns(
  manager: EntityManager,
  filters: RunFilters,
  { page, pageSize, search }: PageQuery,
): Promise<Page<StoredRun>> {
  const [rows, total] = await filteredRuns(manager, filters, search)
    .offset((page - 1) * pageSize)
    .limit(pageSize)
    .getManyAndCount();
  return { items: await storedRuns(manager, rows), page, pageSize, total };
}

/** Ids of the runs that fit, newest first. */
export async function runIdsOf(
  manager: EntityManager,
  filters: RunFilters,
  search: string,
): Promise<readonly string[]> {
  const runs = await filteredRuns(manager, filters, search).select(['run.id']).getMany();
  return runs.map(({ id }) => id);
}

/** Each with whether its hole is still there. */
export async function storedRuns(
  manager: EntityManager,
  rows: readonly RunRow[],
): Promise<readonly StoredRun[]> {
  const ids = rows.flatMap(({ holeId }) => (holeId === null ? [] : [holeId]));
  const alive =
    ids.length === 0
      ? []
      : await manager
          .createQueryBuilder(KINDS.hole.entity, 'hole')
          .select('hole.id', 'id')
          .where('hole.id IN (:...ids) AND hole.deletedAt IS NULL', { ids })
          .getRawMany<{ id: string }>();
  const there = new Set(alive.map(({ id }) => id));
  return rows.flatMap(({ record, holeId }) =>
    record ? [{ ...record, holeGone: holeId === null || !there.has(holeId) }] : [],
  );
}

/** Each hole's latest run. */
export async function lastRuns(
  manager: EntityManager,
  jobId: string,
): Promise<ReadonlyMap<string, HoleRun>> {
  const rows = await manager
    .createQueryBuilder(runEntity, 'run')
    .select(['run.id', 'run.holeId', 'run.record', 'run.openedAt'])
    .where('run.jobId = :jobId AND run.holeId IS NOT NULL AND run.openedAt IS NOT NULL', { jobId })
    .andWhere('run.workshopId = :workshop', { workshop: workshopNow() })
    .orderBy('run.openedAt', 'ASC')
    .getMany();
  return new Map(
    rows.flatMap(({ holeId, record }) => {
      if (holeId === null || !record) return [];
      const { runId, phase, over, verdict, cracked, openedAt } = record;
      return [[holeId, { runId, phase, over, verdict, cracked, openedAt }] as const];
    }),
  );
}
