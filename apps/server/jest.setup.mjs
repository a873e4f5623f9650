/** Starts a throw-away MariaDB for the server's tests, unless one is given in NUCLEON_TEST_DB. */
import { mkdtemp } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startMariadb } from '../../scripts/setup/mariadb.mjs';

export default async function setup() {
  if (process.env.NUCLEON_TEST_DB) return;
  const folder = await mkdtemp(join(tmpdir(), 'nucleon-jest-'));
  const database = await startMariadb(folder, { durable: false });
  process.env.NUCLEON_TEST_DB = database.url;
  globalThis.__stopMariadb = database.stop;
}
