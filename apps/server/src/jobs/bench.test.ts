import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import request from 'supertest';
import type { Bench } from '@nucleon/contract/wire';
import { openTestServer, type TestServer } from '../testServer';

let server: TestServer;
beforeAll(async () => {
  server = await openTestServer();
});
afterAll(() => server.close());

const bench = async (): Promise<Bench> => {
  const { body } = await request(server.app).get('/api/v1/bench').expect(200);
  return body as Bench;
};

it('is empty where nothing was begun', async () => {
  expect(await bench()).toEqual({ underWay: [], toDrill: [], noResult: [], bits: [] });
});

it('offers holes nobody has drilled and nothing stops, and bits to dress or change', async () => {
  const demo = readFileSync(join(__dirname, '../../../../demo/4-yard.json'), 'utf8');
  await request(server.app)
    .post('/api/v1/import')
    .set('content-type', 'application/json')
    .send(demo)
    .expect(201);
  const { toDrill, noResult } = await bench();
  const jobs = await request(server.app).get('/api/v1/jobs').expect(200);
  const { id } = (jobs.body as { items: { id: string }[] }).items[0] ?? { id: '' };
  const detail = await request(server.app).get(`/api/v1/jobs/${id}`).expect(200);
  const { pieces } = detail.body as {
    pieces: {
      holes: {
        id: string;
        headline: { stops: unknown[] } | null;
        lastRun: { over: boolean } | null;
      }[];
    }[];
  };
  const free = pieces
    .flatMap(({ holes }) => holes)
    .filter(({ headline, lastRun }) => headline?.stops.length === 0 && lastRun === null);
  expect(toDrill.length).toBe(Math.min(3, free.length));
  for (const { holeId } of toDrill) expect(free.map((hole) => hole.id)).toContain(holeId);
  expect(noResult.length).toBeLessThanOrEqual(3);

  const bit = {
    name: 'Cup saw 22',
    family: 'plated-cup-saw',
    diameterMm: 22,
    state: 'bald',
    version: 0,
  };
  await request(server.app).put('/api/v1/bits/bald-one').send(bit).expect(200);
  expect((await bench()).bits).toContainEqual({
    id: 'bald-one',
    name: 'Cup saw 22',
    state: 'bald',
  });
});
