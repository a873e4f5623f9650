import { readFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { v7 as newId } from 'uuid';
import request from 'supertest';
import type { DataSource } from 'typeorm';
import { openAppOn, openTestServer, type TestServer } from '../testServer';
import { createDataSource } from './dataSource';
import { migrate } from './migrate';

const FIXTURES = join(__dirname, 'fixtures');
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

/** A database as the version before documents left it: demo, jobs of every kind of field, things deleted. */
async function filledBefore(): Promise<DataSource> {
  const source = await emptyDatabase();
  const runner = source.createQueryRunner();
  const dump = gunzipSync(await readFile(join(FIXTURES, 'before-documents.sql.gz'))).toString();
  for (const statement of dump.split(/;\n/)) {
    // The dump's own first line is for its own reader.
    const sql = statement.replace(/^\/\*M!.*\n/, '').trim();
    if (sql !== '') await runner.query(sql);
  }
  await runner.release();
  return source;
}

/** What that version showed of the same database. */
const shownBefore = (): { exports: Record<string, object>; kit: object; gone: string } =>
  JSON.parse(
    gunzipSync(readFileSync(join(FIXTURES, 'before-documents.json.gz'))).toString(),
  ) as ReturnType<typeof shownBefore>;

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
  for (const statements of [0, 1, 2, 3, 5, 8, 9, 11, 13, 17, 21, 24, 27, 30, 34, 47, 60, 75])
    for (const when of ['before', 'after'] as const) {
      const source = await emptyDatabase();
      await dieAfter(source, statements, when);
      await migrate(source);
      expect(await shape(source)).toEqual(whole);
      expect(await source.query('SELECT COUNT(*) AS n FROM workshop')).toEqual([{ n: '1' }]);
    }
}, 120_000);

it('copies what is there before it changes anything, and leaves it when it cannot', async () => {
  const source = await filledBefore();
  const copies: string[] = [];
  const copy = (): Promise<void> => Promise.resolve(void copies.push('copied'));
  const before = await shape(source);
  await expect(migrate(source, () => Promise.reject(new Error('disk full')))).rejects.toThrow(
    'disk full',
  );
  expect(await shape(source)).toEqual(before);
  await migrate(source, copy);
  expect(copies).toEqual(['copied']);
  await migrate(source, copy);
  expect(copies).toEqual(['copied']);
  const empty = await emptyDatabase();
  await migrate(empty, copy);
  expect(copies).toEqual(['copied']);
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

describe('from columns to documents', () => {
  it('loses nothing: every job, the kit, the habits and the bin read as before', async () => {
    const source = await filledBefore();
    await migrate(source);
    const { app, close } = await openAppOn(source);
    const get = async (path: string): Promise<Record<string, unknown>> =>
      (await request(app).get(`/api/v1${path}`).expect(200)).body as Record<string, unknown>;
    const before = shownBefore();
    for (const [id, file] of Object.entries(before.exports))
      expect(await get(`/jobs/${id}/export`)).toEqual(file);
    expect({
      bits: await get('/bits?pageSize=200'),
      machines: await get('/machines?pageSize=200'),
      parts: await get('/kit/parts'),
      house: await get('/house'),
    }).toEqual(before.kit);
    expect((await get('/bin')).items).toMatchObject([{ kind: 'job', id: before.gone }]);
    // Numbers, no and nothing survive: a clutch that is none, a piece that is not assembled.
    const [shed] = Object.values(before.exports).filter((file) => 'fromElsewhere' in file);
    expect(JSON.stringify(shed)).toMatch(/"clutchTorqueNm":null.*/);
    await close();
  });

  it('leaves the old columns as they were until every document is written', async () => {
    const source = await filledBefore();
    const old = async (): Promise<unknown> => [
      await source.query('SELECT id, label, x_mm, depth, setup, extra FROM hole ORDER BY id'),
      await source.query('SELECT id, name, clutch, room FROM machine ORDER BY id'),
    ];
    const before = await old();
    // Dies at the first thing it would take away.
    const runnerOf = source.createQueryRunner.bind(source);
    source.createQueryRunner = (mode) => {
      const runner = runnerOf(mode);
      const query = runner.query.bind(runner);
      runner.query = (async (sql: string, ...values: [unknown[]]) => {
        if (sql.includes('DROP COLUMN')) throw new Error('killed');
        return (await query(sql, ...values)) as unknown;
      }) as typeof query;
      return runner;
    };
    await expect(migrate(source)).rejects.toThrow('killed');
    source.createQueryRunner = runnerOf;
    expect(await old()).toEqual(before);
    await migrate(source);
    expect(await source.query('SELECT COUNT(*) AS n FROM hole WHERE document IS NULL')).toEqual([
      { n: '0' },
    ]);
  });
});
