import type { LearnedLog, StoredHouse } from '@nucleon/contract/wire';
import type { Plan } from '@nucleon/core/documents/plan';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import { planWith, writeRun } from '@nucleon/core/run/runFixtures';
import { jobWith } from '@nucleon/core/setup/jobFixtures';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { buildApp } from '../buildApp';
import { openNewsroom } from '../news/newsroom';
import { LOOPBACK_DOORS } from '../http/doors';
import { inlineWork } from '../heavy/heavyWork';
import { openTestServer, type TestServer } from '../testServer';

let server: TestServer;
let holeId: string;
beforeAll(async () => {
  server = await openTestServer();
  const made = await api().post('/api/v1/import').send(jobWith());
  const { jobId } = made.body as { jobId: string };
  const job = (await api().get(`/api/v1/jobs/${jobId}`)).body as JobFile;
  holeId = job.pieces[0]?.holes[0]?.id ?? '';
});
afterAll(async () => {
  await server.close();
});
const api = () => request(server.app);
const planNow = async (): Promise<Plan> =>
  (await api().get(`/api/v1/holes/${holeId}/plan`)).body as Plan;
/** What is told once everything that came is learned from. */
async function learned(): Promise<LearnedLog> {
  const log = (await api().get('/api/v1/learning')).body as LearnedLog;
  return log.isBehind ? learned() : log;
}

const PLANNED = planWith();
/** A hole of the log that took so many times as long as it was planned. */
async function logHole(times: number): Promise<string> {
  const { events, at } = writeRun({}, PLANNED);
  const cutS = PLANNED.stages.reduce((sum, { timeS }) => sum + (timeS ?? 0), 0);
  at(1, { kind: 'start' });
  at(1 + times * cutS, { kind: 'through' });
  for (let i = 0; i < 4; i++) at(5 + times * cutS + i, { kind: 'next' });
  const runId = newId();
  const own = events.map((event) => ({ ...event, id: `${runId}-${event.n}` }));
  const { status } = await api().post(`/api/v1/runs/${runId}/events`).send({ events: own });
  expect(status).toBe(200);
  return runId;
}

it('tells nothing of an empty log, and plans by calculation alone', async () => {
  expect(await learned()).toMatchObject({ experience: null });
  expect((await planNow()).fromLog).toBeNull();
});

it('plans with what runs told as they arrive, and says so in the plan', async () => {
  const before = await planNow();
  for (let i = 0; i < 6; i++) await logHole(2 + 0.05 * i);
  const { experience, report } = await learned();
  expect(report).toMatchObject({ runs: 6, used: 6, doubted: [] });
  expect(report?.levels.map(({ level }) => level)).toContain('material');
  const after = await planNow();
  expect(after.fromLog).toMatchObject({ hash: experience?.hash, holes: 6, alike: 6 });
  expect(after.fromLog?.asNew.drillTimeS).toEqual(before.drillTimeS);
  const ratio = (after.drillTimeS?.p50 ?? 0) / (before.drillTimeS?.p50 ?? 1);
  expect(ratio).toBeGreaterThan(1.4);
  expect(ratio).toBeLessThan(2.1);
});

it('leaves a run out and puts it back as a person says', async () => {
  const runId = await logHole(1000);
  expect((await learned()).doubted).toMatchObject([{ runId, doubts: ['absurd'] }]);
  const put = (belief: string) => api().put(`/api/v1/learning/runs/${runId}`).send({ belief });
  await put('put-back').expect(200);
  const back = await learned();
  expect(back.report).toMatchObject({ runs: 7, used: 7 });
  expect(back.doubted).toMatchObject([{ runId, isPutBack: true }]);
  await put('left-out').expect(200);
  expect((await learned()).report).toMatchObject({ runs: 7, used: 6 });
  expect((await put('usual')).status).toBe(200);
  expect((await put('maybe')).status).toBe(422);
  expect((await api().put('/api/v1/learning/runs/none').send({ belief: 'usual' })).status).toBe(
    404,
  );
});

it('goes by calculation alone where the house wants it so', async () => {
  const { version } = (await api().get('/api/v1/house')).body as StoredHouse;
  await api().put('/api/v1/house').send({ version, fromLog: 'leave' });
  expect((await planNow()).fromLog).toBeNull();
  await api()
    .put('/api/v1/house')
    .send({ version: version + 1, fromLog: 'take' });
  expect((await planNow()).fromLog).not.toBeNull();
});

it('tells what it learned before where the rest takes long', async () => {
  const app = buildApp({
    source: server.source,
    heavy: inlineWork(),
    now: () => new Date(),
    newId: () => newId(),
    log: () => undefined,
    learning: { changed: () => undefined, settled: () => new Promise(() => undefined) },
    doors: LOOPBACK_DOORS,
    annex: { socket: () => Promise.reject(new Error('not asked')) },
    newsroom: openNewsroom(
      server.source,
      () => new Date(),
      () => undefined,
    ),
  });
  const { body } = await request(app).get('/api/v1/learning');
  expect(body).toMatchObject({ isBehind: true, report: { runs: 7 } });
});

it('learns anew when a bit is changed: how old it is, is part of what is told of it', async () => {
  for (let i = 0; i < 6; i++) await logHole(1.6 + 0.2 * i);
  const before = (await learned()).experience;
  const { items } = (await api().get('/api/v1/bits')).body as {
    items: readonly { id: string; updatedAt: string; holesCut?: number }[];
  };
  for (const { id, updatedAt: _at, ...bit } of items) {
    const aged = { ...bit, holesCut: (bit.holesCut ?? 0) + 40 };
    expect((await api().put(`/api/v1/bits/${id}`).send(aged)).status).toBe(200);
  }
  const after = (await learned()).experience;
  expect(after?.holes).toBe(before?.holes);
  expect(after?.hash).not.toBe(before?.hash);
});
