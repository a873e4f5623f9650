/** The server killed while it makes or changes the tables: the next start goes on from there. */
import { join } from 'node:path';
import { spawn } from 'node:child_process';
import { startMariadb } from '../setup/mariadb.mjs';
import { ROOT } from '../setup/root.mjs';
import { ended, sleep } from '../setup/run.mjs';
import { startServer } from '../setup/server.mjs';
import { asking } from './sql.mjs';
import { newFolder, until } from './stack.mjs';

export async function migrations({ work, random, short }) {
  const folder = await newFolder(work, 'migrate-');
  const database = await startMariadb(folder);
  const sql = asking(database);
  const result = { tried: 0, failedToStart: 0, midway: 0 };
  try {
    for (let round = 0; round < (short ? 2 : 12); round++) {
      result.tried++;
      const name = `nucleon_m${round}`;
      await sql(`CREATE DATABASE ${name}`);
      const url = database.url.replace(/\/[^/]*$/, `/${name}`);
      const child = spawn(process.execPath, ['--import', 'tsx', 'src/main.ts'], {
        cwd: join(ROOT, 'apps', 'server'),
        env: { ...process.env, NUCLEON_DB_URL: url, NUCLEON_PORT: '0' },
        stdio: 'ignore',
      });
      // From the first table on, somewhere within the few tenths of a second it takes.
      const tables = `SELECT COUNT(*) FROM information_schema.tables WHERE table_schema='${name}'`;
      await until(async () => Number(await sql(tables)) > 0, 30_000, 1);
      await sleep(random() * 150);
      child.kill('SIGKILL');
      await ended(child);
      const steps = () => sql(`SELECT COUNT(*) FROM ${name}.migrations`);
      const taken = await steps();
      const server = await startServer({ databaseUrl: url, demo: 'load' }).catch((error) => {
        console.log(`  ${error.message}`);
        result.failedToStart++;
        return null;
      });
      if (taken !== (await steps())) result.midway++;
      await server?.stop();
    }
  } finally {
    await database.stop();
  }
  return result;
}
