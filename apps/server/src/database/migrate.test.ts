import { mkdtemp, readdir, readFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { v7 as newId } from 'uuid';
import type { DataSource } from 'typeorm';
import { openTestServer, type TestServer } from '../testServer';
import { backUp } from './backUp';
import { createDataSource } from './dataSource';
import { migrate } from './migrate';

let maker: TestServer;
const opened: DataSource[] = [];
beforeAll(async () => {
  maker = await openTestServer();
});
afterAll(async () => {
  for (const source of opened) {
    await source.query(`DROP DATABASE ${String(source.options.database)}`);
    await source.destroy();
  }
  await maker.close();
});

/** A database with nothing in it. */
async function emptyDatabase(): Promise<DataSource> {
  const name = `nucleon_test_${newId().replaceAll('-', '')}`;
  await maker.source.query(`CREATE DATABASE ${name}`);
  const url = (process.env.NUCLEON_TEST_DB ?? '').replace(/\/[^/]*$/, `/${name}`);
  const source = createDataSource(url);
  await source.initialize();
  Object.assign(source.options, { database: name });
  opened.push(source);
  return source;
}

/** Lets so many statements through, then dies: before a statement is run, or after it and before that is noted. */
async function dieAfter(source: DataSource, statements: number, when: 'before' | 'after') {
  const runnerOf = source.createQueryRunner.bind(source);
  let left = statements;
  source.createQueryRunner = (mode) => {
    const runner = runnerOf(mode);
    const query = runner.query.bind(runner);
    runner.query = (async (...words: Parameters<typeof query>) => {
      left--;
      if (left < 0 && when === 'before') throw new Error('killed');
      const answer = (await query(...words)) as unknown;
      if (left < 0) throw new Error('killed');
      return answer;
    }) as typeof query;
    return runner;
  };
  await expect(migrate(source)).rejects.toThrow('killed');
  source.createQueryRunner = runnerOf;
}

const shape = async (source: DataSource): Promise<unknown> =>
  source.query(
    'SELECT table_name AS t, column_name AS c, column_type AS ty FROM information_schema.columns WHERE table_schema = DATABASE() ORDER BY 1, 2',
  );

it('goes on from wherever it was killed', async () => {
  const whole = await shape(maker.source);
  for (const statements of [0, 1, 2, 3, 5, 8, 9, 11, 13, 17, 21, 24, 27, 30, 34])
    for (const when of ['before', 'after'] as const) {
      const source = await emptyDatabase();
      await dieAfter(source, statements, when);
      await migrate(source);
      expect(await shape(source)).toEqual(whole);
      expect(await source.query('SELECT COUNT(*) AS n FROM workshop')).toEqual([{ n: '1' }]);
    }
}, 120_000);

it('copies what is there before it changes anything, and leaves it when it cannot', async () => {
  const source = await emptyDatabase();
  const copies: string[] = [];
  const copy = (): Promise<void> => Promise.resolve(void copies.push('copied'));
  await migrate(source, copy);
  expect(copies).toEqual([]);
  await migrate(source, copy);
  expect(copies).toEqual([]);
  // As a version before the last step left it.
  await source.undoLastMigration();
  const before = await shape(source);
  await expect(migrate(source, () => Promise.reject(new Error('disk full')))).rejects.toThrow(
    'disk full',
  );
  expect(await shape(source)).toEqual(before);
  await migrate(source, copy);
  expect(copies).toEqual(['copied']);
});

it('makes a copy that holds every table and row, whole or not at all', async () => {
  const source = await emptyDatabase();
  await migrate(source);
  const folder = await mkdtemp(join(tmpdir(), 'nucleon-copy-'));
  const url = (process.env.NUCLEON_TEST_DB ?? '').replace(
    /\/[^/]*$/,
    `/${String(source.options.database)}`,
  );
  const path = await backUp(url, folder, 'before-update', new Date('2026-05-02T09:00:00Z'));
  expect(path).toBe(join(folder, 'before-update-2026-05-02T09-00-00-000Z.sql.gz'));
  const text = gunzipSync(await readFile(path)).toString();
  for (const table of ['workshop', 'hole', 'run_event', 'migration_step'])
    expect(text).toContain(`CREATE TABLE \`${table}\``);
  expect(text).toMatch(/INSERT INTO `workshop` VALUES/);
  const gone = url.replace(/\/[^/]*$/, '/nucleon_not_there');
  await expect(backUp(gone, folder, 'b', new Date())).rejects.toThrow(/could not be: .*not_there/);
  expect((await readdir(folder)).filter((name) => name.endsWith('.gz'))).toHaveLength(1);
});

it('leaves a database alone that a newer version has used', async () => {
  const source = await emptyDatabase();
  await migrate(source);
  await source.query(
    "INSERT INTO migrations (timestamp, name) VALUES (1999000000000, 'Later1999000000000')",
  );
  await expect(migrate(source)).rejects.toThrow(
    /a newer Nucleon has used it \(step Later1999000000000/,
  );
});
