/** Backups of the database that `npm start` keeps in a folder, while it runs or not; or of the one NUCLEON_DB_URL names. */
import { readFile } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { readBackup } from '../../apps/server/src/backup/readBackup.ts';
import { writeBackup } from '../../apps/server/src/backup/backUp.ts';
import { restore } from '../../apps/server/src/backup/restore.ts';
import { readStart, takeFolder } from '../../scripts/setup/lock.mjs';
import { startMariadb, urlOf } from '../../scripts/setup/mariadb.mjs';
import { ROOT } from '../../scripts/setup/root.mjs';

/** Does work on the database of a folder, which is started for it where it does not run. */
async function withDatabase(folder, work) {
  const external = process.env.NUCLEON_DB_URL;
  if (external) return work(external, null);
  const running = await readStart(folder);
  if (running?.databasePort) {
    const mariadb = join(folder, 'mariadb');
    const password = (await readFile(join(mariadb, 'password'), 'utf8')).trim();
    return work(urlOf(password, running.databasePort), running.serverPid);
  }
  await readFile(join(folder, 'mariadb', 'ready')).catch(() => {
    throw new Error(`${folder} holds no data of Nucleon’s; give its folder with --data DIR.`);
  });
  const lock = await takeFolder(folder);
  const database = await startMariadb(join(folder, 'mariadb')).catch(async (error) => {
    await lock.release();
    throw error;
  });
  try {
    return await work(database.url, null);
  } finally {
    await database.stop();
    await lock.release();
  }
}

const folderOf = (data) => resolve(data ?? join(ROOT, '.data'));

export const keeper = {
  backUp: (path, data) =>
    withDatabase(folderOf(data), async (url) => {
      await writeBackup(url, path, new Date());
      // Read back through its seal: what cannot be read is no backup.
      const check = await readBackup(path);
      if (check.kind === 'unsound') throw new Error(`“${path}” was written, and ${check.why}.`);
    }),
  restore: (path, data) =>
    withDatabase(folderOf(data), async (url, serverPid) => {
      const folder = folderOf(data);
      const outcome = await restore(url, path, join(folder, 'backups'), new Date());
      // It is kept up: it starts anew, and remembers nothing of what stood there.
      if (outcome.kind === 'restored' && serverPid) process.kill(serverPid, 'SIGTERM');
      return outcome;
    }),
};
