import { pipeline } from 'node:stream/promises';
import { Readable } from 'node:stream';
import { checkJobData } from '@nucleon/contract/readJobFile';
import type { JobImported } from '@nucleon/contract/wire';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import express, { Router, type Request, type Response } from 'express';
import { validate as isUuid } from 'uuid';
import { transact } from '../database/transact';
import { workshopNow } from '../database/workshop';
import { checkedBody, idParam } from '../http/body';
import { faultyProblem } from '../http/problem';
import { KINDS } from '../documents/documentKinds';
import { jobDetail } from '../jobs/jobDetail';
import type { ServerContext } from '../serverContext';
import { exportArchive } from './exportArchive';
import { exportJob } from './exportJob';
import { importArchive } from './importArchive';
import { withList } from './jsonText';
import { readArchive, type Archive } from './readArchive';

const ZIP = 'application/zip';
const LARGEST_ARCHIVE_BYTES = 128 * 1024 * 1024;

/** `?id=UUID`: the job this import makes, made by the sender so that sending again makes no second. */
function askedId(request: Request): string | undefined {
  const { id } = request.query;
  if (id === undefined || (typeof id === 'string' && isUuid(id) && id === id.toLowerCase()))
    return id;
  throw faultyProblem([
    {
      pointer: '?id',
      message: `id is “${JSON.stringify(id).slice(0, 60)}”; it must be a new UUID in small letters.`,
    },
  ]);
}

const fileName = ({ job }: Pick<JobFile, 'job'>): string =>
  job.name
    .replace(/[^\p{L}\p{N} -]/gu, '')
    .trim()
    .replace(/ +/g, '-')
    .toLowerCase() || 'job';

/** What was read, or the sentence that says why not. */
async function archiveIn(request: Request): Promise<Archive> {
  if (request.is(ZIP)) return readArchive(request.body as Buffer);
  return { file: checkedBody(request, checkJobData), pictures: [], left: [] };
}

export type ExchangeContext = Pick<ServerContext, 'source' | 'now' | 'newId'>;

/** Jobs out and in, whole: as an open file, or as an archive with every picture. */
export function exchangeRoutes({ source, now, newId }: ExchangeContext): Router {
  const router = Router();
  const zipBody = express.raw({ type: ZIP, limit: LARGEST_ARCHIVE_BYTES });
  router.post('/import', zipBody, async (request: Request, response: Response) => {
    const id = askedId(request);
    const archive = await archiveIn(request);
    const imported = await transact(source, async (manager): Promise<JobImported> => {
      if (
        id !== undefined &&
        (await manager.existsBy(KINDS.job.entity, { id, parentId: workshopNow() }))
      )
        return { jobId: id, skipped: [], left: [], differs: [] };
      const { jobId, skipped, left, differs } = await importArchive(
        archive,
        { manager, now: now(), newId },
        id,
      );
      return { jobId, skipped, left, differs };
    });
    // In time for the list, which counts what is stopped; a long job’s other holes wait until it is opened.
    await jobDetail(source, imported.jobId);
    response.status(201).location(`/api/v1/jobs/${imported.jobId}`).json(imported);
  });
  router.get('/jobs/:jobId/export', async (request, response) => {
    const job = await exportJob(source, idParam(request, 'jobId'));
    response.attachment(`${fileName(job.file)}.nucleon.json`).type('application/json');
    await pipeline(Readable.from(withList(job.file, 'log', job.log)), response);
  });
  router.get('/jobs/:jobId/archive', async (request, response) => {
    const job = await exportJob(source, idParam(request, 'jobId'));
    response.attachment(`${fileName(job.file)}.nucleon.zip`).type(ZIP);
    await pipeline(await exportArchive(source, job), response);
  });
  return router;
}
