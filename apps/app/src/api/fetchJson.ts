import { problemOf, Unreachable } from './problem';
import { noteAnswered, noteAskedWho } from './reachable';

export const BASE = '/api/v1';
const TIMEOUT_MS = 10_000;

interface Request {
  readonly method?: 'GET' | 'PUT' | 'POST' | 'DELETE';
  readonly body?: unknown;
  readonly signal?: AbortSignal;
  /** Longer where the server is given much to do. */
  readonly withinMs?: number;
}

/**
 * Asks the API. Throws Unreachable when nobody answers or the database is down, ApiProblem when
 * the answer is a refusal.
 */
async function ask(
  path: string,
  { method = 'GET', body, signal, withinMs = TIMEOUT_MS }: Request,
): Promise<Response> {
  const timeout = AbortSignal.timeout(withinMs);
  const sent: RequestInit =
    body === undefined
      ? {}
      : isBlob(body)
        ? { body, headers: { 'content-type': body.type } }
        : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } };
  let response: Response;
  try {
    response = await fetch(`${BASE}${path}`, {
      method,
      signal: signal ? AbortSignal.any([signal, timeout]) : timeout,
      ...sent,
    });
  } catch (error) {
    if (signal?.aborted) throw error;
    noteAnswered(false);
    throw new Unreachable('server');
  }
  const problem = response.ok ? null : problemOf(await response.json().catch(() => null));
  // A server without its database has nothing to show either.
  noteAnswered(!(problem instanceof Unreachable && problem.what === 'database'));
  if (problem instanceof Unreachable && problem.what === 'signIn') noteAskedWho();
  if (problem) throw problem;
  return response;
}

const isBlob = (body: unknown): body is Blob => typeof Blob === 'function' && body instanceof Blob;

/** What the API says, as JSON; nothing where it says nothing. */
export async function fetchJson<T>(path: string, request: Request = {}): Promise<T> {
  const response = await ask(path, request);
  if (response.status === 204) return undefined as T;
  const data: unknown = await response.json().catch(() => null);
  if (data === null) throw new Unreachable('server');
  return data as T;
}

/** What the API gives as a file. */
export async function fetchBlob(path: string, withinMs: number): Promise<Blob> {
  const response = await ask(path, { withinMs });
  return response.blob().catch(() => {
    throw new Unreachable('server');
  });
}
