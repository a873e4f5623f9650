import { mkdtemp, rm, utimes, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Metrics } from '@nucleon/contract/wire';
import request from 'supertest';
import { openTestServer, type TestServer } from '../testServer';
import { diskOf, newestBackup } from './metrics';

let server: TestServer;
let folder: string;
beforeAll(async () => {
  server = await openTestServer();
  folder = await mkdtemp(join(tmpdir(), 'nucleon-metrics-'));
});
afterAll(async () => {
  await server.close();
  await rm(folder, { recursive: true });
});

it('tells how long answers took, and how many failed', async () => {
  for (let asked = 0; asked < 4; asked++) await request(server.app).get('/api/v1/jobs');
  const { latency, heavyWaiting, upS } = (await request(server.app).get('/api/v1/metrics'))
    .body as Metrics;
  expect(latency).toMatchObject({ answered: 4, failed: 0 });
  expect(latency.p50Ms).toBeGreaterThan(0);
  expect(latency.p99Ms).toBeGreaterThanOrEqual(latency.p50Ms);
  expect([heavyWaiting, upS > 0]).toEqual([0, true]);
});

it('tells the room on the disk, and nothing of a disk that is not there', async () => {
  const disk = await diskOf(folder);
  expect(disk?.freeBytes).toBeLessThanOrEqual(disk?.totalBytes ?? 0);
  expect(disk?.low).toBe((disk?.freeBytes ?? 0) < 2 ** 30);
  expect(await diskOf(join(folder, 'nowhere'))).toBeNull();
});

it('knows the newest copy among all that lies there', async () => {
  expect(await newestBackup(folder)).toBeNull();
  for (const [name, day] of [
    ['nightly-a.sql.gz', '2026-11-27'],
    ['before-restore-b.sql.gz', '2026-11-28'],
    ['notes.txt', '2026-11-29'],
  ] as const) {
    await writeFile(join(folder, name), '');
    await utimes(join(folder, name), new Date(day), new Date(day));
  }
  expect(await newestBackup(folder)).toBe('2026-11-28T00:00:00.000Z');
});
