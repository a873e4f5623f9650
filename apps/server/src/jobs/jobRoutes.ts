import { putJob, putMaterials } from '@nucleon/contract/bodies';
import { validator } from '@nucleon/contract/validator';
import type { StoredJob } from '@nucleon/contract/wire';
import { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { lockJob } from '../database/locks';
import { transact } from '../database/transact';
import { workshopNow } from '../database/workshop';
import { refuseClashes } from '../documents/checkAlone';
import type { JobDocument } from '../documents/documentKinds';
import { loadJob, type JobRow } from '../documents/loadJob';
import { findOne, put } from '../documents/repository';
import { headerOf, pieceOf, SHOWN } from '../documents/shown';
import { checkedBody, idParam } from '../http/body';
import { notFound } from '../http/problem';
import { planAfterWrite } from '../plans/planAfterWrite';
import type { ServerContext } from '../serverContext';
import { bench } from './bench';
import { jobDetail } from './jobDetail';
import { listJobs } from './listJobs';

const checkJobBody = validator(putJob);
const checkMaterialsBody = validator(putMaterials);

const storedJob = (row: JobRow): StoredJob => {
  const { customMaterials: _materials, ...job } = SHOWN.job(row);
  return job;
};

export function jobRoutes({ source, now }: ServerContext): Router {
  const router = Router();
  /** Writes what a change makes of a job’s document, and plans its holes anew. */
  const change = (
    id: string,
    version: number,
    changed: (standing: JobDocument | undefined) => JobDocument,
    check: (manager: EntityManager) => Promise<void> = () => Promise.resolve(),
  ): Promise<JobRow> =>
    transact(source, async (manager) => {
      await lockJob(manager, id);
      const standing = await findOne(manager, 'job', { id });
      const document = changed(standing?.document);
      const one = { id, parentId: workshopNow(), version, document };
      const written = await put(manager, 'job', one, now(), standing);
      // A job's own answers settle gates of every hole in it, and its materials may be theirs.
      if (written.changed && standing) {
        await check(manager);
        const loaded = await loadJob(manager, id);
        await planAfterWrite(manager, loaded, { ...loaded, job: standing });
      }
      return written.row;
    });
  router.get('/jobs', async (request, response) => {
    response.json(await listJobs(source.manager, request.query));
  });
  router.get('/bench', async (_request, response) => {
    response.json(await bench(source));
  });
  router.get('/jobs/:jobId', async (request, response) => {
    response.json(await jobDetail(source, idParam(request, 'jobId')));
  });
  router.put('/jobs/:jobId', async (request, response) => {
    const id = idParam(request, 'jobId');
    const { version, ...body } = checkedBody(request, checkJobBody);
    const job = headerOf(body);
    const row = await change(id, version, (standing) => ({ ...standing, job }));
    response.json(storedJob(row));
  });
  router.put('/jobs/:jobId/materials', async (request, response) => {
    const id = idParam(request, 'jobId');
    const { version, customMaterials } = checkedBody(request, checkMaterialsBody);
    const row = await change(
      id,
      version,
      (standing) => {
        if (!standing) throw notFound('job', id);
        return { ...standing, customMaterials };
      },
      // Pieces that name a material which is gone, or one that cannot be, refuse the whole change.
      async (manager) => {
        const { pieces } = await loadJob(manager, id);
        refuseClashes({
          pieces: pieces.map((piece) => ({ ...pieceOf(piece), holes: [] })),
          customMaterials,
        });
      },
    );
    response.json(SHOWN.job(row));
  });
  return router;
}
