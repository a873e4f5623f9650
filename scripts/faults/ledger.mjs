/** Writes holes and entries of runs, and remembers which of them the server said it had. */
import { randomUUID } from 'node:crypto';
import { Agent, request } from 'node:http';

const ANSWER_WITHIN_MS = 15_000;
const SHEET_MM = 4000;
/** Entries of one run: about what a long hole makes. */
const A_RUN = 100;

/** @param {readonly string[]} addresses servers of one database; the next is asked where one does not answer */
export async function openLedger(...addresses) {
  let at = 0;
  const agent = new Agent({ keepAlive: true });
  // Node's own fetch takes some milliseconds of this process for each, and would be what is measured.
  const send = (method, path, body) =>
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
          headers: { 'content-type': 'application/json' },
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
      asked.on('error', failed).end(body === undefined ? undefined : JSON.stringify(body));
    });
  const [jobId, pieceId] = [randomUUID(), randomUUID()];
  const runIds = [];
  await send('PUT', `/jobs/${jobId}`, { name: 'Faults', version: 0 });
  await send('PUT', `/jobs/${jobId}/pieces/${pieceId}`, {
    name: 'Sheet',
    form: 'sheet',
    material: 'float-glass',
    thicknessMm: 6,
    outline: { kind: 'rectangle', widthMm: SHEET_MM, heightMm: SHEET_MM },
    version: 0,
  });
  const acknowledged = new Set();
  const open = [];
  let count = 0;
  let lastMs = Date.now();
  let longestMs = 0;

  const write = async ({ id, path, method, body }) => {
    const answer = await send(method, path, body).catch(() => null);
    if (answer?.status === 200) {
      acknowledged.add(id);
      longestMs = Math.max(longestMs, Date.now() - lastMs);
      lastMs = Date.now();
    }
    return answer;
  };
  const next = () => {
    const id = randomUUID();
    const n = ++count;
    if (n % A_RUN === 1) runIds.push(randomUUID());
    return n % 2 === 0
      ? {
          id,
          method: 'PUT',
          path: `/pieces/${pieceId}/holes/${id}`,
          body: {
            xMm: 20 + ((n * 37) % (SHEET_MM - 40)),
            yMm: 20 + ((n * 91) % (SHEET_MM - 40)),
            diameterMm: 8,
            depth: { kind: 'through' },
            version: 0,
          },
        }
      : {
          id,
          method: 'POST',
          path: `/runs/${runIds.at(-1)}/events`,
          body: {
            events: [
              {
                id,
                n,
                at: new Date().toISOString(),
                tickMs: n,
                session: 's',
                device: 'd',
                act: { kind: 'drive' },
              },
            ],
          },
        };
  };
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
      const was = longestMs;
      [longestMs, lastMs] = [0, Date.now()];
      return was;
    },
    /** How many acknowledged writes are gone, and how many are there twice. */
    audit: async () => {
      const job = JSON.parse((await send('GET', `/jobs/${jobId}`)).text);
      const ids = job.pieces.flatMap(({ holes }) => holes.map(({ id }) => id));
      for (const runId of runIds) {
        const run = await send('GET', `/runs/${runId}`);
        if (run.status === 200) ids.push(...JSON.parse(run.text).events.map(({ id }) => id));
      }
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

/** Writes on and on, a few at once, until told to stop. */
export function keepWriting(ledger, atOnce = 3) {
  let going = true;
  const one = async () => {
    while (going) {
      const answer = await ledger.writeOne();
      // Away: no sense in asking a hundred times a second.
      if (answer?.status !== 200) await new Promise((resolve) => setTimeout(resolve, 50));
    }
  };
  const all = Promise.all(Array.from({ length: atOnce }, one));
  return async () => {
    going = false;
    await all;
  };
}
