import { deepEqual as equal } from 'fast-equals';
import { fetchJson } from './fetchJson';
import { afterNewThings } from './newThings';
import { ApiProblem, Unreachable } from './problem';

interface Versioned {
  readonly version: number;
}

/** Puts that were sent and never answered, by address: the server may have kept them all the same. */
const unanswered = new Map<string, unknown[]>();

/** What a server adds to what it was sent. */
const ADDED: ReadonlySet<string> = new Set([
  'id',
  'version',
  'updatedAt',
  'pieceId',
  'jobId',
  'customMaterials',
]);
const own = (thing: unknown): object =>
  Object.fromEntries(
    Object.entries(JSON.parse(JSON.stringify(thing)) as object).filter(([key]) => !ADDED.has(key)),
  );

/** Whether what the server has now is what was sent to this address without an answer. */
const wasSentHere = (path: string, current: unknown): boolean =>
  typeof current === 'object' &&
  current !== null &&
  (unanswered.get(path) ?? []).some((sent) => equal(own(sent), own(current)));

/** Notes that something sent to an address was not answered. */
function noteUnanswered(path: string, sent: unknown): void {
  unanswered.set(path, [...(unanswered.get(path) ?? []), sent]);
}

const noteAnswered = (path: string): boolean => unanswered.delete(path);

/**
 * Writes a thing over the version it was read at. An edit of one's own whose answer was lost, behind a database
 * that stood still say, is known again: the next is written over it, and nobody is shown a conflict with
 * themselves.
 */
export async function putOnce<T>(path: string, body: Versioned): Promise<T> {
  await afterNewThings();
  try {
    const answer = await fetchJson<T>(path, { method: 'PUT', body });
    noteAnswered(path);
    return answer;
  } catch (error) {
    if (error instanceof Unreachable) noteUnanswered(path, body);
    const current =
      error instanceof ApiProblem && error.body.code === 'conflict' ? error.body.current : null;
    if (!wasSentHere(path, current)) throw error;
    noteAnswered(path);
    return putOnce<T>(path, { ...body, version: (current as Versioned).version });
  }
}
