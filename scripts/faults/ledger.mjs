/** Writes all that devices write, and remembers which of it the server said it had. */
import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { Agent, request } from 'node:http';
import { join } from 'node:path';
import { ROOT } from '../setup/root.mjs';
import { sleep } from '../setup/run.mjs';

const ANSWER_WITHIN_MS = 15_000;
const SHEET_MM = 4000;
/** Entries of one run: about what a long hole makes. */
const A_RUN = 100;
const PAGE = 200;

const hole = (n, version = 0) => ({
  xMm: 20 + ((n * 37) % (SHEET_MM - 40)),
  yMm: 20 + ((n * 91) % (SHEET_MM - 40)),
  diameterMm: 8,
  depth: { kind: 'through' },
  version,
});
const entry = (id, n, act = { kind: 'drive' }) => ({
  events: [{ id, n, at: new Date().toISOString(), tickMs: n, session: 's', device: 'd', act }],
});

/** What devices write most: where holes go, and what is done at the bench. */
export const BENCH_WRITES = [
  { each: 2, of: ({ pieceId }, id, n) => ['PUT', `/pieces/${pieceId}/holes/${id}`, hole(n)] },
  { each: 1, of: ({ runId }, id, n) => ['POST', `/runs/${runId}/events`, entry(id, n)] },
];
/** Every kind of write; each n-th is the first whose `each` divides it. */
export const ALL_WRITES = [
  {
    each: 50,
    of: ({ jobId }, id) => [
      'PUT',
      `/jobs/${jobId}/pieces/${id}`,
      { ...SHEET, name: 'Offcut', version: 0 },
    ],
  },
  { each: 40, of: (_, id) => ['PUT', `/jobs/${id}`, { name: 'Another', version: 0 }] },
  {
    each: 30,
    of: (_, id) => [
      'PUT',
      `/bits/${id}`,
      { name: 'Cup', family: 'plated-cup-saw', diameterMm: 10, version: 0 },
    ],
  },
  { each: 25, of: ({ runId }, id) => ['PUT', `/runs/${runId}/photos/${id}`, PICTURE] },
  {
    each: 20,
    of: ({ pieceId }, id, n) => [
      'PUT',
      `/pieces/${pieceId}/layout`,
      { holes: [{ id, ...hole(n) }] },
    ],
  },
  ...BENCH_WRITES,
];
/** Stands for the bytes of a picture. */
const PICTURE = Symbol('picture');
const SHEET = {
  form: 'sheet',
  material: 'float-glass',
  thicknessMm: 6,
  outline: { kind: 'rectangle', widthMm: SHEET_MM, heightMm: SHEET_MM },
};

/** Asks one server after another; whoever has signed in waits where they ask more than a hand can. */
async function openSender({ addresses, headers }) {
  let at = 0;
  const agent = new Agent({ keepAlive: true });
  const picture = await readFile(join(ROOT, 'apps', 'app', 'public', 'icon-192.png'));
  // Node's own fetch takes some milliseconds of this process for each, and would be what is measured.
  const sendOnce = (method, path, body) =>
    new Promise((resolve, reject) => {
      const began = Date.now();
      const failed = (error) => {
        at++;
        reject(error);
      };
      const asked = request(
        `${addresses[at % addresses.length]}/api/v1${path}`,
        {
          method,
          agent,
          headers: {
            ...headers,
            'content-type': body === PICTURE ? 'image/png' : 'application/json',
          },
          signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
        },
        (response) => {
          let text = '';
          response
            .setEncoding('utf8')
            .on('data', (part) => (text += part))
            .on('error', failed)
            .on('end', () => {
              if (response.statusCode === 503) at++;
              resolve({ status: response.statusCode, text, tookMs: Date.now() - began });
            });
        },
      );
      const bytes = body === PICTURE ? picture : body && JSON.stringify(body);
      asked.on('error', failed).end(bytes);
    });
  return async (method, path, body) => {
    for (;;) {
      const answer = await sendOnce(method, path, body);
      if (answer.status !== 429) return answer;
      await sleep(1000);
    }
  };
}

/**
 * @param {{ addresses: readonly string[], headers?: object }} where servers of one database, the next asked where one does
 *   not answer; headers: of whoever has signed in
 */
export async function openLedger({ addresses, headers = {}, writes = BENCH_WRITES }) {
  const send = await openSender({ addresses, headers });
  const read = async (path) => JSON.parse((await send('GET', path)).text);
  const [jobId, pieceId] = [randomUUID(), randomUUID()];
  const runIds = [];
  await send('PUT', `/jobs/${jobId}`, { name: 'Faults', version: 0 });
  await send('PUT', `/jobs/${jobId}/pieces/${pieceId}`, { ...SHEET, name: 'Sheet', version: 0 });
  const acknowledged = new Set();
  /** Paths of what is read one by one: other jobs, pictures. */
  const paths = new Map();
  const open = [];
  let [count, lastMs, longestMs] = [0, Date.now(), 0];

  const next = () => {
    const id = randomUUID();
    const n = ++count;
    if (n % A_RUN === 1) runIds.push(randomUUID());
    const { of } = writes.find(({ each }) => n % each === 0);
    const [method, path, body] = of({ jobId, pieceId, runId: runIds.at(-1) }, id, n);
    if (/^\/jobs\/[^/]+$|\/photos\//.test(path)) paths.set(id, path);
    return { id, method, path, body };
  };
  const write = async ({ id, method, path, body }) => {
    const answer = await send(method, path, body).catch(() => null);
    if (answer?.status === 200) {
      acknowledged.add(id);
      longestMs = Math.max(longestMs, Date.now() - lastMs);
      lastMs = Date.now();
    }
    return answer;
  };
  const all = () =>
    idsThere({
      send,
      read,
      jobId,
      runIds,
      paths: [...paths].filter(([id]) => acknowledged.has(id)),
    });
  return {
    send,
    /** One write; what it was answered, null for no answer. */
    writeOne: async () => {
      const one = next();
      const answer = await write(one);
      if (!acknowledged.has(one.id)) open.push(one);
      return answer;
    },
    /** Sends again what was never acknowledged, as a device does. */
    resend: async () => {
      for (const one of open.splice(0)) {
        await write(one);
        if (!acknowledged.has(one.id)) open.push(one);
      }
      return open.length;
    },
    /** The longest time without an acknowledged write since it was asked last, ms. */
    longestWaitMs: () => {
      // One that waits still has waited so long already.
      const was = Math.max(longestMs, Date.now() - lastMs);
      [longestMs, lastMs] = [0, Date.now()];
      return was;
    },
    /** How many acknowledged writes are gone, and how many are there twice. */
    audit: async () => {
      const ids = await all();
      const there = new Set(ids);
      return {
        tried: count,
        lost: [...acknowledged].filter((id) => !there.has(id)).length,
        doubled: ids.length - there.size,
        unanswered: open.length,
      };
    },
  };
}

/** Ids of all that is there, each as often as it is. */
async function idsThere({ send, read, jobId, runIds, paths }) {
  const { pieces } = await read(`/jobs/${jobId}`);
  const ids = pieces.flatMap(({ id, holes }) => [id, ...holes.map((one) => one.id)]);
  for (const runId of runIds) {
    const run = await send('GET', `/runs/${runId}`);
    if (run.status === 200) ids.push(...JSON.parse(run.text).events.map(({ id }) => id));
  }
  for (let page = 1, full = true; full; page++) {
    const { items } = await read(`/bits?page=${page}&pageSize=${PAGE}`);
    ids.push(...items.map(({ id }) => id));
    full = items.length === PAGE;
  }
  for (const [id, path] of paths) if ((await send('GET', path)).status === 200) ids.push(id);
  return ids;
}

/** Writes on and on, a few at once, until told to stop. */
export function keepWriting(ledger, { atOnce = 3, restMs = 0 } = {}) {
  let going = true;
  const one = async () => {
    while (going) {
      const answer = await ledger.writeOne();
      // Away: no sense in asking a hundred times a second.
      await sleep(answer?.status === 200 ? restMs : Math.max(restMs, 50));
    }
  };
  const all = Promise.all(Array.from({ length: atOnce }, one));
  return async () => {
    going = false;
    await all;
  };
}
