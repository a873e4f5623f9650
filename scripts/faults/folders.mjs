/** Data folders as crashes, copies and strangers leave them: adopted, or refused with a sentence; nothing deleted. */
import { mkdir, readFile, rename, rm, unlink, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { takeFolder } from '../setup/lock.mjs';
import { startMariadb } from '../setup/mariadb.mjs';
import { asking } from './sql.mjs';
import { newFolder } from './stack.mjs';

/** What a lock file was found to hold, none of them with a living start behind it. */
const LOCKS = {
  'cut short': '{"pid":12',
  empty: '',
  'a word': 'hello',
  null: 'null',
  'a number': '42',
  'a list': '[1,2]',
  'no process': '{"pid":null}',
  'a process that is gone': '{"pid":999999,"began":"1"}',
  'a process that is another': JSON.stringify({ pid: process.pid, began: '1' }),
  'an older lock': '{"pid":999999,"address":"http://127.0.0.1:1","serverPid":999998}',
  'a large file': 'x'.repeat(100_000),
  'a process 0': '{"pid":0}',
};

async function tryLocks(work) {
  let failedToStart = 0;
  for (const [name, text] of Object.entries({ ...LOCKS, 'a folder': null })) {
    const folder = await newFolder(work, 'lock-');
    const path = join(folder, 'start.lock');
    if (text === null) await mkdir(path);
    else await writeFile(path, text);
    const lock = await takeFolder(folder).catch((error) => {
      console.log(`  a lock that is ${name}: ${error.message}`);
      return null;
    });
    if (!lock) failedToStart++;
    // One that is held is refused.
    else if (
      await takeFolder(folder).then(
        () => true,
        () => false,
      )
    )
      failedToStart++;
    await lock?.release();
  }
  return { tried: Object.keys(LOCKS).length + 1, failedToStart };
}

/** What may have happened to a database between two starts; each is to end with its one row there. */
const MISHAPS = {
  'its ready mark is gone': (folder) => unlink(join(folder, 'ready')),
  'its password is gone': (folder) => unlink(join(folder, 'password')),
  'its password is cut short': (folder) => writeFile(join(folder, 'password'), 'abc'),
  'mark and password are gone': async (folder) => {
    await unlink(join(folder, 'ready'));
    await unlink(join(folder, 'password'));
  },
  'a process number is nonsense': (folder) => writeFile(join(folder, 'mysqld.pid'), 'x'),
  'a first start was begun anew': (folder) =>
    mkdir(join(folder, 'data.making'), { recursive: true }),
};

/** Each is to be refused, with what is there left as it was. */
const STRANGERS = {
  'something else in its place': async (folder) => {
    await mkdir(join(folder, 'data'), { recursive: true });
    await writeFile(join(folder, 'data', 'thesis.txt'), 'mine');
    return join(folder, 'data', 'thesis.txt');
  },
  'half a system database': async (folder) => {
    await mkdir(join(folder, 'data', 'mysql'), { recursive: true });
    await writeFile(join(folder, 'data', 'mysql', 'user.frm'), 'half');
    return join(folder, 'data', 'mysql', 'user.frm');
  },
  'a file where the folder goes': async (folder) => {
    await mkdir(folder, { recursive: true });
    await writeFile(join(folder, 'data'), 'mine');
    return join(folder, 'data');
  },
};

async function tryDatabases(work) {
  const result = { tried: 0, lost: 0, failedToStart: 0 };
  const folder = await newFolder(work, 'db-');
  let database = await startMariadb(folder);
  await asking(database)('CREATE TABLE nucleon.kept SELECT 42 AS a');
  await database.stop();
  for (const [name, happen] of Object.entries(MISHAPS)) {
    result.tried++;
    await happen(folder);
    try {
      database = await startMariadb(folder);
      if ((await asking(database)('SELECT a FROM nucleon.kept')) !== '42') result.lost++;
      await database.stop();
    } catch (error) {
      console.log(`  ${name}: ${error.message}`);
      result.failedToStart++;
    }
  }
  // The database itself taken away: an empty one in its place would be a loss nobody was told of.
  result.tried++;
  await rename(join(folder, 'data'), join(folder, 'elsewhere'));
  const refused = await startMariadb(folder).then(
    (wrong) => wrong.stop().then(() => ''),
    (error) => error.message,
  );
  if (!/is gone/.test(refused)) result.lost++;
  for (const place of Object.values(STRANGERS)) {
    result.tried++;
    const strange = await newFolder(work, 'strange-');
    const kept = await place(strange);
    const before = await readFile(kept, 'utf8');
    const started = await startMariadb(strange).then(
      (wrong) => wrong.stop().then(() => true),
      () => false,
    );
    if (started || (await readFile(kept, 'utf8').catch(() => '')) !== before) result.lost++;
  }
  await rm(folder, { recursive: true, force: true });
  return result;
}

export async function folders({ work }) {
  const [locks, databases] = [await tryLocks(work), await tryDatabases(work)];
  return {
    tried: locks.tried + databases.tried,
    lost: databases.lost,
    failedToStart: locks.failedToStart + databases.failedToStart,
  };
}
