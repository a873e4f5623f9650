/** What nobody should send, to every door that takes something: each is refused in a sentence, and nothing of it is kept. */
import { randomUUID } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { ROOT } from '../setup/root.mjs';
import { newFolder, openStack } from './stack.mjs';

const INPUTS = 400;
const SHORT = 120;
const SOON_MS = 10_000;
const MIN_SENTENCE = 10;

const nested = (depth) => JSON.parse(`${'['.repeat(depth)}${']'.repeat(depth)}`);
/** In the place of something right. */
const ODD_VALUES = [
  null,
  true,
  -1,
  1e308,
  -0.0001,
  '',
  'NaN',
  '12 mm',
  'x'.repeat(100_000),
  '\u0000',
  '\u202egnp.exe',
  "'; DROP TABLE job; --",
  '../../etc/passwd',
  '9999-99-99T99:99:99Z',
  [],
  {},
  nested(40),
  Array(20_000).fill(0),
];

/** Every place of a document: [the thing that holds it, its key]. */
function placesOf(document, places = []) {
  for (const key of Object.keys(document ?? {})) {
    places.push([document, key]);
    if (typeof document[key] === 'object') placesOf(document[key], places);
  }
  return places;
}

/** Ways to spoil a document that is right, as bytes. */
const SPOILERS = [
  (document, random) => {
    const [holder, key] = anyOf(placesOf(document), random);
    holder[key] = anyOf(ODD_VALUES, random);
    return JSON.stringify(document);
  },
  (document, random) => {
    const [holder, key] = anyOf(placesOf(document), random);
    delete holder[key];
    return JSON.stringify(document);
  },
  (document, random) => {
    const text = JSON.stringify(document);
    return text.slice(0, Math.floor(random() * text.length));
  },
  (document, random) => {
    const bytes = Buffer.from(JSON.stringify(document));
    for (let n = 0; n < 3; n++) bytes[Math.floor(random() * bytes.length)] = random() * 256;
    return bytes;
  },
  (document) => `{"__proto__":{"name":"x"},"constructor":1,${JSON.stringify(document).slice(1)}`,
  () => '\ufeff[]',
  () => '{"version":0,"version":1e999}',
];

const anyOf = (list, random) => list[Math.floor(random() * list.length)];

/** Of what is read of a thing, what is not sent back. */
const NOT_SENT = ['id', 'jobId', 'pieceId', 'updatedAt', 'holes', 'headline', 'faults', 'lastRun'];

/** What takes something: its method, its path and something right to send there. */
async function doorsOf(api) {
  const read = async (path) => (await fetch(api + path)).json();
  const file = JSON.parse(await readFile(join(ROOT, 'demo', '1-dial-house.json'), 'utf8'));
  const { items } = await read('/jobs');
  const job = await read(`/jobs/${items[0].id}`);
  const [piece] = job.pieces;
  const [hole] = piece.holes;
  const { items: bits } = await read('/bits');
  const { items: machines } = await read('/machines');
  const bare = (shown) =>
    Object.fromEntries(Object.entries(shown).filter(([key]) => !NOT_SENT.includes(key)));
  const picture = await readFile(join(ROOT, 'apps', 'app', 'public', 'icon-192.png'));
  const archive = Buffer.from(await (await fetch(`${api}/jobs/${job.id}/archive`)).arrayBuffer());
  const [run] = file.log;
  const photo = randomUUID();
  return [
    ['PUT', `/jobs/${job.id}`, { name: job.name, version: job.version }],
    ['PUT', `/jobs/${job.id}/materials`, { customMaterials: [], version: job.version }],
    ['PUT', `/jobs/${job.id}/pieces/${piece.id}`, bare(piece)],
    ['PUT', `/pieces/${piece.id}/holes/${hole.id}`, bare(hole)],
    ['PUT', `/pieces/${piece.id}/layout`, await read(`/pieces/${piece.id}/layout`)],
    ['POST', `/holes/${hole.id}/coverage`, { confirmed: [], holeIds: [hole.id] }],
    ['PUT', `/bits/${bits[0].id}`, bare(bits[0])],
    ['POST', '/bits/batch', { bits: [{ ...bare(bits[0]), id: randomUUID() }] }],
    ['PUT', `/machines/${machines[0].id}`, bare(machines[0])],
    ['PUT', '/house', { ...(await read('/house')), version: 0 }],
    ['POST', `/runs/${run.runId}/events`, { events: run.events }],
    ['POST', '/import', file],
    ['POST', '/import', archive, 'application/zip'],
    ['PUT', `/pieces/${piece.id}/photos/${photo}`, picture, 'image/png'],
  ];
}

/** A file spoiled: bytes turned over, or cut short. */
function spoiledFile(bytes, random) {
  const spoiled = Buffer.from(bytes);
  if (random() < 0.3) return spoiled.subarray(0, Math.floor(random() * bytes.length));
  for (let n = 0; n < 40; n++) spoiled[Math.floor(random() * spoiled.length)] = random() * 256;
  return spoiled;
}

export async function badInputs({ work, random, short }) {
  const stack = await openStack(await newFolder(work, 'bad-'));
  const api = `${stack.address}/api/v1`;
  const came = { tried: 0, refused: 0, taken: 0, cut: 0, hung: 0, unsaid: 0, lost: 0 };
  const jobs = async () => (await (await fetch(`${api}/jobs`)).json()).total;
  try {
    const doors = await doorsOf(api);
    const standing = await (await fetch(`${api}/jobs`)).json();
    for (; came.tried < (short ? SHORT : INPUTS); came.tried++) {
      const [method, path, right, type = 'application/json'] = anyOf(doors, random);
      const body = Buffer.isBuffer(right)
        ? spoiledFile(right, random)
        : anyOf(SPOILERS, random)(structuredClone(right), random);
      const before = await jobs();
      const began = Date.now();
      const response = await fetch(api + path, {
        method,
        body,
        headers: { 'content-type': type },
      });
      const text = await response.text();
      const say = (what) => console.log(`  ${what}: ${method} ${path} ${text.slice(0, 200)}`);
      if (Date.now() - began > SOON_MS) came.hung++;
      if (response.status >= 500 && response.status !== 503) {
        came.cut++;
        say(`answered ${response.status}`);
        console.log(`  ${stack.said().slice(-1500)}`);
      } else if (response.ok) came.taken++;
      else {
        came.refused++;
        const { detail = '' } = JSON.parse(text);
        if (detail.length < MIN_SENTENCE || / at .*\(.*:\d+:\d+\)/.test(detail)) {
          came.unsaid++;
          say('said nothing of use');
        }
        if ((await jobs()) !== before) {
          came.lost++;
          say('kept something of what it refused');
        }
      }
    }
    // Whatever was taken can be read, planned and taken out again.
    for (const { id } of standing.items)
      for (const path of [`/jobs/${id}`, `/jobs/${id}/export`]) {
        const { ok, status } = await fetch(api + path);
        if (!ok) {
          came.lost++;
          console.log(`  ${path} is answered with ${status} now`);
        }
      }
  } finally {
    await stack.stop();
  }
  return came;
}
