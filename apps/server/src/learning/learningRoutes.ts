import { setTimeout as sleep } from 'node:timers/promises';
import { putBelief } from '@nucleon/contract/bodies';
import { validator } from '@nucleon/contract/validator';
import type { LearnedLog } from '@nucleon/contract/wire';
import { Router } from 'express';
import { In } from 'typeorm';
import { transact } from '../database/transact';
import { workshopNow } from '../database/workshop';
import { checkedBody, idParam } from '../http/body';
import { notFound } from '../http/problem';
import { runEntity } from '../runs/runEntities';
import type { ServerContext } from '../serverContext';
import { learnedEntity } from './learnedEntity';

/** What is being learned is waited for so long; else what was learned before is told. */
const WAITS_MS = 3000;

const checkBelief = validator(putBelief);

/** What the log tells, and which runs of it are believed. */
export function learningRoutes({ source, learning }: ServerContext): Router {
  const router = Router();
  const learnedLog = async (): Promise<LearnedLog> => {
    // A long log takes seconds: nobody’s plan waits for it.
    const isBehind = await Promise.race([
      learning.settled().then(() => false),
      sleep(WAITS_MS, true, { ref: false }),
    ]);
    const row = await source.manager.findOneBy(learnedEntity, { id: workshopNow() });
    if (!row) return { experience: null, report: null, doubted: [], learnedAt: null, isBehind };
    const { experience, report } = row.outcome;
    const ids = report.doubted.map(({ id }) => id);
    const runs = ids.length === 0 ? [] : await source.manager.findBy(runEntity, { id: In(ids) });
    return {
      experience,
      report,
      learnedAt: row.learnedAt.toISOString(),
      isBehind,
      doubted: report.doubted.flatMap(({ id, doubts, isPutBack }) => {
        const record = runs.find((run) => run.id === id)?.record;
        return record
          ? [
              {
                runId: id,
                holeName: record.holeName,
                pieceName: record.pieceName,
                at: record.openedAt,
                doubts,
                isPutBack,
              },
            ]
          : [];
      }),
    };
  };
  router.get('/learning', async (_request, response) => {
    response.json(await learnedLog());
  });
  router.put('/learning/runs/:runId', async (request, response) => {
    const runId = idParam(request, 'runId');
    const { belief } = checkedBody(request, checkBelief);
    await transact(source, async (manager) => {
      if (!(await manager.existsBy(runEntity, { id: runId }))) throw notFound('run', runId);
      const leftOut = belief === 'usual' ? null : belief === 'left-out';
      await manager.update(runEntity, { id: runId }, { leftOut });
    });
    learning.changed();
    response.json(await learnedLog());
  });
  return router;
}
