import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { v7 as newId } from 'uuid';
import type { Express } from 'express';
import type { DataSource } from 'typeorm';
import { annexApp } from './annex/annexApp';
import { notThere } from './annex/annex';
import { buildApp } from './buildApp';
import { createDataSource } from './database/dataSource';
import { migrate } from './database/migrate';
import { LOOPBACK_DOORS, type Doors } from './http/doors';
import { afterCommits } from './database/transact';
import { openNewsroom } from './news/newsroom';
import { keepLearning } from './learning/keepLearning';
import { inlineWork } from './heavy/heavyWork';
import type { ServerContext } from './serverContext';

/** The real app on a fresh database of the tests' own MariaDB. */
export interface TestServer {
  readonly app: Express;
  readonly source: DataSource;
  readonly logged: string[];
  readonly close: () => Promise<void>;
}

/** What takes long, on this thread. */
async function openAnnexHere(
  context: ServerContext,
  log: (text: string) => void,
): Promise<{ readonly at: string; readonly close: () => void }> {
  const at = join(mkdtempSync(join(tmpdir(), 'nucleon-annex-')), 'annex');
  const server = createServer(annexApp(context, log));
  await new Promise<void>((resolve) => server.listen(at, resolve));
  return {
    at,
    close: () => {
      server.closeAllConnections();
      server.close();
      rmSync(dirname(at), { recursive: true });
    },
  };
}

function contextOn(
  source: DataSource,
  log: (text: string) => void,
  { doors = LOOPBACK_DOORS, now = () => new Date() }: TestDoors = {},
): ServerContext {
  const newsroom = openNewsroom(source, now, log);
  afterCommits(source, newsroom.wake);
  const annex = { socket: () => Promise.reject(notThere()) };
  const base = {
    source,
    heavy: inlineWork(),
    now,
    newId: () => newId(),
    log,
    doors,
    newsroom,
    annex,
  };
  return { ...base, learning: keepLearning(base) };
}

interface TestDoors {
  readonly doors?: Doors;
  readonly now?: () => Date;
}

/** The app on a database that is ready. */
export async function openAppOn(
  source: DataSource,
  log: (text: string) => void = () => undefined,
  beyond: TestDoors = {},
): Promise<Pick<TestServer, 'app' | 'close'>> {
  const context = contextOn(source, log, beyond);
  const annex = await openAnnexHere(context, log);
  return {
    app: buildApp({ ...context, annex: { socket: () => Promise.resolve(annex.at) } }),
    close: async () => {
      await context.learning.settled();
      context.newsroom.close();
      annex.close();
    },
  };
}

export async function openTestServer(beyond: TestDoors = {}): Promise<TestServer> {
  const url = process.env.NUCLEON_TEST_DB;
  if (!url)
    throw new Error('NUCLEON_TEST_DB is missing; run through jest with the server project.');
  const name = `nucleon_test_${newId().replaceAll('-', '')}`;
  // A busy disk takes its time over files, which tests nothing here.
  const maker = createDataSource(url, { longestStatementMs: Infinity });
  await maker.initialize();
  await maker.query(`CREATE DATABASE ${name}`);
  const source = createDataSource(url.replace(/\/[^/]*$/, `/${name}`));
  await source.initialize();
  await migrate(source);
  const logged: string[] = [];
  const { app, close } = await openAppOn(source, (text) => logged.push(text), beyond);
  return {
    app,
    source,
    logged,
    close: async () => {
      await close();
      await source.destroy();
      await maker.query(`DROP DATABASE ${name}`);
      await maker.destroy();
    },
  };
}
