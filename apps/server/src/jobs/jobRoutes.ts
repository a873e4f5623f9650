import { jobFields, materialFields, putSchema } from '@nucleon/contract/jobFileSchema';
import { validator } from '@nucleon/contract/validator';
import type { JobWithMaterials, Put, StoredJob } from '@nucleon/contract/wire';
import { Router } from 'express';
import { IsNull } from 'typeorm';
import { lockJob } from '../database/locks';
import { putVersioned } from '../database/putVersioned';
import { notFound } from '../http/problem';
import { loadJob } from '../plans/loadJob';
import { storePlans } from '../plans/storePlans';
import { checkMaterials } from './checkMaterials';
import { transact } from '../database/transact';
import { checkedBody, idParam } from '../http/body';
import type { ServerContext } from '../serverContext';
import { addBin } from '../database/softDelete';
import { jobDetail } from './jobDetail';
import { jobEntity } from './jobEntity';
import { listJobs } from './listJobs';
import { jobContent, jobHeader, jobWithMaterials, storedJob } from './jobMapping';

const checkMaterialsBody = validator<Pick<JobWithMaterials, 'customMaterials' | 'version'>>(
  putSchema(materialFields, 'materials'),
);
const checkJobBody = validator<Put<StoredJob>>(putSchema(jobFields, 'job'));

export function jobRoutes(context: ServerContext): Router {
  const { source, now } = context;
  const router = Router();
  router.get('/jobs', async (request, response) => {
    response.json(await listJobs(source.manager, request.query));
  });
  router.get('/jobs/:jobId', async (request, response) => {
    response.json(await jobDetail(source, idParam(request, 'jobId'), now()));
  });
  router.put('/jobs/:jobId', async (request, response) => {
    const id = idParam(request, 'jobId');
    const body = checkedBody(request, checkJobBody);
    const { row } = await transact(source, async (manager) => {
      await lockJob(manager, id);
      const standing = await manager.findOneBy(jobEntity, { id, deletedAt: IsNull() });
      const put = { id, version: body.version, content: jobContent(body, standing), now: now() };
      const written = await putVersioned(manager, jobEntity, put, storedJob);
      // A job's own answers settle gates of every hole in it.
      if (written.changed && standing) {
        const loaded = await loadJob(manager, id);
        await storePlans(manager, loaded, now(), loaded);
      }
      return written;
    });
    response.json(storedJob(row));
  });
  router.put('/jobs/:jobId/materials', async (request, response) => {
    const id = idParam(request, 'jobId');
    const body = checkedBody(request, checkMaterialsBody);
    const { row } = await transact(source, async (manager) => {
      await lockJob(manager, id);
      const standing = await manager.findOneBy(jobEntity, { id, deletedAt: IsNull() });
      if (!standing) throw notFound('job', id);
      const content = {
        ...jobContent(jobHeader(standing), standing),
        customMaterials: [...body.customMaterials],
      };
      const put = { id, version: body.version, content, now: now() };
      const written = await putVersioned(manager, jobEntity, put, jobWithMaterials);
      // Pieces that name a material which is gone, or one that cannot be, refuse the whole change.
      if (written.changed) {
        const loaded = await loadJob(manager, id);
        checkMaterials(loaded);
        await storePlans(manager, loaded, now(), { ...loaded, job: standing });
      }
      return written;
    });
    response.json(jobWithMaterials(row));
  });
  addBin(router, context, '/jobs', jobEntity, lockJob);
  return router;
}
