/** How long light requests take while every heavy one is under way. */
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { sleep } from '../setup/run.mjs';

const PIECES = 10;
const HOLES_A_PIECE = 1000;
const EACH_MS = 20;

/** A job of ten thousand holes, as a file. */
function largeJob(demo, name) {
  const [piece] = demo.pieces;
  const holes = Array.from({ length: HOLES_A_PIECE }, (_, index) => ({
    ...piece.holes[0],
    id: `h${index}`,
    xMm: 40 + (index % 40) * 40,
    yMm: 40 + Math.floor(index / 40) * 40,
  }));
  const outline = { kind: 'rectangle', widthMm: 1700, heightMm: 1100 };
  return JSON.stringify({
    ...demo,
    log: [],
    job: { id: name, name },
    pieces: Array.from({ length: PIECES }, (_, index) => ({
      ...piece,
      outline,
      id: `${name}-${index}`,
      name: `Pane ${index + 1}`,
      holes: holes.map((hole) => ({ ...hole, id: `${index}-${hole.id}` })),
    })),
  });
}

const ask = async (url, options) => {
  const response = await fetch(url, options);
  await response.arrayBuffer();
  return response.status;
};

/** In a thread of its own, which large answers do not hold up: asks for something light until it is told to stop. */
async function askLight({ api, paths }) {
  const took = [];
  const open = [];
  let done = false;
  parentPort.once('message', () => (done = true));
  for (let index = 0; !done; index++) {
    const path = paths[index % paths.length];
    const began = performance.now();
    open.push(
      ask(api + path).then((status) => {
        if (status !== 200) throw new Error(`${path} was answered with ${status}.`);
        took.push({ path, ms: performance.now() - began });
      }),
    );
    await sleep(EACH_MS);
  }
  await Promise.all(open);
  parentPort.postMessage(took.sort((a, b) => a.ms - b.ms));
}
if (!isMainThread) await askLight(workerData);

/** How long the light ones take while this is done. */
async function lightWhile(workerData, work) {
  const asking = new Worker(new URL(import.meta.url), { workerData });
  const took = new Promise((resolve, reject) => asking.on('message', resolve).on('error', reject));
  await work();
  asking.postMessage('enough');
  return took;
}

/**
 * @param {string} address of the server
 * @param {object} demo a job file with a run in its log
 * @returns {Promise<{ alone: Times, beside: Times }>} how long the light ones took by themselves, and meanwhile
 * @typedef {{ p50: number, p99: number, max: number }} Times ms
 */
export async function benchBeside(address, demo) {
  const api = `${address}/api/v1`;
  const json = async (path) => (await fetch(api + path)).json();
  const { items: jobs } = await json('/jobs');
  const small = await json(`/jobs/${jobs.at(-1).id}`);
  const holes = small.pieces.flatMap((piece) => piece.holes.map(({ id }) => id));
  const light = ['/jobs', '/bits', `/holes/${holes[0]}`, '/session', `/jobs/${small.id}`];
  for (const path of light) await ask(api + path);
  const figures = (took) => ({
    p50: took[Math.floor(took.length / 2)].ms,
    p99: took[Math.floor(0.99 * (took.length - 1))].ms,
    max: took.at(-1).ms,
  });
  const lightOnes = { api, paths: light };
  const before = figures(await lightWhile(lightOnes, () => sleep(3000)));

  const post = (name) => ({
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: largeJob(demo, name),
  });
  const first = await fetch(`${api}/import`, post('beside-1'));
  const { jobId } = await first.json();
  const second = post('beside-2');
  const beside = await lightWhile(lightOnes, () =>
    Promise.all(
      [
        `/jobs/${jobId}`,
        `/jobs/${jobId}/export`,
        `/jobs/${jobId}/archive`,
        '/learning',
        ...holes.slice(0, 4).flatMap((id) => [`/holes/${id}/risk`, `/holes/${id}/plan?bent=true`]),
      ]
        .map((path) => ask(api + path))
        .concat(ask(`${api}/import`, second)),
    ),
  );
  return { alone: before, beside: figures(beside) };
}
