import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { postEvents } from '@nucleon/contract/bodies';
import { validator } from '@nucleon/contract/validator';
import type { EventsTaken, RunDetail } from '@nucleon/contract/wire';
import type { RunActKind, RunEvent } from '@nucleon/core/documents/runEvent';
import { Router } from 'express';
import { MoreThan } from 'typeorm';
import { transact } from '../database/transact';
import { readLog } from '../exchange/exportLog';
import { withList } from '../exchange/jsonText';
import { checkedBody, idParam } from '../http/body';
import { pageQuery } from '../http/paging';
import { faultyProblem, notFound, Problem } from '../http/problem';
import type { ServerContext } from '../serverContext';
import { listRuns, runFilters, runIdsOf, storedRuns } from './listRuns';
import { runEntity, runEventEntity } from './runEntities';
import { storeEvents } from './storeEvents';

/** What ends a run, or says how it came out: there is something to learn. */
const TELLS: ReadonlySet<RunActKind> = new Set([
  'through',
  'crack',
  'abort',
  'result',
  'undo',
  'next',
]);

const checkEvents = validator(postEvents);

/** `?after=12`: the entry to go on from. */
function afterQuery(given: unknown): number {
  if (given === undefined) return 0;
  const value = Number(given);
  if (typeof given === 'string' && Number.isSafeInteger(value) && value >= 0) return value;
  throw faultyProblem([
    {
      pointer: '?after',
      message: `after is “${JSON.stringify(given)}”; it must be a whole number from 0.`,
    },
  ]);
}

/** Where not one entry could be taken the whole is refused, each by its place; else the rest is kept. */
function refuseAll({ refused }: EventsTaken, events: readonly RunEvent[]): void {
  if (refused.length < events.length) return;
  throw new Problem('conflict', refused[0]?.message ?? '', {
    faults: refused.map(({ id, message }) => ({
      pointer: `/events/${events.findIndex((event) => event.id === id)}`,
      message,
    })),
  });
}

/** Runs: the log, one run with its record, and what a device adds to it. */
export function runRoutes({ source, now, learning }: ServerContext): Router {
  const router = Router();
  router.get('/runs', async (request, response) => {
    const filters = runFilters(request.query);
    response.json(await listRuns(source.manager, filters, pageQuery(request.query)));
  });
  router.get('/runs/export', async (request, response) => {
    const { search } = pageQuery(request.query);
    const ids = await runIdsOf(source.manager, runFilters(request.query), search);
    response.attachment('log.nucleon-log.json').type('application/json');
    const head = { format: 'nucleon-log', version: 1 };
    const text = withList(head, 'runs', readLog(source.manager, ids), { evenEmpty: true });
    await pipeline(Readable.from(text), response);
  });
  router.get('/runs/:runId', async (request, response) => {
    const runId = idParam(request, 'runId');
    const after = afterQuery(request.query.after);
    const row = await source.manager.findOneBy(runEntity, { id: runId });
    if (!row) throw notFound('run', runId);
    const events = await source.manager.find(runEventEntity, {
      where: { runId, seq: MoreThan(String(after)) },
      order: { seq: 'ASC' },
    });
    const detail: RunDetail = {
      run: (await storedRuns(source.manager, [row]))[0] ?? null,
      events: events.map(({ body }) => body),
      upTo: Number(events.at(-1)?.seq ?? after),
    };
    response.json(detail);
  });
  router.post('/runs/:runId/events', async (request, response) => {
    const runId = idParam(request, 'runId');
    const { events } = checkedBody(request, checkEvents);
    const taken = await transact(source, async (manager) => {
      const stored = await storeEvents(manager, runId, events, now());
      refuseAll(stored, events);
      return stored;
    });
    if (events.some(({ act }) => TELLS.has(act.kind))) learning.changed();
    response.json(taken);
  });
  return router;
}
