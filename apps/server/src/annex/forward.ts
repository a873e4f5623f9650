import { request as ask, type IncomingHttpHeaders } from 'node:http';
import { pipeline } from 'node:stream/promises';
import { serialize } from 'node:v8';
import { Router, type RequestHandler } from 'express';
import type { DataSource } from 'typeorm';
import { askerGone } from '../http/admission';
import { idParam } from '../http/body';
import { askingNow } from '../people/asking';
import { ASKING_HEADER } from './annexApp';
import { notThere, type Annex } from './annex';

/** What two neighbours say of their own connection, and of no other (RFC 9110, 7.6.1). */
const OWN_TO_A_CONNECTION = ['connection', 'keep-alive', 'transfer-encoding', 'expect', 'upgrade'];

const onward = (headers: IncomingHttpHeaders): IncomingHttpHeaders =>
  Object.fromEntries(
    Object.entries(headers).filter(([name]) => !OWN_TO_A_CONNECTION.includes(name)),
  );

/**
 * Hands a request on.
 * @param socket where it is handed on to, once that is there
 * @param taken a job was taken in
 */
export const forwardTo =
  (socket: Annex['socket'], taken: () => void): RequestHandler =>
  async (request, response, next) => {
    const socketPath = await socket();
    const { method, originalUrl: path } = request;
    const headers = {
      ...onward(request.headers),
      [ASKING_HEADER]: serialize(askingNow()).toString('base64'),
    };
    // Whoever leaves takes what was asked with them.
    const signal = askerGone();
    const asked = ask(
      { socketPath, method, path, headers, ...(signal ? { signal } : {}) },
      (answer) => {
        const { statusCode = 500 } = answer;
        response.status(statusCode).set(onward(answer.headers));
        if (method === 'POST' && statusCode < 300) taken();
        pipeline(answer, response).catch(() => response.destroy());
      },
    );
    asked.once('error', () => {
      // Nobody waits for it, or whoever did has been told that it took too long.
      if (signal?.aborted) return;
      // It ended in the middle: what it did not commit did not happen.
      if (response.headersSent) response.destroy();
      else next(notThere());
    });
    request.pipe(asked);
  };

/** A job of more holes is read whole by the annex. */
const MANY_HOLES = 400;

async function hasManyHoles(source: DataSource, jobId: string): Promise<boolean> {
  const [found] = await source.query<{ readonly holes: number }[]>(
    `SELECT COUNT(*) AS holes FROM (
       SELECT 1 FROM piece JOIN hole ON hole.piece_id = piece.id WHERE piece.job_id = ? LIMIT ?
     ) AS some`,
    [jobId, MANY_HOLES + 1],
  );
  return (found?.holes ?? 0) > MANY_HOLES;
}

/** What takes whole jobs in and out is done by the annex, so that nobody else waits for it. */
export function wholeJobRoutes(source: DataSource, toAnnex: RequestHandler): Router {
  const router = Router();
  router.post('/import', toAnnex);
  router.get('/jobs/:jobId/export', toAnnex);
  router.get('/jobs/:jobId/archive', toAnnex);
  router.get('/jobs/:jobId', async (request, response, next) => {
    if (await hasManyHoles(source, idParam(request, 'jobId')))
      void toAnnex(request, response, next);
    else next();
  });
  return router;
}
