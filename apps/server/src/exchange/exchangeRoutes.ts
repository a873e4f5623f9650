import { checkJobData } from '@nucleon/contract/readJobFile';
import { Router } from 'express';
import { transact } from '../database/transact';
import { checkedBody, idParam } from '../http/body';
import type { ServerContext } from '../serverContext';
import { exportJob } from './exportJob';
import { importJob } from './importJob';

export function exchangeRoutes({ source, now, newId }: ServerContext): Router {
  const router = Router();
  router.post('/import', async (request, response) => {
    const file = checkedBody(request, checkJobData);
    const jobId = await transact(source, (manager) =>
      importJob(file, { manager, now: now(), newId }),
    );
    response.status(201).location(`/api/v1/jobs/${jobId}`).json({ jobId });
  });
  router.get('/jobs/:jobId/export', async (request, response) => {
    const file = await exportJob(source.manager, idParam(request, 'jobId'));
    const name =
      file.job.name
        .replace(/[^\p{L}\p{N} -]/gu, '')
        .trim()
        .replace(/ +/g, '-')
        .toLowerCase() || 'job';
    response
      .attachment(`${name}.nucleon.json`)
      .type('application/json')
      .send(`${JSON.stringify(file, null, 2)}\n`);
  });
  return router;
}
