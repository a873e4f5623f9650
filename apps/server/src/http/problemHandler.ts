import type { ErrorRequestHandler, Response } from 'express';
import {
  isDatabaseDown,
  isDiskFull,
  isDuplicateKey,
  isReadOnly,
  isWorthRetrying,
} from '../database/databaseErrors';
import { faultyProblem, Problem } from './problem';

/** Body-parser's own faults carry a type. */
interface ParserFault {
  readonly type?: string;
  readonly limit?: number;
}

function problemOf(error: unknown, log: (text: string) => void): Problem {
  if (error instanceof Problem) return error;
  const { type, limit } = (error ?? {}) as ParserFault;
  if (type === 'entity.parse.failed') return new Problem('bad-json', 'The body is not JSON.');
  if (type === 'entity.too.large')
    return new Problem(
      'too-large',
      `What was sent is over ${Math.round((limit ?? 0) / 1024 / 1024)} MB; send less at a time.`,
    );
  if (type === 'charset.unsupported' || type === 'encoding.unsupported') {
    return new Problem('wrong-media-type', 'Send UTF-8 JSON, plain or gzip.');
  }
  if (type?.startsWith('entity.') || type?.startsWith('request.') || error instanceof URIError) {
    return new Problem('bad-json', 'The request could not be read.');
  }
  if (isDatabaseDown(error))
    return new Problem(
      'database-unavailable',
      'The database does not answer; nothing was changed. Try again shortly.',
    );
  if (isDuplicateKey(error))
    return faultyProblem([
      {
        pointer: '/id',
        message:
          'Two ids in what was sent, or one of them and one that is here, differ only in case or accents; make new ids.',
      },
    ]);
  if (isWorthRetrying(error))
    return new Problem(
      'busy',
      'Too many were writing the same at once; nothing was changed. Send it again.',
    );
  if (isDiskFull(error))
    return new Problem(
      'storage-full',
      'The disk is full; nothing was changed. It goes on by itself when there is room again.',
    );
  if (isReadOnly(error))
    return new Problem(
      'storage-full',
      'The disk cannot be written to; nothing was changed. It goes on by itself when it can.',
    );
  log(error instanceof Error ? (error.stack ?? error.message) : String(error));
  return new Problem('unexpected', 'Something went wrong on the server; nothing was changed.');
}

export function sendProblem(response: Response, problem: Problem): void {
  const body = problem.body();
  response.status(body.status).type('application/problem+json').send(JSON.stringify(body));
}

/** Every fault leaves as problem+json, with no stack trace. */
export const problemHandler =
  (log: (text: string) => void): ErrorRequestHandler =>
  (error: unknown, _request, response, _next) => {
    // Answered already: too late, or half a file is out. The sender sees that it ends early.
    if (response.headersSent) {
      if (!response.writableEnded) response.destroy();
      return;
    }
    // Stopped because whoever asked has left: there is nobody to tell.
    if (response.destroyed && error instanceof Error && error.name === 'AbortError') return;
    sendProblem(response, problemOf(error, log));
  };
