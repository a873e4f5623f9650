import { problemOf, Unreachable } from './problem';

const BASE = '/api/v1';
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
export async function fetchJson<T>(
  path: string,
  { method = 'GET', body, signal, withinMs = TIMEOUT_MS }: Request = {},
): Promise<T> {
  const timeout = AbortSignal.timeout(withinMs);
  let response: Response;
  try {
    response = await fetch(`${BASE}${path}`, {
      method,
      signal: signal ? AbortSignal.any([signal, timeout]) : timeout,
      ...(body === undefined
        ? {}
        : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    });
  } catch (error) {
    if (signal?.aborted) throw error;
    throw new Unreachable('server');
  }
  if (response.status === 204) return undefined as T;
  const data: unknown = await response.json().catch(() => null);
  if (response.ok) return data as T;
  throw problemOf(data);
}
