import type { JobDetail, JobImported } from '@nucleon/contract/wire';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import request, { type Response } from 'supertest';
import { v7 as newId } from 'uuid';
import { ZipFile } from 'yazl';
import { openTestServer, type TestServer } from '../testServer';
import { loadDemo } from './loadDemo';

const DEMO = join(__dirname, '../../../../demo');
const demo = JSON.parse(readFileSync(join(DEMO, '1-dial-house.json'), 'utf8')) as JobFile;

let servers: TestServer[];
let here: TestServer;
let there: TestServer;
beforeEach(async () => {
  servers = [await openTestServer(), await openTestServer()];
  [here, there] = servers as [TestServer, TestServer];
});
afterEach(async () => {
  for (const server of servers) await server.close();
});

const call = (server: TestServer, method: 'get' | 'put' | 'post' | 'delete', path: string) =>
  request(server.app)[method](`/api/v1${path}`);
const get = async <T>(server: TestServer, path: string): Promise<T> =>
  (await call(server, 'get', path).expect(200)).body as T;
const bytesOf = async (server: TestServer, path: string): Promise<Buffer> => {
  const take = (response: Response, done: (error: Error | null, body: Buffer) => void): void => {
    const parts: Buffer[] = [];
    const stream = response as unknown as NodeJS.ReadableStream;
    stream.on('data', (part: Buffer) => parts.push(part));
    stream.on('end', () => {
      done(null, Buffer.concat(parts));
    });
  };
  return (
    await call(server, 'get', path)
      .buffer(true)
      .parse(take as never)
      .expect(200)
  ).body as Buffer;
};
const picture = (): Promise<Buffer> =>
  sharp({ create: { width: 40, height: 30, channels: 3, background: '#678' } })
    .jpeg()
    .toBuffer();
const bringIn = async (server: TestServer, file: object, id = ''): Promise<JobImported> =>
  (
    await call(server, 'post', `/import${id && `?id=${id}`}`)
      .send(file)
      .expect(201)
  ).body as JobImported;

it('carries a job out and in whole: pictures of pieces and runs, habits, runs and bin', async () => {
  const { jobId } = await bringIn(here, demo);
  const [run] = demo.log ?? [];
  const runId = run?.runId ?? '';
  const [piece, other] = demo.pieces;
  await call(here, 'put', `/pieces/${piece?.id}/photos/face`)
    .set('content-type', 'image/jpeg')
    .send(await picture())
    .expect(204);
  await call(here, 'put', `/runs/${runId}/photos/chip`)
    .set('content-type', 'image/jpeg')
    .send(await picture())
    .expect(200);
  await call(here, 'put', '/house').send({ school: 'house-rule', version: 0 });
  await call(here, 'delete', `/pieces/${other?.id}`).expect(204);

  const zip = await bytesOf(here, `/jobs/${jobId}/archive`);
  const answer = await call(there, 'post', '/import')
    .set('content-type', 'application/zip')
    .send(zip)
    .expect(201);
  expect(answer.body).toEqual({ jobId, skipped: [], left: [], differs: [] });
  const [out, back] = [
    await get<JobFile>(here, `/jobs/${jobId}/export`),
    await get<JobFile>(there, `/jobs/${jobId}/export`),
  ];
  expect({ ...back, kit: {} }).toEqual({ ...out, kit: {} });
  expect(out.bin?.pieces?.map(({ id }) => id)).toEqual([other?.id]);
  const detail = await get<JobDetail>(there, `/jobs/${jobId}`);
  expect(detail.pieces.map(({ id }) => id)).not.toContain(other?.id);
  await call(there, 'post', `/pieces/${other?.id}/restore`).expect(204);
  expect((await get<JobDetail>(there, `/jobs/${jobId}`)).pieces.map(({ id }) => id)).toContain(
    other?.id,
  );
  for (const path of [`/pieces/${piece?.id}/photos/face`, `/runs/${runId}/photos/chip`]) {
    const kept = await sharp(await bytesOf(there, path)).metadata();
    expect([kept.width, kept.height]).toEqual([40, 30]);
  }
});

it('names what of a log it did not take', async () => {
  const log = structuredClone(demo.log ?? []) as unknown as {
    runId: string;
    events: { id: string }[];
  }[];
  const first = await bringIn(here, demo);
  expect(first.skipped).toEqual([]);
  const again = await bringIn(here, demo);
  expect(again.skipped).toHaveLength(log.length);
  expect(again.skipped[0]).toEqual({
    runId: log[0]?.runId,
    name: 'Try-out, Offcut of the dial',
    why: 'in the logbook already',
  });
  // The same entries under another run’s name.
  const [entry] = log;
  if (entry) entry.runId = 'another';
  const third = await bringIn(here, { ...demo, log: [entry] });
  expect(third.skipped[0]?.why).toMatch(/is in another run’s record/);
});

it('makes one job of an import that is sent again, at once too', async () => {
  const id = newId();
  const answers = await Promise.all([bringIn(here, demo, id), bringIn(here, demo, id)]);
  expect(answers.map(({ jobId }) => jobId)).toEqual([id, id]);
  expect((await bringIn(here, demo, id)).jobId).toBe(id);
  expect((await get<{ total: number }>(here, '/jobs')).total).toBe(1);
  // Without an id each is a new job, at once too.
  await Promise.all([bringIn(here, demo), bringIn(here, demo), bringIn(here, demo)]);
  expect((await get<{ total: number }>(here, '/jobs')).total).toBe(4);
  await call(here, 'post', '/import?id=mine').send(demo).expect(422);
});

describe('an archive that is none', () => {
  const zipOf = async (entries: Record<string, Buffer>): Promise<Buffer> => {
    const zip = new ZipFile();
    for (const [name, bytes] of Object.entries(entries)) zip.addBuffer(bytes, name);
    zip.end();
    const parts: Buffer[] = [];
    for await (const part of zip.outputStream) parts.push(part as Buffer);
    return Buffer.concat(parts);
  };
  const send = async (bytes: Buffer) =>
    call(there, 'post', '/import').set('content-type', 'application/zip').send(bytes);
  const job = Buffer.from(JSON.stringify({ ...demo, log: [] }));

  it('is refused with a word', async () => {
    expect((await send(Buffer.from('no zip'))).status).toBe(415);
    const whole = await zipOf({ 'job.nucleon.json': job });
    expect((await send(whole.subarray(0, whole.length / 2))).status).toBe(415);
    // An entry of the list of contents that says it is longer than the list.
    const broken = Buffer.from(whole);
    broken.writeUInt16LE(0xffff, broken.indexOf('PK\u0001\u0002') + 28);
    expect((await send(broken)).status).toBe(415);
    expect((await send(await zipOf({ 'other.json': job }))).status).toBe(422);
    const bomb = await zipOf({
      'job.nucleon.json': job,
      'pictures/runs/a/b.jpg': Buffer.alloc(14e6),
    });
    expect((await send(bomb)).status).toBe(413);
    expect((await get<{ total: number }>(there, '/jobs')).total).toBe(0);
  });

  it('names what it left', async () => {
    const svg = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>');
    const answer = await send(
      await zipOf({ 'job.nucleon.json': job, 'pictures/runs/a/b.png': svg, 'notes.txt': svg }),
    );
    expect((answer.body as JobImported).left).toEqual([
      '“pictures/runs/a/b.png” is no picture that can be opened.',
      '“notes.txt” is not known.',
    ]);
  });
});

it('takes twelve pictures of a run and no more, sent at once too', async () => {
  await bringIn(here, demo);
  const runId = demo.log?.[0]?.runId ?? '';
  const bytes = await picture();
  const statuses = await Promise.all(
    Array.from({ length: 16 }, async (_, index) => {
      const sent = call(here, 'put', `/runs/${runId}/photos/p${index}`);
      return (await sent.set('content-type', 'image/jpeg').send(bytes)).status;
    }),
  );
  expect(statuses.filter((status) => status === 200)).toHaveLength(12);
  expect(statuses.filter((status) => status === 413)).toHaveLength(4);
});

it('puts the demo back without touching what is one’s own', async () => {
  const load = (mode: 'load' | 'reset') =>
    loadDemo(
      here.source,
      mode,
      DEMO,
      () => newId(),
      () => new Date(),
    );
  await load('load');
  const [piece] = demo.pieces;
  const [ownPiece, ownHole] = [newId(), newId()];
  const pane = { ...piece, id: undefined, holes: undefined };
  await call(here, 'put', `/jobs/${demo.job.id}/pieces/${ownPiece}`).send({
    ...pane,
    name: 'Mine',
    version: 0,
  });
  await call(here, 'put', `/pieces/${piece?.id}/holes/${ownHole}`)
    .send({ xMm: 60, yMm: 60, diameterMm: 5, depth: { kind: 'through' }, version: 0 })
    .expect(200);
  await call(here, 'put', `/pieces/${piece?.id}/photos/mine`)
    .set('content-type', 'image/jpeg')
    .send(await picture())
    .expect(204);
  await call(here, 'put', `/jobs/${demo.job.id}/pieces/${piece?.id}`).send({
    ...pane,
    name: 'Renamed',
    version: 1,
  });
  await load('reset');
  const job = await get<JobDetail>(here, `/jobs/${demo.job.id}`);
  expect(job.pieces.map(({ name }) => name)).toContain('Mine');
  expect(job.pieces.find(({ id }) => id === piece?.id)?.name).toBe(piece?.name);
  expect(job.pieces.flatMap(({ holes }) => holes.map(({ id }) => id))).toContain(ownHole);
  await call(here, 'get', `/pieces/${piece?.id}/photos/mine`).expect(200);
});

it('wears no bit twice: a job opened again uses the bits that are here, and says what the file knows otherwise', async () => {
  await bringIn(here, demo);
  const first = await get<{ items: { id: string; version: number; name: string }[] }>(
    here,
    '/bits',
  );
  const [bit] = first.items;
  if (!bit) throw new Error('The demo has a bit.');
  const { version, ...own } = bit;
  await call(here, 'put', `/bits/${bit.id}`)
    .send({ ...own, depthCutMm: 4321, version })
    .expect(200);
  const again = await bringIn(here, demo);
  expect(again.differs).toHaveLength(1);
  expect(again.differs[0]).toMatchObject({ kind: 'bit', here: { id: bit.id, depthCutMm: 4321 } });
  const bits = await get<{ items: { depthCutMm?: number; id: string }[]; total: number }>(
    here,
    '/bits',
  );
  expect(bits.items).toHaveLength(first.items.length);
  expect(bits.items.find(({ id }) => id === bit.id)?.depthCutMm).toBe(4321);

  // A bit of another size under the same id is another bit.
  const kit = {
    ...demo.kit,
    bits: demo.kit?.bits?.map((one) =>
      one.id === bit.id ? { ...one, diameterMm: one.diameterMm + 0.4 } : one,
    ),
  };
  const other = await bringIn(here, { ...demo, log: [], kit });
  expect(other.differs).toEqual([]);
  const after = await get<{ items: unknown[] }>(here, '/bits');
  expect(after.items).toHaveLength(first.items.length + 1);
});

it('stores a log of many runs in few statements, and each run once', async () => {
  const [run] = demo.log ?? [];
  if (!run) throw new Error('The demo has a run.');
  const events = run.events as readonly { id: string }[];
  const log = Array.from({ length: 450 }, (_, at) => ({
    ...run,
    runId: `run-${at}`,
    events: events.map((event) => ({ ...event, id: `${at}-${event.id}` })),
  }));
  const { skipped } = await bringIn(here, { ...demo, log: [...log, ...log.slice(0, 2)] });
  expect(skipped.map(({ runId }) => runId)).toEqual(['run-0', 'run-1']);
  const { total } = await get<{ total: number }>(here, '/runs');
  expect(total).toBe(450);
});
