import { compileAhead } from '@nucleon/contract/validator';
import request from 'supertest';
import { openTestServer, type TestServer } from '../testServer';

let server: TestServer;
beforeAll(async () => {
  server = await openTestServer();
  // As a server that has been up for a second.
  await compileAhead(() => Promise.resolve());
});
afterAll(async () => {
  await server.close();
});

const header = '"format":"nucleon-job","version":1,"job":{"id":"j","name":"J"}';
const nested = (depth: number): string => `${'{"a":'.repeat(depth)}1${'}'.repeat(depth)}`;
const job = '"name":"J","version":0';

const cpuMsSince = (before: NodeJS.CpuUsage): number => {
  const { user, system } = process.cpuUsage(before);
  return (user + system) / 1000;
};
/** What this machine takes now, with all else that runs on it, to read a megabyte of empty objects. */
function megabyteMs(): number {
  const text = `[${'{},'.repeat(340_000)}{}]`;
  const before = process.cpuUsage();
  JSON.parse(text);
  return cpuMsSince(before);
}
/** Five to read, as many to send to itself, and to say what is wrong with them. */
const MAX_MEGABYTES = 15;

/** Each took the whole server down, blocked it for seconds, or was answered with 500. */
it.each<[string, string, string, number]>([
  [
    'five megabytes of empty pieces',
    '/import',
    `{${header},"pieces":[${'{},'.repeat(1_700_000)}{}]}`,
    422,
  ],
  [
    'empty pieces as many as a list may have',
    '/import',
    `{${header},"pieces":[${'{},'.repeat(9_999)}{}]}`,
    422,
  ],
  [
    'empty holes in every piece',
    '/import',
    `{${header},"pieces":[${`{"holes":[${'{},'.repeat(999)}{}]},`.repeat(100)}{}]}`,
    422,
  ],
  ['a megabyte of empty bits', '/bits/batch', `{"bits":[${'{},'.repeat(340_000)}{}]}`, 422],
  [
    'a megabyte of small values',
    '/bits/batch',
    `{"bits":[${`[${'0,'.repeat(9_000)}0],`.repeat(50)}0]}`,
    413,
  ],
  ['31 levels', '/jobs/deep', `{${job},"more":${nested(31)}}`, 422],
  ['a thousand levels', '/jobs/deep', `{${job},"more":${nested(1000)}}`, 422],
  ['half a character', '/jobs/half', `{"name":"\\ud83d","version":0}`, 422],
  ['bytes that are no UTF-8', '/jobs/utf', '{"name":"\u0000"', 400],
])('refuses %s soon, in one list of at most 50', async (_, path, text, status) => {
  const url = `/api/v1${path}`;
  const call = path.startsWith('/jobs')
    ? request(server.app).put(url)
    : request(server.app).post(url);
  const sent = call.set('content-type', 'application/json').send(text);
  const megabyte = megabyteMs();
  const before = process.cpuUsage();
  const answer = await sent;
  const tookMs = cpuMsSince(before);
  const { faults = [], detail } = JSON.parse(answer.text) as { faults?: unknown[]; detail: string };
  expect(answer.status).toBe(status);
  expect(detail.length).toBeGreaterThan(10);
  expect(faults.length).toBeLessThanOrEqual(50);
  expect(tookMs).toBeLessThan(MAX_MEGABYTES * Math.max(megabyte, megabyteMs()));
});

it('takes what is as deep as it stores', async () => {
  await request(server.app)
    .put('/api/v1/jobs/deep')
    .set('content-type', 'application/json')
    .send(`{${job},"more":${nested(22)}}`)
    .expect(200);
});
