import { AsyncLocalStorage } from 'node:async_hooks';
import type { RequestHandler, Response } from 'express';
import { Problem } from './problem';
import { sendProblem } from './problemHandler';

/** Requests at once that are still answered soon: beyond them waiting only makes everyone late. */
export interface AdmissionLimits {
  readonly writes: number;
  readonly reads: number;
}
const USUAL_LIMITS: AdmissionLimits = { writes: 16, reads: 128 };
const RETRY_AFTER_S = 1;

const BUSY = new Problem(
  'busy',
  'The server is busy; nothing was changed. Try again in a second.',
).body();
const BUSY_TEXT = JSON.stringify(BUSY);
const BUSY_HEADERS = {
  'Content-Type': 'application/problem+json; charset=utf-8',
  'Content-Length': Buffer.byteLength(BUSY_TEXT),
  'Retry-After': RETRY_AFTER_S,
};

/**
 * Sends away at once, with when to come again, what could not be answered soon. It stands before all else
 * and writes one ready answer: hundreds sent away in a second must leave the server time for its work.
 */
export function admission(limits: AdmissionLimits = USUAL_LIMITS): RequestHandler {
  const active = { writes: 0, reads: 0 };
  return (request, response, next) => {
    const kind = request.method === 'GET' || request.method === 'HEAD' ? 'reads' : 'writes';
    if (active[kind] >= limits[kind]) {
      response.writeHead(BUSY.status, BUSY_HEADERS).end(BUSY_TEXT);
      return;
    }
    active[kind]++;
    response.once('close', () => {
      active[kind]--;
    });
    next();
  };
}

/** Of the request at hand. */
interface Deadline {
  /** It has been answered already, for it took too long. */
  passed: boolean;
  /** Aborted when whoever asked has left, or was told that it took too long. */
  readonly gone: AbortSignal;
}
const deadlines = new AsyncLocalStorage<Deadline>();

export const IMPORT_PATH = '/api/v1/import';
const WHOLE_JOB = /^\/api\/v1\/(import|jobs\/[^/]+\/(export|archive))\b/i;
/** A person's own client gives up after 10 s: it is told before, with time for a weak signal and a slow machine. A large job is read, checked and stored whole. */
const usualMs = (path: string): number => (WHOLE_JOB.test(path) ? 60_000 : 8000);

const tooLate = (wrote: boolean): Problem =>
  new Problem(
    'database-unavailable',
    wrote
      ? 'The database did not answer in time. The change may not have been kept: send it again.'
      : 'The database did not answer in time. Try again shortly.',
  );

/** Answers for a request that the database leaves hanging, and marks it so that nothing of it is written later. */
export function deadline(afterMs = usualMs): RequestHandler {
  return (request, response: Response, next) => {
    const leave = new AbortController();
    const mine: Deadline = { passed: false, gone: leave.signal };
    let timer: NodeJS.Timeout | undefined;
    const begin = (): void => {
      // One that was refused before its body was here: nobody waits for it.
      if (response.writableEnded) return;
      timer = setTimeout(() => {
        // A long answer that has begun goes on.
        if (response.headersSent) return;
        mine.passed = true;
        leave.abort();
        sendProblem(response, tooLate(request.method !== 'GET'));
      }, afterMs(request.originalUrl));
    };
    // A picture over a weak signal takes what it takes: the time counts from when it is here.
    if (Number(request.headers['content-length'] ?? 0) > 0 || request.headers['transfer-encoding'])
      request.once('end', begin);
    else begin();
    response.once('close', () => {
      clearTimeout(timer);
      if (!response.writableFinished) leave.abort();
    });
    deadlines.run(mine, () => {
      next();
    });
  };
}

/** Aborted when nobody waits for the answer any more; undefined where nobody asked. */
export const askerGone = (): AbortSignal | undefined => deadlines.getStore()?.gone;

/** Throws where the sender was told that it took too long: call before a change is made to last. */
export function refuseIfLate(): void {
  if (deadlines.getStore()?.passed) throw tooLate(true);
}
