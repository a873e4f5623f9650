import { deserialize, serialize } from 'node:v8';
import express, { type Express } from 'express';
import { exchangeRoutes } from '../exchange/exchangeRoutes';
import type { HeavyAsked } from '../heavy/heavyWork';
import { askerGone, deadline, IMPORT_PATH } from '../http/admission';
import { idParam } from '../http/body';
import { jsonBody } from '../http/jsonBody';
import { problemHandler } from '../http/problemHandler';
import { jobDetail } from '../jobs/jobDetail';
import { whileAsking, type Asking } from '../people/asking';
import type { ServerContext } from '../serverContext';

/** A job with the log of some years: three thousand runs and their plans are 45 MB. */
const IMPORT_LIMIT = { bytes: 64 * 1024 * 1024, values: 6_000_000 };

/** Who asks, as the server found it: nobody else reaches this. */
export const ASKING_HEADER = 'x-nucleon-asking';
/** A task in, what it comes to out, in V8’s own writing. */
export const HEAVY_PATH = '/heavy';
const LARGEST_TASK_BYTES = 256 * 1024 * 1024;
/** Whoever asks has a deadline of their own; nobody waits for what the log tells. */
const HEAVY_MS = 300_000;

/** Computes, and takes whole jobs in and out, for a server that lets in who may. */
export function annexApp(
  context: Pick<ServerContext, 'source' | 'now' | 'newId' | 'heavy'>,
  log: (text: string) => void,
): Express {
  const app = express();
  app.disable('x-powered-by');
  app.post(
    HEAVY_PATH,
    deadline(() => HEAVY_MS),
    express.raw({ type: () => true, limit: LARGEST_TASK_BYTES }),
    async (request, response) => {
      const { task, input } = deserialize(request.body as Buffer) as HeavyAsked;
      const answer = await context.heavy.run(task, input, askerGone());
      response.type('application/octet-stream').send(serialize(answer));
    },
  );
  app.use(deadline(), (request, _response, next) => {
    const asking = deserialize(Buffer.from(request.get(ASKING_HEADER) ?? '', 'base64')) as Asking;
    whileAsking(asking, () => {
      next();
    });
  });
  app.use(IMPORT_PATH, jsonBody(IMPORT_LIMIT));
  app.use('/api/v1', exchangeRoutes(context));
  app.get('/api/v1/jobs/:jobId', async (request, response) => {
    response.json(await jobDetail(context.source, idParam(request, 'jobId')));
  });
  app.use(problemHandler(log));
  return app;
}
