import type { RunDetail, StoredBit } from '@nucleon/contract/wire';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import type { RunEvent } from '@nucleon/core/documents/runEvent';
import { writeRun, planWith, type Written } from '@nucleon/core/run/runFixtures';
import type { RunResult } from '@nucleon/core/documents/runResult';
import { jobWith } from '@nucleon/core/setup/jobFixtures';
import sharp from 'sharp';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { THE_WORKSHOP_ID } from '../database/workshop';
import { inWorkshop } from '../people/asking';
import { openTestServer, type TestServer } from '../testServer';
import { knownHoles } from './knownHoles';

let server: TestServer;
beforeAll(async () => {
  server = await openTestServer();
});
afterAll(async () => {
  await server.close();
});
const api = () => request(server.app);

interface Stored {
  readonly jobId: string;
  readonly holeId: string;
  readonly bitId: string;
}

/** A job with one hole, stored; and its run as a phone writes it. */
async function holeAndRun(): Promise<Stored & { run: Written; runId: string }> {
  // A bit of its own: under one id it would be the bit that other tests wear.
  const id = newId();
  const file = JSON.parse(JSON.stringify(jobWith()).replaceAll('"cup25"', `"${id}"`)) as JobFile;
  const bit = {
    ...file.kit?.bits?.[0],
    id,
    name: `Cup ${id}`,
    depthCutMm: 100,
    holesCut: 10,
  };
  const made = await api()
    .post('/api/v1/import')
    .send({ ...file, kit: { ...file.kit, bits: [bit] } });
  const { jobId } = made.body as { jobId: string };
  const job = (await api().get(`/api/v1/jobs/${jobId}`)).body as {
    pieces: { id: string; holes: { id: string; setup: { bit: string } }[] }[];
  };
  const [piece] = job.pieces;
  const [hole] = piece?.holes ?? [];
  if (!piece || !hole) throw new Error('no hole');
  const run = writeRun({}, planWith());
  const tag = newId();
  const [first] = run.events;
  if (first?.act.kind !== 'open') throw new Error('not opened');
  run.events[0] = {
    ...first,
    id: `${tag}-0`,
    act: {
      ...first.act,
      plan: {
        ...first.act.plan,
        setup: { ...first.act.plan.setup, bitId: hole.setup.bit },
        operations: (first.act.plan.operations ?? []).map((one) =>
          one.bitId === null ? one : { ...one, bitId: hole.setup.bit },
        ),
      },
      subject: {
        ...first.act.subject,
        jobId,
        pieceId: piece.id,
        holeId: hole.id,
        pieceName: `Pane ${tag}`,
      },
    },
  };
  const at: Written['at'] = (s, act, over = {}) =>
    run.at(s, act, { id: `${tag}-${run.events.length}`, ...over });
  return { jobId, holeId: hole.id, bitId: hole.setup.bit, run: { ...run, at }, runId: newId() };
}

const send = (runId: string, events: readonly RunEvent[]) =>
  api().post(`/api/v1/runs/${runId}/events`).send({ events });
const read = async (runId: string): Promise<RunDetail> =>
  (await api().get(`/api/v1/runs/${runId}`)).body as RunDetail;
const bitNow = async (id: string): Promise<StoredBit> => {
  const page = (await api().get('/api/v1/bits?pageSize=200')).body as { items: StoredBit[] };
  const bit = page.items.find((one) => one.id === id);
  if (!bit) throw new Error('no bit');
  return bit;
};
const FINE: RunResult = { verdict: 'fine', crack: 'none', exitChipMm: 0.3 };

function drill(run: Written): void {
  run.at(0, { kind: 'start' });
  run.at(150, { kind: 'through' });
  for (let i = 0; i < 4; i++) run.at(160 + i, { kind: 'next' });
}

it('keeps every event once, in whatever order and however often it is sent', async () => {
  const { run, runId } = await holeAndRun();
  drill(run);
  const backwards = [...run.events].reverse();
  expect((await send(runId, backwards.slice(0, 3))).body).toMatchObject({ refused: [] });
  expect((await read(runId)).run).toBeNull();
  await Promise.all([send(runId, backwards.slice(2)), send(runId, run.events.slice(0, 4))]);
  const detail = await read(runId);
  expect(detail.events.map(({ n }) => n).sort((a, b) => a - b)).toEqual(
    run.events.map(({ n }) => n),
  );
  expect(detail.run).toMatchObject({ phase: 'done', depthMm: 6, verdict: null, holeGone: false });
  const more = (await api().get(`/api/v1/runs/${runId}?after=${detail.upTo}`)).body as RunDetail;
  expect(more.events).toEqual([]);
});

it('refuses by name what would change the record, and keeps the rest', async () => {
  const { run, runId } = await holeAndRun();
  drill(run);
  await send(runId, run.events.slice(0, 2));
  const [, second] = run.events;
  if (!second) throw new Error('no event');
  const changed = { ...second, act: { kind: 'crack' as const } };
  const answer = await send(runId, [changed, ...run.events.slice(2)]);
  expect(answer.status).toBe(200);
  expect(answer.body).toMatchObject({
    refused: [{ id: second.id, message: expect.stringContaining('never changed') as string }],
  });
  expect((await read(runId)).run).toMatchObject({ phase: 'done', cracked: false });
});

it('refuses by place an entry that is another run’s, or is called like one', async () => {
  const { run, runId } = await holeAndRun();
  run.at(0, { kind: 'start' });
  await send(runId, run.events).expect(200);
  const [first, start] = run.events;
  if (!first || !start) throw new Error('no events');
  const other = await send(newId(), [start]);
  expect([other.status, (other.body as { faults: object[] }).faults]).toEqual([
    409,
    [
      {
        pointer: '/events/0',
        message: `Event “${start.id}” is in another run’s record; make a new id.`,
      },
    ],
  ]);
  const like = { ...start, id: start.id.toUpperCase(), n: 9 };
  const fresh = { ...start, id: newId(), n: 10 };
  const some = await send(runId, [like, fresh]);
  expect(some.status).toBe(200);
  expect((some.body as { refused: object[] }).refused).toEqual([
    {
      id: like.id,
      message: `Event “${like.id}” differs from “${start.id}” only in case or accents; make a new id.`,
    },
  ]);
  expect((await send(runId.toUpperCase(), [fresh])).status).toBe(422);
  expect((await send(runId, [{ ...fresh, id: `${newId()} ` }])).status).toBe(422);
  // The same new entry into two runs at once: one has it, the other is told.
  const twin = { ...start, id: newId(), n: 11 };
  const both = await Promise.all([send(newId(), [twin]), send(newId(), [twin])]);
  expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
});

it('feeds the bit once, and follows a result put right', async () => {
  const { run, runId, bitId } = await holeAndRun();
  drill(run);
  await send(runId, run.events);
  await send(runId, run.events);
  expect(await bitNow(bitId)).toMatchObject({ depthCutMm: 106, holesCut: 11 });
  const result = run.at(300, { kind: 'result', result: { ...FINE, bitState: 'tired' } });
  await send(runId, [result]);
  expect(await bitNow(bitId)).toMatchObject({
    depthCutMm: 106,
    holesCut: 11,
    state: 'tired',
    sharpness: 0.45,
  });
  // Taken back: it had not been drilled after all.
  const undo = run.at(310, { kind: 'undo', of: run.events[2]?.id ?? '' });
  await send(runId, [undo]);
  expect((await bitNow(bitId)).depthCutMm).toBe(100);
});

it('shows the latest run on its hole, and outlives it', async () => {
  const { run, runId, jobId, holeId } = await holeAndRun();
  drill(run);
  run.at(200, { kind: 'result', result: FINE });
  await send(runId, run.events);
  const job = (await api().get(`/api/v1/jobs/${jobId}`)).body as { pieces: { holes: object[] }[] };
  expect(job.pieces[0]?.holes[0]).toMatchObject({
    lastRun: { runId, phase: 'done', verdict: 'fine' },
  });
  await api().delete(`/api/v1/holes/${holeId}`).expect(204);
  const note = run.at(400, { kind: 'sign', sign: 'plume' });
  expect((await send(runId, [note])).status).toBe(200);
  expect((await read(runId)).run).toMatchObject({ holeGone: true, eventCount: run.events.length });
});

it('takes in the run of a hole it never knew', async () => {
  const run = writeRun();
  const events = run.events.map((event) => ({ ...event, id: newId() }));
  const runId = newId();
  expect((await send(runId, events)).status).toBe(200);
  expect((await read(runId)).run).toMatchObject({ holeGone: true, holeId: 'hole' });
});

it('takes a hole of another workshop for one it never knew', async () => {
  const { holeId } = await holeAndRun();
  const known = (workshop: string) =>
    inWorkshop(workshop, new Date(), () => knownHoles(server.source.manager, [holeId, 'none']));
  expect(await known(THE_WORKSHOP_ID)).toEqual(new Set([holeId]));
  expect(await known(newId())).toEqual(new Set());
});

it('names what is wrong with an event', async () => {
  const { run, runId } = await holeAndRun();
  const [first] = run.events;
  const bad = {
    ...first,
    n: 0,
    at: 'yesterday',
    act: { kind: 'measure', depthMm: -1, by: 'guess' },
  };
  const answer = await send(runId, [bad as never]);
  expect(answer.status).toBe(422);
  const pointers = (answer.body as { faults: { pointer: string }[] }).faults.map(
    ({ pointer }) => pointer,
  );
  expect(pointers).toEqual(
    expect.arrayContaining([
      '/events/0/n',
      '/events/0/at',
      '/events/0/act/depthMm',
      '/events/0/act/by',
    ]),
  );
  expect((await api().get(`/api/v1/runs/${runId}`)).status).toBe(404);
  expect((await api().get('/api/v1/runs?outcome=splendid')).status).toBe(422);
});

it('finds runs by what they were of and how they came out', async () => {
  const { run, runId, bitId, jobId } = await holeAndRun();
  drill(run);
  run.at(200, { kind: 'result', result: { ...FINE, crack: 'hairline', verdict: 'spoiled' } });
  await send(runId, run.events);
  const found = async (query: string): Promise<string[]> =>
    ((await api().get(`/api/v1/runs?${query}`)).body as { items: { runId: string }[] }).items.map(
      (one) => one.runId,
    );
  expect(await found(`bitId=${bitId}&outcome=cracked`)).toEqual([runId]);
  expect(await found(`bitId=${bitId}&outcome=fine`)).toEqual([]);
  expect(await found(`jobId=${jobId}&search=Cup%20saw`)).toEqual([runId]);
});

it('carries runs out with the job and in again, once', async () => {
  const { run, runId, jobId } = await holeAndRun();
  drill(run);
  await send(runId, run.events);
  const file = (await api().get(`/api/v1/jobs/${jobId}/export`)).body as {
    log: { runId: string; events: RunEvent[] }[];
  };
  expect(file.log).toHaveLength(1);
  await api().post('/api/v1/import').send(file).expect(201);
  expect((await read(runId)).run?.jobId).toBe(jobId);
  const other = {
    ...file,
    log: file.log.map((entry) => ({
      runId: newId(),
      events: entry.events.map((event) => ({ ...event, id: newId() })),
    })),
  };
  const second = (await api().post('/api/v1/import').send(other)).body as { jobId: string };
  const again = await read(other.log[0]?.runId ?? '');
  expect(again.run).toMatchObject({ jobId: second.jobId, holeGone: false, phase: 'done' });
  expect(again.events).toHaveLength(run.events.length);
});

describe('pictures', () => {
  const picture = (exif = false) => {
    const image = sharp({
      create: { width: 2400, height: 600, channels: 3, background: '#456' },
    }).jpeg();
    return (
      exif ? image.withExif({ IFD0: { Copyright: 'where it was taken' } }) : image
    ).toBuffer();
  };
  const put = (runId: string, bytes: Buffer, type = 'image/jpeg') =>
    api().put(`/api/v1/runs/${runId}/photos/${newId()}`).set('content-type', type).send(bytes);

  it('keeps them small and bare of what the camera wrote', async () => {
    const { run, runId } = await holeAndRun();
    await send(runId, run.events);
    const bytes = await picture(true);
    expect(bytes.includes('where it was taken')).toBe(true);
    const answer = await put(runId, bytes);
    expect(answer.body).toMatchObject({ widthPx: 1600, heightPx: 400 });
    const { id } = answer.body as { id: string };
    const kept = await api().get(`/api/v1/runs/${runId}/photos/${id}`).buffer();
    const body = kept.body as Buffer;
    expect(body.includes('where it was taken')).toBe(false);
    expect((await sharp(body).metadata()).exif).toBeUndefined();
  });

  it('refuses what is no picture, what is cut off, and what is too much', async () => {
    const { run, runId } = await holeAndRun();
    await send(runId, run.events);
    const whole = await picture();
    const fake = await put(runId, Buffer.from('\xff\xd8\xff not a picture at all', 'latin1'));
    expect([fake.status, (fake.body as { detail: string }).detail]).toEqual([
      415,
      'This is not a picture that can be opened; send a whole JPEG, PNG or WebP of at most 12 MB.',
    ]);
    expect((await put(runId, whole.subarray(0, whole.length / 2))).status).toBe(415);
    const large = await put(runId, Buffer.alloc(20 * 1024 * 1024, 1));
    expect([large.status, (large.body as { detail: string }).detail]).toEqual([
      413,
      'What was sent is over 12 MB; send less at a time.',
    ]);
    expect((await put(newId(), whole)).status).toBe(404);
  });
});

it('takes what five devices send to one run at once, each entry once', async () => {
  const runId = newId();
  const devices = Array.from({ length: 5 }, (_, at) => `device-${at}`);
  const statuses: number[] = [];
  for (let round = 0; round < 40; round++)
    await Promise.all(
      devices.map(async (device, at) => {
        const event = {
          id: `${device}-${round}`,
          n: 2 + round * 5 + at,
          at: '2026-05-04T10:00:00Z',
          tickMs: round,
          session: device,
          device,
          act: { kind: 'pause' },
        };
        const { status } = await request(server.app)
          .post(`/api/v1/runs/${runId}/events`)
          .send({ events: [event] });
        statuses.push(status);
      }),
    );
  expect(new Set(statuses)).toEqual(new Set([200]));
  const [row] = await server.source.query<{ n: string }[]>(
    'SELECT COUNT(*) AS n FROM run_event WHERE run_id = ?',
    [runId],
  );
  expect(Number(row?.n)).toBe(200);
});
