import { jobFields, putSchema } from '@nucleon/contract/jobFileSchema';
import { validator } from '@nucleon/contract/validator';
import type { Put, StoredJob } from '@nucleon/contract/wire';
import { Router } from 'express';
import { IsNull } from 'typeorm';
import { putVersioned } from '../database/putVersioned';
import { transact } from '../database/transact';
import { checkedBody, idParam } from '../http/body';
import type { ServerContext } from '../serverContext';
import { setDeleted } from '../database/softDelete';
import { jobDetail } from './jobDetail';
import { jobEntity } from './jobEntity';
import { listJobs } from './listJobs';
import { jobContent, storedJob } from './jobMapping';

const checkJobBody = validator<Put<StoredJob>>(putSchema(jobFields, 'job'));

export function jobRoutes({ source, now }: ServerContext): Router {
  const router = Router();
  router.get('/jobs', async (request, response) => {
    response.json(await listJobs(source.manager, request.query));
  });
  router.get('/jobs/:jobId', async (request, response) => {
    response.json(await jobDetail(source.manager, idParam(request, 'jobId'), now()));
  });
  router.put('/jobs/:jobId', async (request, response) => {
    const id = idParam(request, 'jobId');
    const body = checkedBody(request, checkJobBody);
    const { row } = await transact(source, async (manager) => {
      const standing = await manager.findOneBy(jobEntity, { id, deletedAt: IsNull() });
      const put = { id, version: body.version, content: jobContent(body, standing), now: now() };
      return putVersioned(manager, jobEntity, put, storedJob);
    });
    response.json(storedJob(row));
  });
  router.delete('/jobs/:jobId', async (request, response) => {
    await setDeleted(source.manager, jobEntity, idParam(request, 'jobId'), now());
    response.status(204).end();
  });
  router.post('/jobs/:jobId/restore', async (request, response) => {
    await setDeleted(source.manager, jobEntity, idParam(request, 'jobId'), null);
    response.status(204).end();
  });
  return router;
}
