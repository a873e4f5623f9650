import { readFileSync, writeFileSync } from 'node:fs';
import { mkdtemp, readdir, readFile, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import request from 'supertest';
import { jobWith } from '@nucleon/core/setup/jobFixtures';
import type { Page, JobSummary } from '@nucleon/contract/wire';
import { openTestServer, type TestServer } from '../testServer';
import { backUp, SEAL } from './backUp';
import { backUpNightly } from './nightly';
import { readBackup } from './readBackup';
import { restore } from './restore';

const AT = new Date('2026-05-02T09:00:00Z');
let server: TestServer;
let url: string;
let folder: string;
beforeAll(async () => {
  server = await openTestServer();
  const [row] = await server.source.query<{ name: string }[]>('SELECT DATABASE() AS name');
  url = (process.env.NUCLEON_TEST_DB ?? '').replace(/\/[^/]*$/, `/${row?.name ?? ''}`);
});
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'nucleon-backup-'));
});
afterAll(async () => {
  await server.close();
});
const api = () => request(server.app);
const addJob = async (): Promise<void> => {
  expect((await api().post('/api/v1/import').send(jobWith())).status).toBeLessThan(300);
};
const jobs = async (): Promise<number> =>
  ((await api().get('/api/v1/jobs')).body as Page<JobSummary>).total;
/** Every row of every table, as text. */
async function rows(): Promise<string> {
  const tables = await server.source.query<Record<string, string>[]>('SHOW TABLES');
  const all = [];
  for (const table of tables.flatMap((row) => Object.values(row)))
    all.push([table, await server.source.query(`SELECT * FROM \`${table}\` ORDER BY 1, 2`)]);
  // The kit's version alone moves on.
  return JSON.stringify(all).replace(/"kit_version":\d+/g, '');
}

it('holds every table and row, whole or not at all, and says what it is', async () => {
  const path = await backUp(url, folder, 'before-update', AT);
  expect(path).toBe(join(folder, 'before-update-2026-05-02T09-00-00-000Z.sql.gz'));
  const text = gunzipSync(await readFile(path)).toString();
  for (const table of ['workshop', 'hole', 'run_event', 'migration_step'])
    expect(text).toContain(`CREATE TABLE \`${table}\``);
  expect(text).toMatch(/INSERT INTO `workshop` VALUES/);
  expect(await readBackup(path)).toMatchObject({
    kind: 'sound',
    head: { format: 1, at: AT.toISOString(), step: server.source.migrations.at(-1)?.name },
  });
  const gone = url.replace(/\/[^/]*$/, '/nucleon_not_there');
  await expect(backUp(gone, folder, 'b', AT)).rejects.toThrow(/no copy could be made: .*not_there/);
  expect(await readdir(folder)).toHaveLength(1);
});

it('puts back what was, row for row, while it is in use, and copies what stood there', async () => {
  await addJob();
  const before = await rows();
  const path = await backUp(url, folder, 'mine', AT);
  await addJob();
  await addJob();
  const count = await jobs();
  const outcome = await restore(url, path, folder, AT);
  expect(outcome).toMatchObject({ kind: 'restored', head: { at: AT.toISOString() } });
  expect(await rows()).toBe(before);
  expect(await jobs()).toBe(count - 2);
  await addJob();
  const copiedTo = outcome.kind === 'restored' ? outcome.copiedTo : '';
  expect(await restore(url, copiedTo, folder, new Date())).toMatchObject({ kind: 'restored' });
  expect(await jobs()).toBe(count);
});

it('lets no device and no link in again that ended since, and no server plan with the kit it had read', async () => {
  const version = async (): Promise<number> =>
    (await server.source.query<{ v: number }[]>('SELECT kit_version AS v FROM workshop'))[0]?.v ??
    0;
  await server.source.query(
    `INSERT INTO invitation (id, workshop_id, token_hash, role, made_by, until)
       SELECT 'lost', id, REPEAT('a', 64), 'owner', '', '2030-01-01' FROM workshop LIMIT 1`,
  );
  const path = await backUp(url, folder, 'mine', AT);
  await server.source.query('UPDATE workshop SET kit_version = kit_version + 5');
  const read = await version();
  expect(await restore(url, path, folder, AT)).toMatchObject({ kind: 'restored' });
  expect(await version()).toBeGreaterThan(read);
  expect(
    await server.source.query("SELECT id FROM invitation WHERE id = 'lost' AND ended_at IS NULL"),
  ).toEqual([]);
});

it('changes nothing for a file that is not whole, not as written, or none', async () => {
  const path = await backUp(url, folder, 'mine', AT);
  const text = gunzipSync(readFileSync(path)).toString();
  const bad = (name: string, content: string | Buffer): string => {
    const at = join(folder, name);
    writeFileSync(at, content);
    return at;
  };
  const before = await rows();
  const cut = readFileSync(path);
  for (const [file, why] of [
    [bad('cut.gz', cut.subarray(0, cut.length / 2)), /no gzip file, or was cut short/],
    [bad('plain.sql', 'DROP TABLE job;'), /no gzip file/],
    [bad('other.gz', gzipSync('-- a dump of something\n')), /no backup of Nucleon’s/],
    [bad('unsealed.gz', gzipSync(text.slice(0, text.indexOf(SEAL)))), /its last line is not there/],
    [bad('edited.gz', gzipSync(text.replace('workshop', 'workshOp'))), /checksum does not fit/],
    [join(folder, 'none.gz'), /no such file/],
  ] as const)
    expect(await restore(url, file, folder, AT)).toMatchObject({
      kind: 'refused',
      why: expect.stringMatching(why) as string,
    });
  expect(await rows()).toBe(before);
});

it('keeps what a restore that was killed left behind', async () => {
  const path = await backUp(url, folder, 'mine', AT);
  const left = `${new URL(url).pathname.slice(1)}_before`;
  await server.source.query(`CREATE DATABASE ${left}`);
  await server.source.query(`CREATE TABLE ${left}.migrations LIKE migrations`);
  expect(await restore(url, path, folder, AT)).toMatchObject({ kind: 'restored' });
  expect((await readdir(folder)).some((name) => name.startsWith('left-over-'))).toBe(true);
});

it('does not take one that a newer version made', async () => {
  await server.source.query(
    "INSERT INTO migrations (timestamp, name) VALUES (1999000000000, 'Later1999000000000')",
  );
  const path = await backUp(url, folder, 'newer', AT);
  await server.source.query("DELETE FROM migrations WHERE name = 'Later1999000000000'");
  const before = await rows();
  expect(await restore(url, path, folder, AT)).toMatchObject({
    kind: 'refused',
    why: expect.stringMatching(/newer Nucleon.*Nothing was changed/) as string,
  });
  expect(await rows()).toBe(before);
});

it('copies once a day, keeps a fortnight of them, and leaves other files alone', async () => {
  await writeFile(join(folder, 'my own.sql.gz'), 'mine');
  const day = (n: number, hour = 3): Date => new Date(Date.UTC(2026, 4, n, hour));
  expect(await backUpNightly(url, folder, day(1))).toContain('nightly-2026-05-01T03-00-00-000Z');
  expect(await backUpNightly(url, folder, day(1, 20))).toBeNull();
  for (let n = 2; n <= 15; n++) await backUpNightly(url, folder, day(n));
  const names = (await readdir(folder)).sort();
  expect(names).toHaveLength(15);
  expect(names[0]).toBe('my own.sql.gz');
  expect(names[1]).toContain('2026-05-02');
});
