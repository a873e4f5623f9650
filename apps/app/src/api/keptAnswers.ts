import type { JobDetail } from '@nucleon/contract/wire';
import { hashKey, type Query, type QueryClient } from '@tanstack/react-query';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { houseQuery } from './house';
import { jobsQuery } from './jobs';
import { keys } from './keys';
import { bitsQuery, machinesQuery, partsQuery } from './kit';
import { learningQuery } from './learning';
import { useReachable } from './reachable';

/** One answer of the server, by what was asked. */
interface KeptAnswer {
  readonly queryKey: readonly unknown[];
  readonly data: unknown;
  readonly atMs: number;
}
interface AnswersDb extends DBSchema {
  answers: { key: string; value: KeptAnswer };
}
type Db = IDBPDatabase<AnswersDb>;

const NAME = 'nucleon-answers';
const STORE = 'answers';
/** Raised when the shape of answers changes: what is kept in another is let go of. */
const VERSION = 1;
/** What was not asked for in this long is let go of. */
const KEPT_MS = 30 * 24 * 3600 * 1000;

const open = (): Promise<Db> =>
  openDB<AnswersDb>(NAME, VERSION, {
    upgrade: (fresh) => {
      fresh.createObjectStore(STORE);
    },
  });

/**
 * Writes down what the server answers, and puts it back when it does not: jobs opened before, their plans and the kit
 * are shown as they stood. While the server answers, nothing but its answers is shown.
 */
export async function keepAnswers(client: QueryClient, now: () => number): Promise<void> {
  const db = await open();
  client.getQueryCache().subscribe(({ type, query }) => {
    // A device without room shows less without a server; nothing of the person's own is in it.
    if (type === 'updated' && query.state.status === 'success')
      writeDown(db, query as Query).catch(() => undefined);
  });
  const putBack = ({ answered }: { readonly answered: boolean }): void => {
    if (!answered) void restore(db, client, now()).catch(() => undefined);
  };
  useReachable.subscribe(putBack);
  putBack(useReachable.getState());
}

/** Lets go of all that was kept: whoever signs out leaves nothing of the workshop’s behind. */
export async function forgetAnswers(client: QueryClient): Promise<void> {
  await (await open()).clear(STORE);
  client.clear();
}

/** The list of jobs, and what every plan needs: asked for before a signal is lost. */
export function fetchWorkshop(client: QueryClient): void {
  const nobodyAnswers = (): undefined => undefined;
  for (const query of [bitsQuery, machinesQuery, partsQuery, houseQuery, learningQuery])
    client.query(query as never).catch(nobodyAnswers);
  client.infiniteQuery(jobsQuery('')).catch(nobodyAnswers);
}

async function restore(db: Db, client: QueryClient, nowMs: number): Promise<void> {
  for (const { queryKey, data, atMs } of await db.getAll(STORE)) {
    if (nowMs - atMs > KEPT_MS) await db.delete(STORE, hashKey(queryKey));
    else if (client.getQueryData(queryKey) === undefined)
      client.setQueryData(queryKey, data, { updatedAt: atMs });
  }
}

const [JOB] = keys.job();

async function writeDown(db: Db, { queryKey, state }: Query): Promise<void> {
  const [kind, asked] = queryKey;
  const isSearch =
    typeof asked === 'object' && asked !== null && 'search' in asked && asked.search !== '';
  if (isSearch) return;
  const atMs = state.dataUpdatedAt;
  const rows: KeptAnswer[] = [{ queryKey, data: state.data, atMs }];
  if (kind === JOB && queryKey.length === 2) rows.push(...answersIn(state.data as JobDetail, atMs));
  const writing = db.transaction(STORE, 'readwrite');
  await Promise.all([
    ...rows.map((row) => writing.store.put(row, hashKey(row.queryKey))),
    writing.done,
  ]);
}

/** A job brings all of its holes and layouts: none has to be opened to be there without a server. */
function answersIn({ pieces, ...job }: JobDetail, atMs: number): readonly KeptAnswer[] {
  return pieces.flatMap(({ holes: listed, ...piece }) => {
    const holes = listed.map(
      ({ headline: _plan, faults: _faults, lastRun: _run, ...hole }) => hole,
    );
    return [
      { queryKey: keys.layout(piece.id), data: { job, piece, holes }, atMs },
      ...holes.map((hole) => ({ queryKey: keys.hole(hole.id), data: { job, piece, hole }, atMs })),
    ];
  });
}
