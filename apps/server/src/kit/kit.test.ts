import { caseIn } from '@nucleon/core/setup/jobFixtures';
import { readFileSync } from 'node:fs';
import type { StoredBit, StoredHouse } from '@nucleon/contract/wire';
import type { JobFile } from '@nucleon/core/documents/jobFile';
import { rememberingBend } from '@nucleon/core/physics/plate/bender';
import { assessHole } from '@nucleon/core/advice/risk/assessHole';
import type { Plan } from '@nucleon/core/documents/plan';
import request from 'supertest';
import { v7 as newId } from 'uuid';
import { openTestServer, type TestServer } from '../testServer';

let server: TestServer;
const api = (path: string): string => `/api/v1${path}`;
const get = async <T>(path: string): Promise<T> =>
  (await request(server.app).get(api(path)).expect(200)).body as T;
const put = (path: string, body: object): request.Test =>
  request(server.app).put(api(path)).send(body);
const demo = (): JobFile =>
  JSON.parse(readFileSync(`${__dirname}/../../../../demo/1-dial-house.json`, 'utf8')) as JobFile;
const ARBOR = '0192d0c0-0030-7000-8000-000000000001';

beforeEach(async () => {
  server = await openTestServer();
});
afterEach(async () => {
  await server.close();
});

const items = async (path: string): Promise<readonly { id: string; name: string }[]> =>
  (await get<{ items: readonly { id: string; name: string }[] }>(path)).items;

it('keeps couplings, supports, guides and water apart, each with its version', async () => {
  const swivel = {
    name: 'Swivel',
    kind: 'swivel',
    into: { kind: 'thread-g-half' },
    takes: { kind: 'thread-g-half' },
    carriesWater: true,
  };
  const id = newId();
  const made = await put(`/kit/couplings/${id}`, { ...swivel, version: 0 }).expect(200);
  expect(made.body).toMatchObject({ ...swivel, id, version: 1 });
  await put(`/kit/supports/${newId()}`, { name: 'Board', kind: 'foam', version: 0 }).expect(200);
  expect((await items('/kit/couplings')).map(({ name }) => name)).toEqual(['Swivel']);
  expect((await items('/kit/supports')).map(({ name }) => name)).toEqual(['Board']);
  expect(await items('/kit/water')).toEqual([]);
  await put(`/kit/couplings/${id}`, { ...swivel, name: 'Other', version: 0 }).expect(409);
  await request(server.app)
    .delete(api(`/kit/couplings/${id}`))
    .expect(204);
  expect(await items('/kit/couplings')).toEqual([]);
  await request(server.app)
    .post(api(`/kit/couplings/${id}/restore`))
    .expect(204);
  expect(await items('/kit/couplings')).toHaveLength(1);
});

it('names what is wrong with a part', async () => {
  const extension = { name: 'Ext', kind: 'extension', version: 0 };
  const ends = { into: { kind: 'thread-m14' }, takes: { kind: 'thread-m14' } };
  const response = await put(`/kit/couplings/${newId()}`, { ...extension, ...ends }).expect(422);
  expect(response.body).toMatchObject({
    faults: [{ pointer: '/lengthMm', message: 'Extension “Ext” needs its length in mm.' }],
  });
});

const bit = (more: object = {}) => ({
  id: newId(),
  name: 'Cup 10',
  family: 'plated-cup-saw',
  diameterMm: 10,
  ...more,
});

it('takes several bits at once, or none of them', async () => {
  const bits = [
    bit(),
    bit({ name: 'Cup 12', diameterMm: 12, shank: { kind: 'round', sizeMm: 6 } }),
  ];
  const made = await request(server.app).post(api('/bits/batch')).send({ bits }).expect(200);
  expect((made.body as { items: StoredBit[] }).items).toHaveLength(2);
  await request(server.app).post(api('/bits/batch')).send({ bits }).expect(200);
  expect(await items('/bits')).toHaveLength(2);
  const alike = [bit({ name: 'One' }), bit({ name: 'Two' })].map((one, at) => ({
    ...one,
    id: at === 0 ? 'like-me' : 'Like-Me',
  }));
  const twins = await request(server.app).post(api('/bits/batch')).send({ bits: alike });
  expect([twins.status, (twins.body as { detail: string }).detail]).toEqual([
    422,
    expect.stringContaining('differ only in case'),
  ]);
  const bad = [bit({ name: 'Good' }), bit({ name: 'Bad', rimWidthMm: 9 })];
  const refused = await request(server.app)
    .post(api('/bits/batch'))
    .send({ bits: bad })
    .expect(422);
  expect(refused.body).toMatchObject({
    faults: [{ message: expect.stringContaining('A rim 9 mm wide') as string }],
  });
  expect(await items('/bits')).toHaveLength(2);
});

it('keeps everything known of a bit and a machine', async () => {
  const known = {
    name: 'Core',
    family: 'sintered-core',
    diameterMm: 12,
    supplier: 'Stone yard',
    batch: '7',
    shank: { kind: 'round', sizeMm: 10 },
    barrelDiameterMm: 11,
    slotted: false,
    state: 'tired',
    sharpnessLog: [{ at: '2026-05-02T09:00:00Z', sharpness: 0.7, how: 'checked' }],
    retired: true,
  };
  const made = await put(`/bits/${newId()}`, { ...known, version: 0 }).expect(200);
  expect(made.body).toMatchObject(known);
  const press = {
    name: 'Press',
    kind: 'bench-drill-press',
    holders: [{ kind: 'round', leastMm: 1, mostMm: 13 }],
    travelMm: 60,
    chuckToTableMm: 290,
    throatMm: 160,
    waterRated: false,
    leverArmMm: 200,
    pinionRadiusMm: 14,
  };
  const stored = await put(`/machines/${newId()}`, { ...press, version: 0 }).expect(200);
  expect(stored.body).toMatchObject(press);
});

it('carries the whole kit out in a job file and in again', async () => {
  const imported = await request(server.app).post(api('/import')).send(demo()).expect(201);
  const { jobId } = imported.body as { jobId: string };
  const back = await get<JobFile>(`/jobs/${jobId}/export`);
  for (const list of ['bits', 'machines', 'supports', 'guides', 'water'] as const) {
    const byId = (a: { id: string }, b: { id: string }) => a.id.localeCompare(b.id);
    expect([...(back.kit?.[list] ?? [])].sort(byId)).toEqual(
      [...(demo().kit?.[list] ?? [])].sort(byId),
    );
  }
  await request(server.app).post(api('/import')).send(back).expect(201);
  expect(await items('/kit/water')).toHaveLength(demo().kit?.water?.length ?? 0);
});

it('assesses a hole as the command line does', async () => {
  await request(server.app).put(api('/house')).send({ version: 0, fromLog: 'leave' }).expect(200);
  await request(server.app).post(api('/import')).send(demo()).expect(201);
  const risk = await get<object>(`/holes/${ARBOR}/risk`);
  const here = assessHole(caseIn(demo(), ARBOR), { bend: rememberingBend() });
  expect(here).toEqual({ kind: 'assessed', risk, bent: true });
  await request(server.app).get(api('/holes/nowhere/risk')).expect(404);
});

it('a habit of the house changes what holes leave open', async () => {
  await request(server.app).post(api('/import')).send(demo()).expect(201);
  const open = '0192d0c0-0030-7000-8000-000000000003';
  const plan = async () => await get<Plan>(`/holes/${open}/plan`);
  expect((await plan()).setup.pace).toBe('steady');
  const house = await get<StoredHouse>('/house');
  await put('/house', { ...house, habits: { pace: 'gentle' }, hourMoney: 30 }).expect(200);
  expect((await plan()).setup.pace).toBe('gentle');
  await put('/house', { ...house, version: 1, habits: { nonsense: 'x' } }).expect(422);
});
